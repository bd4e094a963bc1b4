import { CarriedFieldsSchema, derivedId, DeviceFieldsSchema, isKnownTo, LeftOutFieldsSchema, RecordIdSchema } from '.';

const DEVICE = {
  name: 'Phone',
  kind: 'phone',
  joined: null,
  places: [{ profile: 'phone-list', answers: { fires: 'delimiter', lines: 'refused', punctuation: 'kept' } }],
  keyboards: [{ keyboard: 'phone-en', share: 1, pace: 1 }],
  share: 6,
};
const ID = '01930000-0000-7000-8000-000000000001';
const faults = (result: { error?: { issues: { path: PropertyKey[] }[] } }) =>
  (result.error?.issues ?? []).map(({ path }) => path.join('.'));

test.each([
  ['as it should be', {}, []],
  ['on which nothing is typed', { share: 0 }, []],
  ['of 300 % of the typing', { share: 300 }, ['share']],
  ['of less than none', { share: -1 }, ['share']],
  ['without a name', { name: '' }, ['name']],
  ['with a name of two lines', { name: 'a\nb' }, ['name']],
  ['without a place', { places: [] }, ['places']],
  ['with a place twice', { places: [DEVICE.places[0], DEVICE.places[0]] }, ['places']],
  [
    'with an answer that is none',
    { places: [{ profile: 'app', answers: { fires: 'at noon' } }] },
    ['places.0.answers.fires'],
  ],
  ['that is no kind of device', { kind: 'watch' }, ['kind']],
])('a device %s', (_, change, expected) => {
  expect(faults(DeviceFieldsSchema.safeParse({ ...DEVICE, ...change }))).toEqual(expected);
});

test('what was carried has no text in it, and a digest that is one', () => {
  const carried = {
    deviceId: ID,
    profile: 'phone-list',
    shortcutId: ID,
    code: ';a',
    digest: '0123456789abcdef',
    at: 1,
  };
  expect(faults(CarriedFieldsSchema.safeParse(carried))).toEqual([]);
  expect(faults(CarriedFieldsSchema.safeParse({ ...carried, digest: 'text' }))).toEqual(['digest']);
  expect(faults(CarriedFieldsSchema.safeParse({ ...carried, text: 'secret' }))).toEqual(['']);
  expect(faults(LeftOutFieldsSchema.safeParse({ deviceId: ID, of: 'list', refersTo: null }))).toEqual(['of']);
});

test('ids made of names are ids, the same for the same names and other ones for others', () => {
  expect(derivedId('before', 'phone-list')).toBe(derivedId('before', 'phone-list'));
  const ids = [['a', 'b'], ['a b'], ['ab'], ['a\nb', ''], ['b', 'a']].map((name) => derivedId(...name));
  expect(new Set(ids).size).toBe(ids.length);
  for (const id of ids) expect(RecordIdSchema.safeParse(id).success).toBe(true);
  // UUIDv5 of RFC 9562 by the package `uuid`; kept, since records are known by it.
  expect(derivedId('before', 'phone-list')).toBe('00000000-0000-7576-84e3-da2ac552d0a9');
});

test('an earlier version of the model knows what it began with', () => {
  expect([isKnownTo(1, 'shortcut'), isKnownTo(1, 'device'), isKnownTo(2, 'device')]).toEqual([true, false, true]);
});

import { LAYOUTS } from '../effort/layouts';
import { derivedId, RecordIdSchema, type Device, type ListFields } from '../model';
import { DEVICE_PROFILES, profileOf } from '../profile';
import {
  devicesOf,
  idOfJoined,
  keyboardsInUse,
  languagesTypedOn,
  placesFor,
  placesOf,
  profilesOf,
  usualKeyboards,
} from '.';

const HAND = { id: '01930000-0000-7000-8000-000000000001', name: 'Laptop', kind: 'computer' } as const;
const NOBODY = { records: [], known: new Set<string>(), hand: HAND };

const before = (more: Partial<ListFields>) => ({ devices: ['app'], keyboards: [], hasDevices: false, ...more });
const devicesBefore = (more: Partial<ListFields>) => devicesOf({ ...NOBODY, list: before(more) });
const use = (keyboard: string, share: number, device: string) => ({ keyboard, share, pace: 1, device });

function device(more: Partial<Device>): Device {
  return {
    id: derivedId('test', JSON.stringify(more)),
    changed: 1,
    name: 'Phone',
    kind: 'phone',
    joined: null,
    places: [{ profile: 'phone-list', answers: {} }],
    keyboards: [],
    share: 1,
    ...more,
  };
}

describe('devices read off what was chosen before they were records', () => {
  test('each profile is one, with the keyboards that were said to be on it, and the app is a place on it', () => {
    const list = before({
      devices: ['app', 'phone-list', 'computer-list'],
      keyboards: [
        use('phone-de', 6, 'phone-list'),
        use('phone-en', 2, 'phone-list'),
        use('hardware-de', 4, 'computer-list'),
      ],
    });
    expect(devicesOf({ ...NOBODY, list })).toMatchObject([
      {
        name: 'Phone',
        kind: 'phone',
        joined: null,
        places: [{ profile: 'phone-list' }, { profile: 'app' }],
        keyboards: [
          { keyboard: 'phone-de', share: 6 },
          { keyboard: 'phone-en', share: 2 },
        ],
        share: 8,
      },
      { name: 'Computer', kind: 'computer', share: 4 },
    ]);
  });

  test('two browsers that read them apart agree, ids and all', () => {
    const list = before({ devices: ['app', 'phone-list', 'tablet-list'] });
    const elsewhere = { ...HAND, id: '01930000-0000-7000-8000-000000000002', name: 'Tablet' };
    const [one, other] = [HAND, elsewhere].map((hand) => devicesOf({ ...NOBODY, hand, list }));
    expect(one).toEqual(other);
    for (const { id } of one!) expect(RecordIdSchema.safeParse(id).success).toBe(true);
  });

  test('one that has a record, deleted or not, is read from it alone', () => {
    const list = before({ devices: ['phone-list', 'tablet-list'] });
    const [phone, tablet] = devicesOf({ ...NOBODY, list }) as [Device, Device];
    const known = new Set([phone.id]);
    expect(devicesOf({ ...NOBODY, known, list })).toEqual([tablet]);
    const renamed = { ...phone, name: 'My phone', changed: 1 };
    expect(devicesOf({ ...NOBODY, records: [renamed], known, list })).toEqual([renamed, tablet]);
  });

  test('keyboards name devices too; with the app alone there is one by its keyboard', () => {
    expect(devicesBefore({ keyboards: [use('tablet-fr', 1, 'tablet-list')] })).toMatchObject([{ kind: 'tablet' }]);
    expect(devicesBefore({ keyboards: [use('hardware-de', 1, 'app')] })).toMatchObject([
      { kind: 'computer', places: [{ profile: 'app' }], keyboards: [{ keyboard: 'hardware-de' }] },
    ]);
  });

  test('what came with records of devices is left alone', () => {
    expect(devicesBefore({ devices: ['phone-list'], hasDevices: true })).toMatchObject([{ name: 'Laptop' }]);
  });
});

test('until anything is known there is the device in hand, and nobody is told of others', () => {
  const [only, ...others] = devicesOf({ ...NOBODY, list: null });
  expect(others).toEqual([]);
  expect(only).toMatchObject({ id: idOfJoined(HAND.id), joined: HAND.id, name: 'Laptop', kind: 'computer' });
  expect(profilesOf(placesOf([only!], ['en']))).toEqual(['computer-list', 'app']);
});

describe('what is typed on', () => {
  test('a device has its share of all typing, its keyboards have theirs of it', () => {
    const phone = device({
      share: 6,
      keyboards: [
        { keyboard: 'phone-en', share: 1, pace: 1 },
        { keyboard: 'phone-de', share: 2, pace: 2 },
      ],
    });
    const laptop = device({
      kind: 'computer',
      name: 'Laptop',
      share: 3,
      places: [
        { profile: 'app', answers: {} },
        { profile: 'expander', answers: {} },
      ],
    });
    const idle = device({ kind: 'tablet', share: 0, places: [{ profile: 'tablet-list', answers: {} }] });
    const devices = [phone, laptop, idle];
    expect(keyboardsInUse(devices, ['de'], placesOf(devices, ['de']))).toEqual([
      { keyboard: 'phone-en', share: 2, pace: 1, device: 'phone-list' },
      { keyboard: 'phone-de', share: 4, pace: 2, device: 'phone-list' },
      { keyboard: 'hardware-de', share: 3, pace: 1, device: 'expander' },
    ]);
    const none = devices.map((one) => ({ ...one, share: 0 }));
    expect(keyboardsInUse(none, ['de'], placesOf(none, ['de'])).reduce((sum, { share }) => sum + share, 0)).toBe(3);
  });

  test('equal keyboards in equal places are one', () => {
    const devices = [device({ name: 'A', share: 2 }), device({ name: 'B', share: 3 })];
    expect(keyboardsInUse(devices, ['en'], placesOf(devices, ['en']))).toEqual([
      { keyboard: 'phone-en', share: 5, pace: 1, device: 'phone-list' },
    ]);
  });

  test('the languages of the keyboards are those in which entries of a language fire', () => {
    const tablet = device({ kind: 'tablet', places: [{ profile: 'tablet-list', answers: {} }] });
    expect(placesOf([tablet], ['fr'])).toMatchObject([{ key: 'tablet-list~in.fr' }]);
    expect(profileOf('tablet-list~in.fr').languages).toEqual(['fr']);
    const own = { ...tablet, keyboards: [{ keyboard: derivedId('own'), share: 1, pace: 1 }] };
    expect(languagesTypedOn(own, ['en'])).toEqual([]);
    const layout = { ...LAYOUTS['hardware-de']!, name: 'Mine' };
    expect(languagesTypedOn(own, ['en'], [{ id: derivedId('own'), changed: 1, layout }])).toEqual(['de']);
  });

  test.each(['phone', 'tablet', 'computer'] as const)(
    'a %s is taken to have a keyboard that there is, and places that there are',
    (kind) => {
      for (const language of ['en', 'de-AT', 'fr', 'es', 'fi']) {
        const [usual] = usualKeyboards(kind, [language]);
        expect(LAYOUTS).toHaveProperty(usual!.keyboard);
      }
      for (const profile of placesFor(kind)) expect(DEVICE_PROFILES).toHaveProperty(profile);
    },
  );
});

import { packRecord } from './packed';
import type { StoredRecord } from './record';
import { PageSchema } from './wire';

const record: StoredRecord = {
  type: 'shortcut',
  id: '01890000-0000-7000-8000-000000000001',
  fields: { code: [{ id: 'a', clock: 'b', value: ';w' }] },
} as never;
const page = (records: unknown) => ({
  records,
  removed: [],
  through: 3,
  taken: 1,
  more: false,
  fresh: true,
  may: 'edit',
  takes: null,
});

describe('a page', () => {
  test('gives its records whole, whether they came packed or not', () => {
    const parsed = PageSchema.parse(page([record, packRecord(record)]));
    expect(parsed.records).toEqual([record, record]);
    expect(parsed).toMatchObject({ acknowledged: 1, subscribedSets: null, last: null, parted: false });
  });

  test.each([
    ['a text', 'record'],
    ['nothing', null],
    ['of no type', { ...record, type: 'fridge' }],
    ['without an id', { ...record, id: undefined }],
    ['without fields', { type: record.type, id: record.id }],
  ])('is refused with a record that is none: %s; it says which', (_what, none) => {
    expect(PageSchema.safeParse(page([record, none])).error!.issues).toEqual([
      expect.objectContaining({ message: 'is no record', path: ['records', 1] }),
    ]);
  });

  test('is refused without a list of records', () => {
    expect(PageSchema.safeParse(page({})).error!.issues).toEqual([
      expect.objectContaining({ message: 'is no list of records', path: ['records'] }),
    ]);
  });
});

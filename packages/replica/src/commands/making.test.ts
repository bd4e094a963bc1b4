import { RECORD_TYPES } from '@yellow-latch/core/model';

import { making } from './making';

const NEW = [
  { code: '@ann', text: '07700 900123', kind: 'contact' as const, card: { uid: '1', part: 'mobile' } },
  { code: ';hf', text: '½', kind: 'symbol' as const },
];

test('several are made as one command, with the card they came from', () => {
  const { writes, undo } = making(NEW, { setId: null }, []);
  expect(writes.map(({ type, fields }) => [type, fields])).toEqual([
    ['shortcut', expect.objectContaining({ code: '@ann', card: { uid: '1', part: 'mobile' }, setId: null })],
    ['shortcut', expect.objectContaining({ code: ';hf', card: null, kind: 'symbol' })],
  ]);
  for (const { fields } of writes) {
    expect(RECORD_TYPES.shortcut.fields.safeParse(fields).error?.issues).toBeUndefined();
  }
  const ids = writes.map(({ id }) => id!);
  expect(undo(ids)).toEqual([...ids].reverse().map((id) => ({ type: 'shortcut', id, fields: { deleted: true } })));
});

test('into a new set, which goes with them', () => {
  const { writes, undo } = making(NEW, { newSet: 'People' }, []);
  expect(writes[0]).toMatchObject({ type: 'set', fields: { name: 'People' } });
  const setId = writes[0]!.id;
  expect(writes.slice(1).map(({ fields }) => (fields as { setId: string }).setId)).toEqual([setId, setId]);
  expect(undo(writes.map(({ id }) => id!)).at(-1)).toMatchObject({ type: 'set', fields: { deleted: true } });
});

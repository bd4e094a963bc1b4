import { makeShortcut } from '@yellow-latch/core/model/testing';
import type { ShortcutSet } from '@yellow-latch/core/model';

import { makingSet, movingToNewSet } from './makingSet';
import { changingSet, deletingSet, emptyingSet, mergingSets, movingSet } from './sets';

const set = (id: string, order: string): ShortcutSet => ({ id, name: id, icon: 'folder', order, changed: 0 });
const shortcut = (id: string, setId: string | null) => makeShortcut(`;${id}`, id, { id, setId });
const [visits, signs, tags] = [set('visits', 'a0'), set('signs', 'a1'), set('tags', 'a2')];
const parts = {
  shortcuts: [shortcut('ten', 'visits'), shortcut('sh', 'signs'), shortcut('late', 'visits')],
  conventions: [
    {
      id: 'own',
      scope: { of: 'set' as const, setId: 'visits' },
      mark: { place: 'before' as const, marker: ',' },
      capitals: 'small' as const,
      changed: 0,
    },
  ],
};

test('a new set comes behind all others', () => {
  const { writes, undo } = makingSet('Autumn', [visits, signs]);
  expect(writes).toMatchObject([{ type: 'set', fields: { name: 'Autumn', icon: 'folder' } }]);
  expect((writes[0]!.fields as ShortcutSet).order > signs.order).toBe(true);
  expect(undo([])).toEqual([{ type: 'set', id: writes[0]!.id, fields: { deleted: true } }]);
});

test('shortcuts moved into a new set; taken back, they are where they were and it is gone', () => {
  const { writes, undo } = movingToNewSet(parts.shortcuts.slice(0, 2), 'Autumn', [visits, signs]);
  const [made, ...moved] = writes;
  expect(made).toMatchObject({ type: 'set', fields: { name: 'Autumn' } });
  expect(moved).toEqual(['ten', 'sh'].map((id) => ({ type: 'shortcut', id, fields: { setId: made!.id } })));
  expect(undo([])).toEqual([
    { type: 'shortcut', id: 'sh', fields: { setId: 'signs' } },
    { type: 'shortcut', id: 'ten', fields: { setId: 'visits' } },
    { type: 'set', id: made!.id, fields: { deleted: true } },
  ]);
});

test('another name or picture, and the old one back', () => {
  expect(changingSet(visits, { name: 'Calls' }).undo([])).toEqual([
    { type: 'set', id: 'visits', fields: { name: 'visits' } },
  ]);
  expect(changingSet(visits, { icon: 'tag' }).undo([])).toEqual([
    { type: 'set', id: 'visits', fields: { icon: 'folder' } },
  ]);
});

test('a set moved before another has an order before it', () => {
  const fields = movingSet(tags, visits, [visits, signs, tags])!.writes[0]!.fields as { order: string };
  expect(fields.order < visits.order).toBe(true);
  expect(movingSet(tags, tags, [visits, signs, tags])).toBeNull();
});

test('merged, its shortcuts are in the other, and it is gone with its convention; taken back, all is as it was', () => {
  const { writes, undo } = mergingSets(visits, signs, parts);
  expect(writes).toEqual([
    { type: 'shortcut', id: 'ten', fields: { setId: 'signs' } },
    { type: 'shortcut', id: 'late', fields: { setId: 'signs' } },
    { type: 'set', id: 'visits', fields: { deleted: true } },
    { type: 'convention', id: 'own', fields: { deleted: true } },
  ]);
  expect(undo([])).toEqual([
    { type: 'set', id: 'visits', fields: { deleted: false } },
    { type: 'convention', id: 'own', fields: { deleted: false } },
    { type: 'shortcut', id: 'late', fields: { setId: 'visits' } },
    { type: 'shortcut', id: 'ten', fields: { setId: 'visits' } },
  ]);
});

test('emptied it stays; deleted it goes, with its shortcuts or without', () => {
  expect(emptyingSet(visits, parts).writes).toEqual(
    ['ten', 'late'].map((id) => ({ type: 'shortcut', id, fields: { setId: null } })),
  );
  expect(deletingSet(visits, parts, 'set alone').writes).toContainEqual({
    type: 'shortcut',
    id: 'ten',
    fields: { setId: null },
  });
  expect(deletingSet(visits, parts, 'shortcuts too').writes).toContainEqual({
    type: 'shortcut',
    id: 'ten',
    fields: { deleted: true },
  });
  expect(deletingSet(tags, parts, 'shortcuts too').writes).toEqual([
    { type: 'set', id: 'tags', fields: { deleted: true } },
  ]);
});

import type { OpenBlank } from '@yellow-latch/core/expansion';
import type { Shortcut } from '@yellow-latch/core/model';
import { openDB } from 'idb';
import { v7 as uuid } from 'uuid';

import { openDatabase } from '@/replica/database';
import { draftOf } from '@/replica/draft';

import { movingTo, pinnedOf, pinning } from './board';
import { dropDraft, keepDraft, lastDraft, listDrafts, openDraft, restoreDraft } from './drafts';
import { recentOf, withFilled } from './recent';
import { tellFiring, tellMissed, tellWhy } from './words';

describe('drafts', () => {
  test('are titled by their first lines, the newest first, and the last one comes back', async () => {
    const db = await openDatabase(uuid());
    expect((await lastDraft(db)).text).toBe('');
    const first = await keepDraft(db, draftOf('\nDear Rowena,\nthe piano'), 1_000);
    await keepDraft(db, draftOf('Second'), 2_000);
    await keepDraft(db, draftOf(''), 3_000);
    expect((await listDrafts(db)).map(({ title, changed }) => [title, changed])).toEqual([
      ['Second', 2_000],
      ['Dear Rowena,', 1_000],
    ]);
    await openDraft(db, first.draft.id);
    expect((await lastDraft(db)).text).toBe('\nDear Rowena,\nthe piano');
  });

  test('of two tabs neither overwrites the other', async () => {
    const db = await openDatabase(uuid());
    const { draft } = await keepDraft(db, draftOf('one'));
    const here = await keepDraft(db, { ...draft, text: 'one, here' });
    const there = await keepDraft(db, { ...draft, text: 'one, there' });
    expect([here.type, there.type]).toEqual(['kept', 'beside']);
    expect((await listDrafts(db)).map(({ title }) => title).sort()).toEqual(['one, here', 'one, there']);
    // Each goes on by itself.
    expect((await keepDraft(db, there.draft)).type).toBe('kept');
    expect((await keepDraft(db, here.draft)).type).toBe('kept');
  });

  test('what is deleted can be put back', async () => {
    const db = await openDatabase(uuid());
    const { draft } = await keepDraft(db, draftOf('one'));
    const dropped = await dropDraft(db, draft.id);
    expect(await listDrafts(db)).toEqual([]);
    await restoreDraft(db, dropped!);
    expect(await openDraft(db, draft.id)).toEqual(draft);
  });

  test('the one text that was kept before there were drafts becomes one', async () => {
    const id = uuid();
    const old = await openDB(`yellow-latch-${id}`, 2, {
      upgrade(db) {
        for (const name of ['records', 'outbox', 'state', 'private', 'kept']) db.createObjectStore(name);
        db.createObjectStore('drafts').put('as it was', 'write') as unknown;
      },
    });
    old.close();
    const db = await openDatabase(id);
    expect(await lastDraft(db)).toMatchObject({ text: 'as it was', version: 1 });
    expect(await db.count('drafts')).toBe(1);
  });
});

describe('the tap board', () => {
  const shortcut = (code: string, pinned: string | null) => ({ id: code, code, pinned }) as Shortcut;
  /** The list after a doing, as its writes say. */
  const after = (shortcuts: Shortcut[], doing: ReturnType<typeof pinning> | null) =>
    shortcuts.map((one) => {
      const write = doing?.writes.find(({ id }) => id === one.id);
      return write ? { ...one, ...(write.fields as Partial<Shortcut>) } : one;
    });
  const codes = (shortcuts: Shortcut[]) =>
    pinnedOf(shortcuts)
      .map(({ code }) => code)
      .join('');
  let list = [shortcut('a', null), shortcut('b', null), shortcut('c', null), shortcut('d', null)];
  for (const index of [0, 1, 2]) list = after(list, pinning(list[index]!, list));

  test('takes new keys at its end, and lets them go', () => {
    expect(codes(list)).toBe('abc');
    expect(codes(after(list, pinning(list[1]!, list)))).toBe('ac');
    expect(codes(after(list, pinning(list[3]!, list)))).toBe('abcd');
  });

  test.each([
    ['a', 'c', 'bca'],
    ['c', 'a', 'cab'],
    ['a', 'b', 'bac'],
    ['b', 'c', 'acb'],
  ])('%s moved to where %s is', (moved, target, order) => {
    const all = pinnedOf(list);
    const find = (code: string) => all.find((one) => one.code === code)!;
    const doing = movingTo(find(moved), find(target), all)!;
    expect(codes(after(list, doing))).toBe(order);
    expect(doing.undo([])).toEqual([{ type: 'shortcut', id: moved, fields: { pinned: find(moved).pinned } }]);
  });

  test('keys that two devices gave one place stay, and others go past both', () => {
    const twins = [shortcut('a', 'a0'), shortcut('b', 'a1'), shortcut('c', 'a1'), shortcut('d', 'a2')];
    const doing = movingTo(twins[3]!, twins[2]!, pinnedOf(twins));
    expect(codes(after(twins, doing))).toBe('abcd');
    expect(movingTo(twins[0]!, twins[0]!, twins)).toBeNull();
  });
});

describe('what was filled in lately', () => {
  const blank = (label: string, more: Partial<OpenBlank> = {}): OpenBlank => ({
    name: label,
    kind: 'text',
    label,
    default: '',
    options: [],
    pattern: '',
    ...more,
  });

  test('is remembered by what the blank is called, newest first, five at most', () => {
    const name = blank('Name');
    let recent = {};
    for (const value of ['a', 'b', 'c', 'b', 'd', 'e', 'f', ' f '])
      recent = withFilled(recent, [name], { Name: value });
    expect(recentOf(recent, name)).toEqual(['f', 'e', 'd', 'b', 'c']);
    expect(recentOf(recent, blank('Other'))).toEqual([]);
  });

  test('not what was chosen, given by the device, left as it was, or long', () => {
    const blanks = [
      blank('choice', { kind: 'choice' }),
      blank(' selection'),
      blank('same', { default: 'x' }),
      blank('long'),
    ];
    expect(withFilled({}, blanks, { choice: 'a', ' selection': 'b', same: 'x', long: 'y'.repeat(61) })).toEqual({});
  });
});

describe('words', () => {
  const codeOf = () => ';ten';

  test('tell how a shortcut came in, and how it goes out again', () => {
    const fired = { type: 'fired', id: '1', typed: ';te', expansion: 'text' } as const;
    expect(tellFiring({ ...fired, by: 'offer' }, codeOf)).toBe(';ten is in. Backspace gives back what you typed.');
    expect(tellFiring({ ...fired, by: 'offer', typed: '' }, codeOf)).toBe(';ten is in. Backspace takes it out.');
    expect(tellFiring({ ...fired, by: 'delimiter', typed: ';ten' }, codeOf)).toBe(
      ';ten fired. Backspace gives back what you typed.',
    );
    expect(tellFiring({ ...fired, by: 'delimiter', id: '1~former', typed: ';old' }, codeOf)).toBe(
      ';old still works for a while. It is ;ten now.',
    );
  });

  test('tell why nothing fired, unless something did', () => {
    expect(tellWhy([{ rule: 'no-edge', id: '1', typed: ';ten' }], codeOf)).toBe(';ten stands in the middle of a word.');
    expect(tellWhy([{ rule: 'device-capital' }, { rule: 'fired-by-delimiter' }], codeOf)).toBeNull();
    expect(tellWhy([], codeOf)).toBeNull();
  });

  test('tell what a code would have saved, where it saves', () => {
    expect(tellMissed(';ten', { taps: 22.4, seconds: 6.1 })).toBe(';ten gives that, with 22 taps less: 6.1 s.');
    expect(tellMissed(';ten', { taps: -1, seconds: 1 })).toBe(';ten gives that.');
  });
});

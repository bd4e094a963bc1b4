import { openDB } from 'idb';
import { v7 as uuid } from 'uuid';

import { openDatabase } from './database';
import { draftOf } from './draft';
import { dropDraft, keepDraft, lastDraft, listDrafts, openDraft, restoreDraft } from './drafts';

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

import { titleOf } from '@yellow-latch/core/compose';
import { v7 as uuid } from 'uuid';

import type { ReplicaDatabase } from './database';
import { draftOf, OPEN_DRAFT, type Draft } from './draft';

/** A draft in the list of drafts. */
export interface DraftLine {
  readonly id: string;
  /** Its first line; '': it is empty. */
  readonly title: string;
  readonly changed: number;
}

/** The draft that was open last; a new one, where there is none. */
export async function lastDraft(db: ReplicaDatabase): Promise<Draft> {
  const id = (await db.get('kept', OPEN_DRAFT)) as string | undefined;
  return (id === undefined ? undefined : await db.get('drafts', id)) ?? draftOf('');
}

/** All that hold something, the newest first. */
export async function listDrafts(db: ReplicaDatabase): Promise<DraftLine[]> {
  const drafts = await db.getAll('drafts');
  return drafts
    .filter(({ text }) => text !== '')
    .map(({ id, text, changed }) => ({ id, title: titleOf(text), changed }))
    .sort((a, b) => b.changed - a.changed);
}

/** What a draft was kept as: itself, or beside what another tab has made of it meanwhile. */
export type Kept = { readonly type: 'kept' | 'beside'; readonly draft: Draft };

/**
 * Keeps a draft, and that it is the one that is open. `draft.version`: what this tab knows of. Where another tab has
 * kept a later one, this becomes a draft of its own, so that neither is lost. Rejects where there is no room.
 */
export async function keepDraft(db: ReplicaDatabase, draft: Draft, now = Date.now()): Promise<Kept> {
  const tx = db.transaction(['drafts', 'kept'], 'readwrite');
  const drafts = tx.objectStore('drafts');
  const stored = await drafts.get(draft.id);
  const isBeside = stored !== undefined && stored.version !== draft.version;
  const next: Draft = {
    ...draft,
    id: isBeside ? uuid() : draft.id,
    changed: now,
    version: isBeside ? 1 : draft.version + 1,
  };
  await Promise.all([drafts.put(next, next.id), tx.objectStore('kept').put(next.id, OPEN_DRAFT), tx.done]);
  return { type: isBeside ? 'beside' : 'kept', draft: next };
}

export async function openDraft(db: ReplicaDatabase, id: string): Promise<Draft | undefined> {
  const draft = await db.get('drafts', id);
  if (draft) await db.put('kept', id, OPEN_DRAFT);
  return draft;
}

/** Deletes a draft; what comes back can be kept again. */
export async function dropDraft(db: ReplicaDatabase, id: string): Promise<Draft | undefined> {
  const draft = await db.get('drafts', id);
  await db.delete('drafts', id);
  return draft;
}

/** Puts back a draft that was deleted. */
export async function restoreDraft(db: ReplicaDatabase, draft: Draft): Promise<void> {
  await db.put('drafts', draft, draft.id);
}

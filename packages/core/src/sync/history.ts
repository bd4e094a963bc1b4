import type { RecordType } from '../model';
import type { FieldChanges } from './draft';

/** A change as the log tells it. */
export interface LoggedChange {
  /** Its number in the log of the list. */
  number: number;
  id: string;
  record: { type: RecordType; id: string };
  fields: Record<string, unknown>;
  /** What each of those fields showed before; null: the change made the record. */
  before: Record<string, unknown> | null;
  clock: string;
  device: string;
  /** The doing it was part of; how many changes that has in all, and how many of them are of shortcuts. */
  together: { id: string; size: number; shortcuts: number } | null;
}

/** Changes that were made in one doing, latest first; of a large one, some of them. */
export interface LoggedDoing {
  id: string;
  changes: LoggedChange[];
  size: number;
  shortcuts: number;
}

/** Changes of a log, latest first, put together by the doing they were part of. */
export function doingsOf(changes: readonly LoggedChange[]): LoggedDoing[] {
  const doings: LoggedDoing[] = [];
  for (const change of changes) {
    const last = doings.at(-1);
    const { together, record } = change;
    if (last && together !== null && last.id === together.id) last.changes.push(change);
    else
      doings.push({
        id: together?.id ?? change.id,
        changes: [change],
        size: together?.size ?? 1,
        shortcuts: together?.shortcuts ?? Number(record.type === 'shortcut'),
      });
  }
  return doings;
}

/** Whether a doing can be taken back: it is known what was there before, and that was not erased. */
export function canTakeBack({ changes }: Pick<LoggedDoing, 'changes'>): boolean {
  return changes.every(
    ({ fields, before }) =>
      fields.deleted !== 'erased' &&
      (before === null || (before.deleted !== 'erased' && Object.keys(fields).every((field) => field in before))),
  );
}

/** A write that takes back one change. */
export interface TakingBack {
  type: RecordType;
  id: string;
  fields: FieldChanges<RecordType>;
}

/**
 * The writes that put what a doing changed back to what was shown before it, the latest change first. What it made
 * is deleted. They are writes like any other: nothing leaves the log, and they can be taken back in turn.
 */
export function takingBack({ changes }: Pick<LoggedDoing, 'changes'>): TakingBack[] {
  const back = new Map<string, TakingBack>();
  for (const { record, fields, before } of changes) {
    const key = `${record.type}:${record.id}`;
    const earlier = back.get(key)?.fields;
    const wasShown = Object.fromEntries(Object.keys(fields).map((field) => [field, before?.[field]]));
    back.set(key, { ...record, fields: before === null ? { deleted: true } : { ...earlier, ...wasShown } });
  }
  return [...back.values()];
}

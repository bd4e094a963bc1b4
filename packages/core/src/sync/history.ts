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
  /** The group it was part of; how many changes that has in all, and how many of them are of shortcuts. */
  together: { id: string; size: number; shortcuts: number } | null;
}

/** Changes that were made in one go, latest first; of a large one, some of them. */
export interface ChangeGroup {
  id: string;
  changes: LoggedChange[];
  size: number;
  shortcuts: number;
}

/** Changes of a log, latest first, put together by the group they were part of. */
export function changeGroupsOf(changes: readonly LoggedChange[]): ChangeGroup[] {
  const groups: ChangeGroup[] = [];
  for (const change of changes) {
    const last = groups.at(-1);
    const { together, record } = change;
    if (last && together !== null && last.id === together.id) last.changes.push(change);
    else
      groups.push({
        id: together?.id ?? change.id,
        changes: [change],
        size: together?.size ?? 1,
        shortcuts: together?.shortcuts ?? Number(record.type === 'shortcut'),
      });
  }
  return groups;
}

/** Whether a group can be taken back: it is known what was there before, and that was not erased. */
export function canTakeBack({ changes }: Pick<ChangeGroup, 'changes'>): boolean {
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
 * The writes that put what a group changed back to what was shown before it, the latest change first. What it made
 * is deleted. They are writes like any other: nothing leaves the log, and they can be taken back in turn.
 */
export function takingBack({ changes }: Pick<ChangeGroup, 'changes'>): TakingBack[] {
  const back = new Map<string, TakingBack>();
  for (const { record, fields, before } of changes) {
    const key = `${record.type}:${record.id}`;
    const earlier = back.get(key)?.fields;
    const wasShown = Object.fromEntries(Object.keys(fields).map((field) => [field, before?.[field]]));
    back.set(key, { ...record, fields: before === null ? { deleted: true } : { ...earlier, ...wasShown } });
  }
  return [...back.values()];
}

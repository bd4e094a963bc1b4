import { RECORD_TYPES } from '../model';
import type { Change } from './change';
import type { StoredRecord, Version } from './record';

/** What became of a change. `incomplete`: it would begin a record that lacks the fields named. */
export type MergeResult =
  | { type: 'applied'; record: StoredRecord }
  | { type: 'nothing-to-do' }
  | { type: 'incomplete'; missing: string[] };

/**
 * The record after `change`. Per field, the versions that the change had seen (its base) give way
 * to its own value; versions it had not seen stay beside it, the latest by clock first.
 *
 * Changes of different devices may come in any order, those of one device in theirs; all orders
 * end in equal records. A change that is in the record already must not come again: server and
 * replica see to that by the numbers devices give their changes. Cost: linear in the versions of
 * the fields concerned.
 */
export function applyChange(record: StoredRecord | undefined, change: Change): MergeResult {
  const type = change.record.type;
  if (!record) {
    const { fields, defaults } = RECORD_TYPES[type];
    const missing = Object.keys(fields.shape).filter((field) => !(field in change.fields) && !(field in defaults));
    const onlyDeletes = Boolean(change.fields.deleted) && Object.keys(change.fields).length === 1;
    if (onlyDeletes) return { type: 'nothing-to-do' };
    if (missing.length > 0) return { type: 'incomplete', missing };
  }
  const fields = { ...record?.fields };
  for (const [field, value] of Object.entries(change.fields)) {
    const seen = new Set(change.base[field]);
    const unseen = (fields[field] ?? []).filter(({ id }) => !seen.has(id));
    const version: Version = { id: change.id, clock: change.clock, value };
    if (field === 'deleted' && value === true) {
      version.saw = RECORD_TYPES[type].guarded.flatMap((guarded) => change.base[guarded] ?? []);
    }
    fields[field] = [version, ...unseen].sort(latestFirst);
  }
  return { type: 'applied', record: { type, id: change.record.id, fields } };
}

function latestFirst(a: Version, b: Version): number {
  if (a.clock !== b.clock) return a.clock > b.clock ? -1 : 1;
  return a.id > b.id ? -1 : 1;
}

import { isCounter, LIMITS, RECORD_TYPES, type Used } from '../model';
import type { Change } from './change';
import { readClock } from './clock';
import type { StoredRecord, Version } from './record';

/** What became of a change. `incomplete`: it would begin a record that lacks the fields named. */
export type MergeResult =
  { type: 'applied'; record: StoredRecord } | { type: 'nothing-to-do' } | { type: 'incomplete'; missing: string[] };

/**
 * The record after `change`. Per field, the versions that the change had seen (its base) give way
 * to its own value; versions it had not seen stay beside it, the latest by clock first.
 *
 * A field keeps so many versions beside each other and no more (`LIMITS.versionsPerField`); older ones are in the log.
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
    // To delete, or to count the uses of, what is not there asks for nothing.
    const begins = Object.keys(change.fields).some((field) => field !== 'deleted' && !isCounter(type, field));
    if (!begins && change.fields.deleted !== false) return { type: 'nothing-to-do' };
    if (missing.length > 0) return { type: 'incomplete', missing };
  }
  const fields = { ...record?.fields };
  for (const [field, value] of Object.entries(change.fields)) {
    if (isCounter(type, field)) {
      fields[field] = counted(fields[field] ?? [], { id: change.id, clock: change.clock, value });
      continue;
    }
    const seen = new Set(change.base[field]);
    const unseen = (fields[field] ?? []).filter(({ id }) => !seen.has(id));
    const version: Version = { id: change.id, clock: change.clock, value };
    if (field === 'deleted' && value === true) {
      version.saw = RECORD_TYPES[type].guarded.flatMap((guarded) => change.base[guarded] ?? []);
    }
    fields[field] = [version, ...unseen].sort(latestFirst).slice(0, LIMITS.versionsPerField);
  }
  return { type: 'applied', record: { type, id: change.record.id, fields } };
}

/**
 * A grow-only counter (Shapiro et al. 2011, spec. 6): one entry for each device, of which the greater count stands.
 * Entries are in the order of their devices, so that equal counters are equal.
 */
function counted(entries: readonly Version[], entry: Version): Version[] {
  const { device } = readClock(entry.clock);
  const others = entries.filter(({ clock }) => readClock(clock).device !== device);
  const own = entries.find(({ clock }) => readClock(clock).device === device);
  const stands = own && (own.value as Used).count >= (entry.value as Used).count ? own : entry;
  return [...others, stands].sort((a, b) => (readClock(a.clock).device < readClock(b.clock).device ? -1 : 1));
}

function latestFirst(a: Version, b: Version): number {
  if (a.clock !== b.clock) return a.clock > b.clock ? -1 : 1;
  return a.id > b.id ? -1 : 1;
}

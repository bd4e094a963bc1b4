import {
  isCounter,
  RECORD_TYPES,
  type FieldsOf,
  type Learning,
  type LearningState,
  type RecordType,
  type Shortcut,
  type Used,
} from '../model';
import { readClock, timeOf, type Clock } from './clock';

/** One value that a field was given. */
export interface Version {
  /** The id of the change that gave it. */
  id: string;
  clock: Clock;
  value: unknown;
  /** On a delete: the versions of guarded fields it had seen. Others outlive it. */
  saw?: string[];
}

/**
 * A record as it is stored and sent: for each field a multi-value register (Shapiro et al.,
 * "A comprehensive study of Convergent and Commutative Replicated Data Types", 2011, spec. 10),
 * latest version first. More than one version means that devices wrote without knowing of each
 * other; the first is shown, the others are kept.
 */
export interface StoredRecord {
  type: RecordType;
  id: string;
  fields: Record<string, Version[]>;
}

export function recordKey(record: { type: string; id: string }): string {
  return `${record.type}:${record.id}`;
}

/** Whether what was written in a record is to be gone everywhere; no edit made meanwhile outlives that. */
export function isErased(record: StoredRecord): boolean {
  return record.fields.deleted?.some(({ value }) => value === 'erased') ?? false;
}

/**
 * Whether a record is deleted: erased, or some delete had seen every version of what a person wrote in it,
 * and it was not brought back later.
 */
export function isDeleted(record: StoredRecord): boolean {
  if (isErased(record)) return true;
  const versions = record.fields.deleted ?? [];
  if (versions[0]?.value !== true) return false;
  const written = RECORD_TYPES[record.type].guarded.flatMap((field) =>
    (record.fields[field] ?? []).map(({ id }) => id),
  );
  return versions.some(({ value, saw }) => value === true && written.every((id) => saw?.includes(id)));
}

/** When the record last changed, by the clock of its latest version; ms since 1970. Counting does not change it. */
export function changedAt(record: StoredRecord): number {
  let latest: Clock | null = null;
  for (const field in record.fields) {
    if (isCounter(record.type, field)) continue;
    for (const { clock } of record.fields[field]!) if (latest === null || clock > latest) latest = clock;
  }
  return latest === null ? 0 : timeOf(latest);
}

/** The value each field shows. Complete, since `applyChange` takes no incomplete record in. */
export function currentFields<T extends RecordType>(record: StoredRecord & { type: T }): FieldsOf[T] {
  const defaults: Record<string, unknown> = RECORD_TYPES[record.type].defaults;
  const current: Record<string, unknown> = {};
  for (const name of namesOf(record.type)) {
    const shown = record.fields[name]?.[0];
    current[name] = shown ? shown.value : defaults[name];
  }
  return current as never;
}

const names = new Map<RecordType, readonly string[]>();

/** The fields of a type, asked for once: a list has ten thousand records. */
function namesOf(type: RecordType): readonly string[] {
  let known = names.get(type);
  if (!known) names.set(type, (known = Object.keys(RECORD_TYPES[type].fields.shape)));
  return known;
}

/** The other versions of a field: what devices wrote beside the one shown. Equal values are none. */
export function otherVersions(record: StoredRecord, field: string): Version[] {
  const seen = new Set<string>();
  return (record.fields[field] ?? []).filter(({ value }, index) => {
    const form = JSON.stringify(value);
    const isNew = !seen.has(form);
    seen.add(form);
    return isNew && index > 0;
  });
}

/** The fields of which a person is asked to choose, since devices wrote without knowing of each other. */
export function unsettledFields(record: StoredRecord): string[] {
  if (isDeleted(record)) return [];
  return RECORD_TYPES[record.type].settled.filter(
    (field) => (record.fields[field]?.length ?? 0) > 1 && otherVersions(record, field).length > 0,
  );
}

export function asShortcut(record: StoredRecord): Shortcut {
  const { used } = record.fields;
  return {
    ...asRead<'shortcut'>(record),
    private: false,
    ...(used ? { used: sumOf(used.map(({ value }) => value as Used)) } : {}),
  };
}

/** What all devices counted, since the first of them began. */
function sumOf(counted: readonly Used[]): Used {
  return {
    count: counted.reduce((sum, { count }) => sum + count, 0),
    since: Math.min(...counted.map(({ since }) => since)),
  };
}

/** What one device has counted of a record, as far as the record knows. */
export function countOf(record: StoredRecord, field: string, device: string): number {
  const own = record.fields[field]?.find(({ clock }) => readClock(clock).device === device);
  return own ? (own.value as Used).count : 0;
}

/** What a person knows of a code, with what devices wrote beside each other. */
export function asLearning(record: StoredRecord): Learning {
  const versions = record.fields.state ?? [];
  return { ...asRead<'learning'>(record), versions: versions.map(({ value }) => value as LearningState) };
}

/** A record as screens read it: the value each field shows, its id, and when it last changed. */
export function asRead<T extends RecordType>(record: StoredRecord): FieldsOf[T] & { id: string; changed: number } {
  return { id: record.id, changed: changedAt(record), ...currentFields(record as StoredRecord & { type: T }) };
}

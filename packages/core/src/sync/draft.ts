import { isCounter, RECORD_TYPES, type FieldsOf, type RecordType, type Used } from '../model';
import type { Change } from './change';
import type { StoredRecord } from './record';

/** What a write needs beside its fields: who, when, and in which order. */
export interface Stamp {
  id: string;
  clock: string;
  device: string;
  n: number;
  /** Of the group it is part of, if that is more than one change. */
  together?: string;
}

/** The fields a write may give: any of the type's own, its counters, and `deleted`. */
export type FieldChanges<T extends RecordType> = Partial<FieldsOf[T]> & {
  deleted?: boolean | 'erased';
} & (T extends 'shortcut' ? { used?: Used } : unknown);

/** The change that writes `fields` to a record, of which `known` is what its device has seen. */
export function draftChange<T extends RecordType>(
  record: { type: T; id: string },
  known: StoredRecord | undefined,
  fields: FieldChanges<T>,
  stamp: Stamp,
): Change {
  const given = Object.keys(fields).filter((field) => !isCounter(record.type, field));
  if (given.length === 0)
    return { ...stamp, record: { type: record.type, id: record.id }, fields: { ...fields }, base: {} };
  const concerned = new Set([...given, 'deleted']);
  if (fields.deleted) for (const field of RECORD_TYPES[record.type].guarded) concerned.add(field);
  const base: Record<string, string[]> = {};
  for (const field of concerned) {
    const seen = known?.fields[field]?.map(({ id }) => id) ?? [];
    if (seen.length > 0) base[field] = seen;
  }
  return { ...stamp, record: { type: record.type, id: record.id }, fields: { ...fields }, base };
}

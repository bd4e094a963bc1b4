import { isCounter, isOwn, type FieldsOf, type RecordType } from '@yellow-latch/core/model';
import type { FieldChanges, StoredRecord } from '@yellow-latch/core/sync';

/**
 * A write to one record. Without an id it makes a new one. `seen`: the record as it stood when the
 * person began to edit it, if that is not now; what came in meanwhile then stays as a version.
 */
export type Write = {
  [T in RecordType]: {
    type: T;
    id?: string;
    fields: FieldChanges<T>;
    seen?: StoredRecord;
    /** Of a new shortcut: it never leaves this device. Writes to one that is private stay here too. */
    isPrivate?: boolean;
  };
}[RecordType];

/** The values that a record shows, as a write gives them to another. */
export function plainFields(record: StoredRecord): Partial<FieldsOf[RecordType]> {
  const names = Object.keys(record.fields).filter((name) => name !== 'deleted' && !isCounter(record.type, name));
  return Object.fromEntries(names.map((name) => [name, record.fields[name]![0]?.value]));
}

/** Whether a write only counts uses. */
export function onlyCounts({ type, fields }: Pick<Write, 'type' | 'fields'>): boolean {
  return Object.keys(fields).every((field) => isCounter(type, field));
}

/** Whether a device that may not edit may do this all the same: count uses, and learn. */
export function changesNoList(write: Pick<Write, 'type' | 'fields'>): boolean {
  return isOwn(write.type) || onlyCounts(write);
}

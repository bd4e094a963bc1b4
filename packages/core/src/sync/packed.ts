import type { Clock } from './clock';
import type { StoredRecord, Version } from './record';

/**
 * A record as it is stored in bulk and sent. Most fields of most records have one version, that of the change which made
 * them: its id and clock stand once, in `by`, with the bare values of those fields. A third of the size.
 */
export interface PackedRecord {
  type: StoredRecord['type'];
  id: string;
  by: [id: string, clock: Clock];
  values: Record<string, unknown>;
  /** The fields of which there is more to say. */
  fields?: Record<string, Version[]>;
}

export function packRecord({ type, id, fields }: StoredRecord): PackedRecord | StoredRecord {
  let made: Version | undefined;
  const values: Record<string, unknown> = {};
  let others: Record<string, Version[]> | undefined;
  for (const field in fields) {
    const versions = fields[field]!;
    const [first] = versions;
    const only = versions.length === 1 ? first : undefined;
    made ??= only;
    if (only && only.id === made!.id && only.clock === made!.clock && only.saw === undefined)
      values[field] = only.value;
    else (others ??= {})[field] = versions;
  }
  if (!made) return { type, id, fields };
  const packed: PackedRecord = { type, id, by: [made.id, made.clock], values };
  if (others) packed.fields = others;
  return packed;
}

/** The record, whether it came packed or not. */
export function unpackRecord(record: PackedRecord | StoredRecord): StoredRecord {
  if (!('by' in record)) return record;
  const { type, id, by, values, fields } = record;
  const unpacked: Record<string, Version[]> = { ...fields };
  for (const field of Object.keys(values)) unpacked[field] = [{ id: by[0], clock: by[1], value: values[field] }];
  return { type, id, fields: unpacked };
}

/** Changes and records made whole, where the other side may know nothing of them. */
import { isCounter, RECORD_TYPES } from '@yellow-latch/core/model';
import { isDeleted, recordKey, type Change, type StoredRecord } from '@yellow-latch/core/sync';

import type { OutboxEntry } from './database';
import { onlyCounts, plainFields, type Write } from './write';

/**
 * Waiting changes of records that the server deleted long ago and has forgotten, as they are to be sent, by their ids.
 * The first one that brings a record back or writes in it gives all fields, as this device has them: so what was
 * written lives on. Earlier ones ask for nothing any more; they keep their numbers. `records`: as the server had them.
 */
export function wholeChanges(
  outbox: readonly OutboxEntry[],
  records: ReadonlyMap<string, StoredRecord>,
  isForgotten: (key: string) => boolean,
): Map<string, Change> {
  const soFar = new Map<string, Record<string, unknown>>();
  const isBack = new Set<string>();
  const whole = new Map<string, Change>();
  for (const { change, refused } of outbox) {
    const { type } = change.record;
    const key = recordKey(change.record);
    const known = records.get(key);
    if (!known || !isForgotten(key) || refused !== undefined || isBack.has(key)) continue;
    if (onlyCounts({ type, fields: change.fields })) continue;
    const fields = { ...(soFar.get(key) ?? plainFields(known)), ...change.fields };
    soFar.set(key, fields);
    const isEdit =
      change.fields.deleted === false || RECORD_TYPES[type].guarded.some((field) => field in change.fields);
    if (isEdit && change.fields.deleted !== true) isBack.add(key);
    whole.set(change.id, { ...change, fields: isBack.has(key) ? fields : { deleted: true } });
  }
  return whole;
}

/**
 * Records whole, as another device would write them: those with a change still waiting, or all. What waits counts, also
 * where another device's later value is shown in its place; uses that were only counted do not. `shown`: the records
 * with what waits on top.
 */
export function wholeRecords(
  which: 'waiting' | 'all',
  outbox: readonly OutboxEntry[],
  shown: ReadonlyMap<string, StoredRecord>,
): Write[] {
  const waiting = new Map<string, Record<string, unknown>>();
  for (const { change } of outbox) {
    if (onlyCounts({ type: change.record.type, fields: change.fields })) continue;
    const key = recordKey(change.record);
    waiting.set(key, { ...waiting.get(key), ...change.fields });
  }
  const keys = which === 'all' ? new Set(shown.keys()) : waiting.keys();
  return [...keys].flatMap((key) => {
    const record = shown.get(key);
    if (!record) return [];
    const own = Object.entries(waiting.get(key) ?? {}).filter(
      ([field]) => field !== 'deleted' && !isCounter(record.type, field),
    );
    const fields = isDeleted(record) ? { deleted: true } : { ...plainFields(record), ...Object.fromEntries(own) };
    return [{ type: record.type, id: record.id, fields } as Write];
  });
}

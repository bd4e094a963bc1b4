import { isCounter } from '@yellow-latch/core/model';
import { isDeleted, isErased, recordKey, type Change, type StoredRecord, type Version } from '@yellow-latch/core/sync';

import { plainFields, type Write } from './write';

/**
 * What a device still has of changes that a server lost when its data was set back: writes that make them anew. `before`:
 * the records as the device had them; `now`: as the server has them, by `type:id`; `isElsewhere`: not for this device, so that nothing follows from its
 * absence. A value is lost if it is later, by the
 * clock of its change, than all that the server has of its field: what the server has has seen none later. So nothing
 * written since is undone. What was erased is erased again.
 */
export function writesOfLost(
  before: ReadonlyMap<string, StoredRecord>,
  now: ReadonlyMap<string, StoredRecord>,
  isElsewhere: (key: string) => boolean,
): Write[] {
  const writes: Write[] = [];
  for (const [key, record] of before) {
    const { type, id } = record;
    const there = now.get(key);
    if (!there && isElsewhere(key)) continue;
    const fields = fieldsLost(record, there);
    if (Object.keys(fields).length > 0) writes.push({ type, id, fields });
  }
  return writes;
}

/**
 * The same for a device that goes on as itself: what waits in its outbox says itself what it has to say, so that is left out.
 * `shown`: the records with what waits on top.
 */
export function writesOfLostBeside(
  waiting: readonly Change[],
  before: ReadonlyMap<string, StoredRecord>,
  now: ReadonlyMap<string, StoredRecord>,
  shown: ReadonlyMap<string, StoredRecord>,
  isElsewhere: (key: string) => boolean,
): Write[] {
  const waits = new Map<string, Set<string>>();
  for (const { record, fields } of waiting) {
    const key = recordKey(record);
    waits.set(key, new Set([...(waits.get(key) ?? []), ...Object.keys(fields)]));
  }
  // A change that waits makes its record anew where the server has none.
  const isMade = (key: string) => shown.has(key) && !isDeleted(shown.get(key)!);
  return writesOfLost(before, now, (key) => isElsewhere(key) || isMade(key)).flatMap((write) => {
    const key = recordKey({ type: write.type, id: write.id! });
    const own = waits.get(key);
    if (!own || !now.has(key) || write.fields.deleted === 'erased') return [write];
    const fields = Object.fromEntries(Object.entries(write.fields).filter(([field]) => !own.has(field)));
    return Object.keys(fields).length > 0 ? [{ ...write, fields }] : [];
  });
}

function fieldsLost(record: StoredRecord, there: StoredRecord | undefined): Record<string, unknown> {
  if (isErased(record)) return erasing(there);
  if (there) return laterFields(record, there);
  return isDeleted(record) ? {} : plainFields(record);
}

function erasing(there: StoredRecord | undefined): Record<string, unknown> {
  return there && !isErased(there) ? { deleted: 'erased' } : {};
}

function laterFields(record: StoredRecord, there: StoredRecord): Record<string, unknown> {
  const later = Object.entries(record.fields).filter(
    ([field, versions]) => !isCounter(record.type, field) && isLater(versions, there.fields[field] ?? []),
  );
  return Object.fromEntries(later.map(([field, [shown]]) => [field, shown!.value]));
}

function isLater([shown]: readonly Version[], others: readonly Version[]): boolean {
  return shown !== undefined && others.every(({ clock }) => clock < shown.clock);
}

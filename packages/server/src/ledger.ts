/** The ledger of a list: takes changes in, gives records out. All writes to a list go through here. */
import { LIMITS } from '@yellow-latch/core/model';
import {
  applyChange,
  eraseChange,
  eraseRecord,
  isErased,
  LARGEST_CLOCK_LEAD,
  nextClock,
  readClock,
  type Change,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { and, asc, count, eq, gt } from 'drizzle-orm';

import type { Database, Queries } from './database';
import type { Device } from './devices';
import { ProblemError } from './problem';
import { changes, devices, lists, records } from './schema';

export interface Taken {
  /** The last of the device's own numbers that is in the log. */
  taken: number;
  /** The list's newest number. */
  through: number;
  /** Whether anything was new. */
  changed: boolean;
}

/**
 * Takes changes of one device, all or none, in one durable transaction. A change that was taken
 * before is passed over; one that follows a gap, or reuses a number, is refused. What is erased is
 * gone from the log, the records and the files when this returns.
 */
export function takeChanges(
  db: Database,
  device: Device,
  pushed: readonly Change[],
  now: number,
): Taken {
  const { erases, ...taken } = db.transaction(
    (tx) => {
      const { lastN } = tx.select().from(devices).where(eq(devices.id, device.id)).get()!;
      const list = tx.select().from(lists).where(eq(lists.id, device.listId)).get()!;
      const state: Entry = {
        tx,
        device,
        now,
        number: list.lastNumber,
        taken: lastN,
        restamped: null,
        erases: false,
      };
      for (const [index, change] of pushed.entries()) takeChange(state, change, index);
      const changed = state.number > list.lastNumber;
      if (changed) {
        tx.update(lists).set({ lastNumber: state.number }).where(eq(lists.id, list.id)).run();
      }
      if (state.taken > lastN) {
        tx.update(devices).set({ lastN: state.taken }).where(eq(devices.id, device.id)).run();
      }
      return { taken: state.taken, through: state.number, changed, erases: state.erases };
    },
    { behavior: 'immediate' },
  );
  // The write-ahead log still holds the pages as they were.
  if (erases) db.$client.pragma('wal_checkpoint(TRUNCATE)');
  return taken;
}

/** A push in progress. */
interface Entry {
  tx: Queries;
  device: Device;
  now: number;
  number: number;
  taken: number;
  restamped: string | null;
  /** Whether something written before was erased. */
  erases: boolean;
}

function takeChange(entry: Entry, sent: Change, index: number): void {
  const { tx, device } = entry;
  if (sent.device !== device.id) {
    throw refused(index, '/device', 'is not the device that sends it');
  }
  if (sent.n <= entry.taken) {
    refuseReusedNumber(entry, sent);
    return;
  }
  if (sent.n !== entry.taken + 1) {
    throw new ProblemError(409, 'gap', 'A change is missing before this one', {
      detail: `Change ${sent.n} came after ${entry.taken}.`,
      expected: entry.taken + 1,
    });
  }
  entry.taken = sent.n;
  const isLogged = tx
    .select({ number: changes.number })
    .from(changes)
    .where(and(eq(changes.listId, device.listId), eq(changes.id, sent.id)))
    .get();
  if (isLogged) return;

  const change = { ...sent, clock: stampedInTime(entry, sent.clock) };
  const place = and(
    eq(records.listId, device.listId),
    eq(records.type, change.record.type),
    eq(records.id, change.record.id),
  );
  const stored = tx.select({ body: records.body }).from(records).where(place).get();
  const result = applyChange(stored && (JSON.parse(stored.body) as StoredRecord), change);
  if (result.type === 'nothing-to-do') return;
  if (result.type === 'incomplete') {
    throw refused(index, '/fields', `begins a record but lacks ${result.missing.join(', ')}`);
  }
  if (!stored && change.record.type === 'shortcut') refuseFullList(tx, device.listId, index);

  entry.number += 1;
  const { listId } = device;
  const { type, id } = change.record;
  tx.insert(changes)
    .values({
      listId,
      number: entry.number,
      id: change.id,
      deviceId: device.id,
      n: change.n,
      recordType: type,
      recordId: id,
      body: JSON.stringify(change),
      takenAt: entry.now,
    })
    .run();
  const body = JSON.stringify(isErased(result.record) ? eraseRecord(result.record) : result.record);
  if (isErased(result.record)) eraseFromLog(entry, change.record);
  tx.insert(records)
    .values({ listId, type, id, number: entry.number, body })
    .onConflictDoUpdate({
      target: [records.listId, records.type, records.id],
      set: { number: entry.number, body },
    })
    .run();
}

/** Overwrites what the log holds of a record: also of an edit that came when it was erased already. */
function eraseFromLog(entry: Entry, { type, id }: Change['record']): void {
  const { tx, device } = entry;
  const ofRecord = and(eq(changes.listId, device.listId), eq(changes.recordType, type), eq(changes.recordId, id));
  for (const { number, body } of tx.select().from(changes).where(ofRecord).all()) {
    const erased = JSON.stringify(eraseChange(JSON.parse(body) as Change));
    if (erased === body) continue;
    tx.update(changes).set({ body: erased }).where(and(ofRecord, eq(changes.number, number))).run();
  }
  entry.erases = true;
}

function refused(index: number, pointer: string, detail: string): ProblemError {
  return new ProblemError(422, 'invalid', 'A change cannot be taken', {
    errors: [{ pointer: `/changes/${index}${pointer}`, detail, index }],
  });
}

/** A number that stands for another change already: the device's store was copied or set back. */
function refuseReusedNumber({ tx, device }: Entry, sent: Change): void {
  const logged = tx
    .select({ id: changes.id })
    .from(changes)
    .where(and(eq(changes.deviceId, device.id), eq(changes.n, sent.n)))
    .get();
  if (logged && logged.id !== sent.id) {
    throw new ProblemError(409, 'number-reused', 'This number stands for another change already', {
      detail: `Change ${sent.n} of this device is known under another id.`,
    });
  }
}

function refuseFullList(tx: Queries, listId: string, index: number): void {
  const of = and(eq(records.listId, listId), eq(records.type, 'shortcut'));
  const held = tx.select({ held: count() }).from(records).where(of).get()!.held;
  if (held >= LIMITS.shortcutsPerList) {
    throw refused(index, '', `the list is full: it holds ${LIMITS.shortcutsPerList} shortcuts`);
  }
}

/** The clock as sent, or one of now where it runs too far ahead; the order of a push is kept. */
function stampedInTime(entry: Entry, clock: string): string {
  if (readClock(clock).time <= entry.now + LARGEST_CLOCK_LEAD) return clock;
  entry.restamped = nextClock(entry.restamped, entry.now, entry.device.id);
  return entry.restamped;
}

/**
 * The records changed after number `since`, oldest change first, at most `limit`, as the JSON of
 * a `Page`. Bodies are passed on as they are stored, without parsing them.
 */
export function readPage(db: Queries, device: Device, since: number, limit: number): {
  json: string;
  through: number;
  more: boolean;
} {
  const rows = db
    .select({ number: records.number, body: records.body })
    .from(records)
    .where(and(eq(records.listId, device.listId), gt(records.number, since)))
    .orderBy(asc(records.number))
    .limit(limit + 1)
    .all();
  const more = rows.length > limit;
  const page = rows.slice(0, limit);
  const list = db.select().from(lists).where(eq(lists.id, device.listId)).get()!;
  const own = db.select().from(devices).where(eq(devices.id, device.id)).get()!;
  const through = more ? page.at(-1)!.number : Math.max(since, list.lastNumber);
  const bodies = page.map(({ body }) => body).join(',');
  return {
    json: `{"records":[${bodies}],"through":${through},"taken":${own.lastN},"more":${more}}`,
    through,
    more,
  };
}

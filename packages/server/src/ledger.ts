/** The ledger of a list: takes changes in, gives records out. All writes to a list go through here. */
import { isCounter, LIMITS, RECORD_TYPES } from '@yellow-latch/core/model';
import {
  applyChange,
  eraseChange,
  eraseFields,
  eraseRecord,
  isDeleted,
  isErased,
  LARGEST_CLOCK_LEAD,
  nextClock,
  packRecord,
  readClock,
  unpackRecord,
  type Change,
  type PackedRecord,
  type StoredRecord,
  type Takes,
} from '@yellow-latch/core/sync';
import { and, count, eq } from 'drizzle-orm';

import type { Database } from './database';
import { deviceNow, onlyUse, takesOf, type Device } from './devices';
import { ProblemError } from './problem';
import { changes, records } from './schema';
import { statementsOf } from './statements';

export interface Taken {
  /** The last of the device's own numbers that is in the log. */
  taken: number;
  /** The list's newest number. */
  through: number;
  /** Whether anything was new. */
  changed: boolean;
}

interface Push {
  device: Device;
  changes: readonly Change[];
  now: number;
}

interface Waiting extends Push {
  resolve(taken: Taken): void;
  reject(error: unknown): void;
}

/**
 * Takes pushes in. Those that arrive while the event loop turns once share a transaction, so that many devices
 * cost the disk one wait; each push is still taken whole or not at all, and answered when it is durable.
 */
export class Intake {
  private waiting: Waiting[] = [];

  constructor(private readonly db: Database) {}

  take(push: Push): Promise<Taken> {
    return new Promise((resolve, reject) => {
      if (this.waiting.push({ ...push, resolve, reject }) === 1) setImmediate(() => this.takeWaiting());
    });
  }

  private takeWaiting(): void {
    const pushes = this.waiting;
    this.waiting = [];
    try {
      const answers = takePushes(this.db, pushes);
      answers.forEach((answer, index) => {
        if (answer instanceof Error) pushes[index]!.reject(answer);
        else pushes[index]!.resolve(answer);
      });
    } catch (error) {
      for (const { reject } of pushes) reject(error);
    }
  }
}

/**
 * Takes changes of one device, all or none, in one durable transaction. A change that was taken
 * before is passed over; one that follows a gap, or reuses a number, is refused. What is erased is
 * gone from the log, the records and the files when this returns.
 */
export function takeChanges(db: Database, device: Device, changes: readonly Change[], now: number): Taken {
  const [answer] = takePushes(db, [{ device, changes, now }]);
  if (answer instanceof Error) throw answer;
  return answer!;
}

/** In one transaction; if one of the pushes is refused, each in its own, so that the others stand. */
function takePushes(db: Database, pushes: readonly Push[]): (Taken | ProblemError)[] {
  let taken: (Taken & { erases: boolean })[];
  try {
    taken = db.$client.transaction(() => takeAll(db, pushes)).immediate();
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    return pushes.length === 1 ? [error] : pushes.flatMap((push) => takePushes(db, [push]));
  }
  // The write-ahead log still holds the pages as they were.
  if (taken.some(({ erases }) => erases)) db.$client.pragma('wal_checkpoint(TRUNCATE)');
  return taken;
}

function takeAll(db: Database, pushes: readonly Push[]): (Taken & { erases: boolean })[] {
  const { list, advanceList } = statementsOf(db);
  /** The newest number of each list, as it grows. */
  const numbers = new Map<string, number>();
  const taken = pushes.map((push) => {
    const device = deviceNow(db, push.device.id);
    const { listId } = device;
    const before = numbers.get(listId) ?? list.get({ id: listId })!.lastNumber;
    const answer = takePush(db, device, push, before);
    numbers.set(listId, answer.through);
    return answer;
  });
  for (const [id, number] of numbers) advanceList.run({ id, number });
  return taken;
}

function takePush(db: Database, device: Device, { changes: pushed, now }: Push, before: number): Taken & { erases: boolean } {
  const entry: Entry = { db, device, now, number: before, taken: device.lastN, restamped: null, erases: false };
  for (const [index, change] of pushed.entries()) takeChange(entry, change, index);
  if (entry.taken > device.lastN) statementsOf(db).advanceDevice.run({ id: device.id, n: entry.taken });
  return { taken: entry.taken, through: entry.number, changed: entry.number > before, erases: entry.erases };
}

/** A push in progress. */
interface Entry {
  db: Database;
  device: Device;
  now: number;
  number: number;
  taken: number;
  restamped: string | null;
  /** Whether something written before was erased. */
  erases: boolean;
}

function takeChange(entry: Entry, sent: Change, index: number): void {
  const { db, device } = entry;
  const { listId } = device;
  const statements = statementsOf(db);
  if (sent.device !== device.id) {
    throw refused(index, '/device', 'is not the device that sends it');
  }
  if (sent.n <= entry.taken) {
    refuseReusedNumber(entry, sent);
    return;
  }
  const counts = Object.keys(sent.fields).every((field) => isCounter(sent.record.type, field));
  if (device.may === 'use' && !counts) throw onlyUse();
  if (sent.n !== entry.taken + 1) {
    throw new ProblemError(409, 'gap', 'A change is missing before this one', {
      detail: `Change ${sent.n} came after ${entry.taken}.`,
      expected: entry.taken + 1,
    });
  }
  entry.taken = sent.n;
  if (statements.logged.get({ listId, id: sent.id })) return;

  const change = { ...sent, clock: stampedInTime(entry, sent.clock) };
  const { type, id } = change.record;
  const stored = statements.body.get({ listId, type, id });
  const known = stored && unpackRecord(JSON.parse(stored.body) as PackedRecord);
  const result = applyChange(known, change);
  if (result.type === 'nothing-to-do') return;
  if (result.type === 'incomplete') {
    throw refused(index, '/fields', `begins a record but lacks ${result.missing.join(', ')}`, 'incomplete');
  }
  if (!stored && type === 'shortcut') refuseFullList(entry, index);

  entry.number += 1;
  statements.log.run({
    listId,
    number: entry.number,
    id: change.id,
    deviceId: device.id,
    n: change.n,
    recordType: type,
    recordId: id,
    body: JSON.stringify(change),
    before: shownBefore(known, change),
    together: change.together ?? null,
    counts,
    takenAt: entry.now,
  });
  const record = isErased(result.record) ? eraseRecord(result.record) : result.record;
  if (isErased(result.record)) eraseFromLog(entry, change.record);
  statements.keep.run({ listId, type, id, number: entry.number, body: JSON.stringify(packRecord(record)), setId: setOf(record), isDeleted: isDeleted(record) });
}

/** What the fields of a change showed before it, as JSON; null: it makes the record. */
function shownBefore(record: StoredRecord | undefined, { fields }: Change): string | null {
  if (!record) return null;
  const { defaults } = RECORD_TYPES[record.type];
  const shown = (field: string) => record.fields[field]?.[0]?.value ?? (defaults as Record<string, unknown>)[field];
  const before = Object.keys(fields).map((field) => [field, field === 'deleted' ? isErased(record) ? 'erased' : isDeleted(record) : (shown(field) ?? null)]);
  return JSON.stringify(Object.fromEntries(before));
}

function setOf(record: StoredRecord): string | null {
  return record.type === 'shortcut' ? ((record.fields.setId?.[0]?.value as string | null | undefined) ?? null) : null;
}

/** Overwrites what the log holds of a record: also of an edit that came when it was erased already. */
function eraseFromLog(entry: Entry, { type, id }: Change['record']): void {
  const { db, device } = entry;
  const ofRecord = and(eq(changes.listId, device.listId), eq(changes.recordType, type), eq(changes.recordId, id));
  for (const { number, body, before } of db.select().from(changes).where(ofRecord).all()) {
    const erased = {
      body: JSON.stringify(eraseChange(JSON.parse(body) as Change)),
      before: before && JSON.stringify(eraseFields(type, JSON.parse(before) as Record<string, unknown>)),
    };
    if (erased.body === body && erased.before === before) continue;
    db.update(changes).set(erased).where(and(ofRecord, eq(changes.number, number))).run();
  }
  entry.erases = true;
}

function refused(index: number, pointer: string, detail: string, slug = 'invalid'): ProblemError {
  return new ProblemError(422, slug, 'A change cannot be taken', {
    errors: [{ pointer: `/changes/${index}${pointer}`, detail, index }],
  });
}

/** A number that stands for another change already: the device's store was copied or set back. */
function refuseReusedNumber({ db, device }: Entry, sent: Change): void {
  const logged = statementsOf(db).numbered.get({ deviceId: device.id, n: sent.n });
  if (logged && logged.id !== sent.id) {
    throw new ProblemError(409, 'number-reused', 'This number stands for another change already', {
      detail: `Change ${sent.n} of this device is known under another id.`,
    });
  }
}

function refuseFullList({ db, device: { listId }, number }: Entry, index: number): void {
  // With fewer changes than that it cannot be full, and to count costs more the more there are.
  if (number < LIMITS.shortcutsPerList) return;
  const of = and(eq(records.listId, listId), eq(records.type, 'shortcut'));
  const held = db.select({ held: count() }).from(records).where(of).get()!.held;
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

/** What one page is read of: a list up to now, for devices that take the same. */
interface Reading {
  listId: string;
  takes: Takes;
  since: number;
  limit: number;
}

interface Read {
  /** The members of a `Page` that all these devices share, as JSON that is not closed yet. */
  head: string;
  through: number;
  more: boolean;
}

/**
 * The records changed after a number, oldest change first, at most `limit`. Bodies are passed on as they are stored,
 * without parsing them. From a number that was forgotten, or from 0, a fresh copy begins.
 */
export function readRecords(db: Database, { listId, takes, since: asked, limit }: Reading): Read {
  const statements = statementsOf(db);
  const list = statements.list.get({ id: listId })!;
  if (asked > list.lastNumber) {
    throw new ProblemError(409, 'set-back', 'The server has less of the list than this device', {
      detail: `It has ${list.lastNumber} changes, not ${asked}: its data was set back. What the device has is to be sent anew.`,
    });
  }
  const since = asked < list.forgotten ? 0 : asked;
  const rows = statements.since.all({ listId, since, limit: limit + 1 });
  const more = rows.length > limit;
  const page = rows.slice(0, limit);
  const isTaken = (row: (typeof rows)[number]) => takes === null || row.type !== 'shortcut' || takes.includes(row.setId);
  const through = more ? page.at(-1)!.number : list.lastNumber;
  const bodies = page.filter(isTaken).map(({ body }) => body);
  const removed = page.filter((row) => !isTaken(row)).map(({ type, id }) => ({ type, id }));
  const head = `{"records":[${bodies.join(',')}],"removed":${JSON.stringify(removed)},"through":${through},"more":${more},"fresh":${since === 0}`;
  return { head, through, more };
}

/** What was read, as the JSON of a `Page` for one device. */
export function pageFor(db: Database, deviceId: string, { head }: Read): string {
  const { lastN, may, takes } = deviceNow(db, deviceId);
  return `${head},"taken":${lastN},"may":"${may}","takes":${takes ?? 'null'}}`;
}

export function readPage(db: Database, device: Device, since: number, limit: number): Read & { json: string } {
  const read = readRecords(db, { listId: device.listId, takes: takesOf(device), since, limit });
  return { ...read, json: pageFor(db, device.id, read) };
}

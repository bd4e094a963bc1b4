/** The ledger of a list: takes changes in. All writes to a list go through here. */
import { isCounter, isOwn, LIMITS, matchKey, RECORD_TYPES, type Used } from '@yellow-latch/core/model';
import {
  applyChange,
  countOf,
  eraseChange,
  eraseFields,
  eraseRecord,
  isDeleted,
  isErased,
  LARGEST_CLOCK_LEAD,
  laterClock,
  nextClock,
  packRecord,
  readClock,
  unpackRecord,
  type Change,
  type PackedRecord,
  type StoredRecord,
} from '@yellow-latch/core/sync';
import { and, count, eq } from 'drizzle-orm';
import { v7 as uuid } from 'uuid';

import type { Database } from './database';
import { deviceStillIn, onlyUse, subscribedSetsOf, type Device } from './devices';
import { ProblemError } from './problem';
import type { ProblemSlug } from './problems';
import { changes, records } from './schema';
import { belongingOf, gets, type Belonging } from './subscribedSets';
import { statementsOf } from './statements';

/** What records and log of one list may take, in bytes, unless the operator says otherwise. */
export const LIST_BYTES = 64_000_000;
/** When a list is full, what only deletes or counts is still taken, and what erases: up to so many times that. */
const LEEWAY = { small: 1.25, erasing: 2 };

export interface Received {
  /** The last of the device's own numbers that is in the log. */
  acknowledged: number;
  /** The list's newest number. */
  through: number;
  /** Whether anything was new. */
  changed: boolean;
}

/** Changes of one device, to be taken all or none. */
export interface Push {
  device: Pick<Device, 'id' | 'tokenHash'>;
  changes: readonly Change[];
  now: number;
}

/**
 * Receives changes of one device, all or none, in one durable transaction. A change that was taken
 * before is passed over; one that follows a gap, or reuses a number, is refused. What is erased is
 * gone from the log and the records when this returns, and from the files after an `Erasure`.
 */
export function receiveChanges(
  db: Database,
  device: Device,
  changes: readonly Change[],
  now: number,
  quota = LIST_BYTES,
): Received {
  const [answer] = receivePushes(db, [{ device, changes, now }], quota);
  if (answer instanceof Error) throw answer;
  return answer!;
}

/** What became of a push. `erases`: something is to be gone from the files; see `Erasure`. */
export type Answer = Received & { erases: boolean };

/** Receives pushes in one transaction; if one of the pushes is refused, each in its own, so that the others stand. */
export function receivePushes(db: Database, pushes: readonly Push[], quota: number): (Answer | ProblemError)[] {
  try {
    return db.$client.transaction(() => receiveAll(db, pushes, quota)).immediate();
  } catch (error) {
    if (!(error instanceof ProblemError)) throw error;
    return pushes.length === 1 ? [error] : pushes.flatMap((push) => receivePushes(db, [push], quota));
  }
}

/** A list while pushes are taken into it: its newest number, and what it takes in bytes. */
interface Growing {
  number: number;
  bytes: number;
}

function receiveAll(db: Database, pushes: readonly Push[], quota: number): Answer[] {
  const { list, advanceList } = statementsOf(db);
  const growing = new Map<string, Growing>();
  const answers = pushes.map((push) => {
    // It may have been signed out since its push began.
    const device = deviceStillIn(db, push.device);
    let into = growing.get(device.listId);
    if (!into) {
      const { lastNumber, bytes } = list.get({ id: device.listId })!;
      growing.set(device.listId, (into = { number: lastNumber, bytes }));
    }
    return receivePush(db, device, push, into, quota);
  });
  for (const [id, { number, bytes }] of growing) advanceList.run({ id, number, bytes });
  return answers;
}

function receivePush(
  db: Database,
  device: Device,
  { changes: pushed, now }: Push,
  list: Growing,
  quota: number,
): Answer {
  const before = list.number;
  const entry: Entry = {
    db,
    device,
    now,
    list,
    quota,
    acknowledged: device.lastN,
    restamped: null,
    erased: new Map(),
    groups: new Map(),
  };
  for (const [index, change] of pushed.entries()) receiveChange(entry, change, index);
  if (entry.erased.size > 0) eraseWhatIsAbout(entry);
  const { advanceDevice, countGroup } = statementsOf(db);
  for (const [id, group] of entry.groups) countGroup.run({ listId: device.listId, id, ...group });
  if (entry.acknowledged > device.lastN) advanceDevice.run({ id: device.id, n: entry.acknowledged });
  return {
    acknowledged: entry.acknowledged,
    through: list.number,
    changed: list.number > before,
    erases: entry.erased.size > 0,
  };
}

/** A push in progress. */
interface Entry {
  db: Database;
  device: Device;
  now: number;
  list: Growing;
  quota: number;
  acknowledged: number;
  restamped: string | null;
  /** What was erased, by the name of its record, with the codes that it had. */
  erased: Map<string, { record: Change['record']; codes: Set<string> }>;
  groups: Map<string, Group>;
}

/** What a push adds to a change group; as columns of `change_groups`. */
interface Group {
  first: number;
  last: number;
  size: number;
  shortcuts: number;
  deletes: number;
  deletedShortcuts: number;
}

type Stored = Pick<typeof records.$inferSelect, 'body' | 'setId' | 'refersTo'> | undefined;

function receiveChange(entry: Entry, sent: Change, index: number): void {
  const { db, device } = entry;
  const { listId } = device;
  const statements = statementsOf(db);
  if (sent.device !== device.id) throw refused(index, '/device', 'is not the device that sends it');
  if (sent.n <= entry.acknowledged) {
    refuseReusedNumber(entry, sent);
    return;
  }
  // A device counts for itself under the name in the clock.
  if (readClock(sent.clock).device !== device.id) throw refused(index, '/clock', 'is not of the device that sends it');
  const counts = Object.keys(sent.fields).every((field) => isCounter(sent.record.type, field));
  if (device.may === 'use' && !counts && !isOwn(sent.record.type)) throw onlyUse();
  if (sent.n !== entry.acknowledged + 1) {
    throw new ProblemError(409, 'gap', 'A change is missing before this one', {
      detail: `Change ${sent.n} came after ${entry.acknowledged}.`,
      expected: entry.acknowledged + 1,
    });
  }
  entry.acknowledged = sent.n;
  if (statements.logged.get({ listId, id: sent.id })) return;

  const change = { ...sent, clock: stampedInTime(entry, sent.clock) };
  const stored = statements.record.get({ listId, ...change.record });
  const known = stored && unpackRecord(JSON.parse(stored.body) as PackedRecord);
  refuseWildCount(device, known, change, index);
  const result = applyChange(known, change);
  if (result.type === 'nothing-to-do') return;
  if (result.type === 'incomplete') {
    throw refused(index, '/fields', `begins a record but lacks ${result.missing.join(', ')}`, 'incomplete');
  }
  const belongs = belongingOf(result.record);
  refuseWhatItDoesNotGet(entry, stored && { ...change.record, ...stored }, belongs, index);
  if (!stored) refuseFullList(entry, change.record.type, index);
  keep(entry, { change, counts, stored, known, record: result.record, belongs }, index);
}

/** A change that is to be logged, and the record before and after it. */
interface Kept {
  change: Change;
  counts: boolean;
  stored: Stored;
  known: StoredRecord | undefined;
  record: StoredRecord;
  belongs: Belonging;
}

/** Logs a change under the list's next number and keeps the record as it is after it. */
function keep(entry: Entry, { change, counts, stored, known, record: applied, belongs }: Kept, index: number): void {
  const { db, device, list } = entry;
  const { listId } = device;
  const statements = statementsOf(db);
  const { type, id } = change.record;
  const erases = isErased(applied) || isOfErased(entry, applied);
  const record = erases ? eraseRecord(applied) : applied;
  const body = JSON.stringify(erases ? eraseChange(change) : change);
  const shown = shownBefore(known, change);
  const before = shown && JSON.stringify(erases ? eraseFields(type, shown) : shown);
  const packed = JSON.stringify(packRecord(record));

  const room =
    Buffer.byteLength(body) +
    (before === null ? 0 : Buffer.byteLength(before)) +
    Buffer.byteLength(packed) -
    (stored ? Buffer.byteLength(stored.body) : 0);
  if (list.bytes + room > entry.quota * leewayOf(change, counts))
    throw refused(index, '', tellFull(entry.quota), 'list-too-large');
  list.bytes += room;
  list.number += 1;
  const deletes = change.fields.deleted === true;
  statements.log.run({
    listId,
    number: list.number,
    id: change.id,
    deviceId: device.id,
    n: change.n > 0 ? change.n : -list.number,
    recordType: type,
    recordId: id,
    takenAt: entry.now,
    counts: Number(counts),
    deletes: Number(deletes),
    together: change.together ?? null,
    setBefore: stored ? stored.setId : belongs.setId,
    setId: belongs.setId,
    body,
    before,
  });
  if (change.together && !counts) addToGroup(entry, change.together, type === 'shortcut', deletes);
  if (erases) eraseFromLog(entry, change.record, applied);
  statements.keep.run({
    listId,
    type,
    id,
    number: list.number,
    setId: belongs.setId,
    refersTo: belongs.refersTo,
    isDeleted: Number(isDeleted(record)),
    body: packed,
  });
}

function leewayOf({ fields }: Change, counts: boolean): number {
  if (fields.deleted === 'erased') return LEEWAY.erasing;
  return counts || Object.keys(fields).every((field) => field === 'deleted') ? LEEWAY.small : 1;
}

function addToGroup({ groups, list }: Entry, id: string, isShortcut: boolean, deletes: boolean): void {
  const group = groups.get(id) ?? {
    first: list.number,
    last: 0,
    size: 0,
    shortcuts: 0,
    deletes: 0,
    deletedShortcuts: 0,
  };
  group.last = list.number;
  group.size += 1;
  group.shortcuts += Number(isShortcut);
  group.deletes += Number(deletes);
  group.deletedShortcuts += Number(isShortcut && deletes);
  groups.set(id, group);
}

/** Whether a record is about a shortcut that was erased: it comes from a device that did not know. */
function isOfErased({ db, device }: Entry, record: StoredRecord): boolean {
  const { refersTo } = belongingOf(record);
  const stored =
    refersTo === null
      ? undefined
      : statementsOf(db).record.get({ listId: device.listId, type: 'shortcut', id: refersTo });
  return stored !== undefined && isErased(unpackRecord(JSON.parse(stored.body) as PackedRecord));
}

/** Refuses a change of, or to, what a device does not get: it could read there what it is not to. */
function refuseWhatItDoesNotGet(
  { db, device }: Entry,
  before: Belonging | undefined,
  after: Belonging,
  index: number,
): void {
  if (device.subscribedSets === null) return;
  const sets = subscribedSetsOf(device);
  const isGot = (belonging: Belonging) => gets(db, device.listId, sets, belonging);
  if ((before && !isGot(before)) || !isGot(after)) {
    throw refused(index, '/record', 'is in a set that this device doesn’t get', 'not-got');
  }
}

/** A count is as high as fingers make it. */
function refuseWildCount(
  device: Device,
  known: StoredRecord | undefined,
  { record, fields }: Change,
  index: number,
): void {
  for (const [field, value] of Object.entries(fields)) {
    if (!isCounter(record.type, field)) continue;
    const before = known ? countOf(known, field, device.id) : 0;
    if ((value as Used).count > before + LIMITS.usesAChange)
      throw refused(index, `/fields/${field}/count`, `is more than ${LIMITS.usesAChange} above the last`);
  }
}

function tellFull(quota: number): string {
  return `this list is full: with its history it takes the ${Math.round(quota / 1_000_000)} MB that this server allows. It stays on this device`;
}

/** What the fields of a change showed before it; null: it makes the record. */
function shownBefore(record: StoredRecord | undefined, { fields }: Change): Record<string, unknown> | null {
  if (!record) return null;
  const { defaults } = RECORD_TYPES[record.type];
  const shown = (field: string) => record.fields[field]?.[0]?.value ?? (defaults as Record<string, unknown>)[field];
  const deleted = isErased(record) ? 'erased' : isDeleted(record);
  const before = Object.keys(fields).map((field): [string, unknown] => [
    field,
    field === 'deleted' ? deleted : (shown(field) ?? null),
  ]);
  return Object.fromEntries(before);
}

/** Overwrites what the log holds of a record: also of an edit that came when it was erased already. Notes the codes it had. */
function eraseFromLog(entry: Entry, record: Change['record'], applied: StoredRecord): void {
  const { db, device, list } = entry;
  const codes = new Set<string>();
  const note = (fields: Readonly<Record<string, unknown>> | null) => {
    for (const code of [fields?.code, (fields?.former as { code?: string } | null | undefined)?.code])
      if (typeof code === 'string') codes.add(code);
  };
  for (const field of ['code', 'former']) for (const { value } of applied.fields[field] ?? []) note({ [field]: value });
  const ofRecord = and(
    eq(changes.listId, device.listId),
    eq(changes.recordType, record.type),
    eq(changes.recordId, record.id),
  );
  for (const { number, body, before } of db.select().from(changes).where(ofRecord).all()) {
    const change = JSON.parse(body) as Change;
    const shown = before === null ? null : (JSON.parse(before) as Record<string, unknown>);
    note(change.fields);
    note(shown);
    const erased = {
      body: JSON.stringify(eraseChange(change)),
      before: shown && JSON.stringify(eraseFields(record.type, shown)),
    };
    if (erased.body === body && erased.before === before) continue;
    list.bytes +=
      Buffer.byteLength(erased.body) +
      Buffer.byteLength(erased.before ?? '') -
      Buffer.byteLength(body) -
      Buffer.byteLength(before ?? '');
    db.update(changes)
      .set(erased)
      .where(and(ofRecord, eq(changes.number, number)))
      .run();
  }
  entry.erased.set(`${record.type}:${record.id}`, { record, codes });
}

/**
 * Erases the ignored findings that are about an erased shortcut, or name its code: as changes of their own, so that every
 * device lets go of them.
 */
function eraseWhatIsAbout(entry: Entry): void {
  const { db, device, now } = entry;
  const erased = [...entry.erased.values()].filter(({ record }) => record.type === 'shortcut');
  if (erased.length === 0) return;
  const ids = new Set(erased.map(({ record }) => record.id));
  const keys = erased.flatMap(({ codes }) => [...codes].map(matchKey)).filter((key) => key !== 'erased');
  const findings = db
    .select()
    .from(records)
    .where(and(eq(records.listId, device.listId), eq(records.type, 'leftFinding')))
    .all();
  for (const stored of findings) {
    const known = unpackRecord(JSON.parse(stored.body) as PackedRecord);
    const names = (known.fields.about ?? []).some(({ value }) =>
      keys.some((key) => ` ${value as string} `.includes(` ${key} `)),
    );
    if (isErased(known) || !(ids.has(stored.refersTo ?? '') || names)) continue;
    const latest = Object.values(known.fields)
      .flat()
      .reduce<string | null>((clock, version) => laterClock(clock, version.clock), null);
    const clock = nextClock(latest, now, device.id);
    const change: Change = {
      id: uuid(),
      record: { type: 'leftFinding', id: stored.id },
      fields: { deleted: 'erased' },
      base: {},
      clock,
      device: device.id,
      n: 0,
    };
    const result = applyChange(known, change);
    if (result.type === 'applied')
      keep(
        entry,
        { change, counts: false, stored, known, record: result.record, belongs: belongingOf(result.record) },
        0,
      );
  }
}

function refused(index: number, pointer: string, detail: string, slug: ProblemSlug = 'invalid'): ProblemError {
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

function refuseFullList({ db, device: { listId }, list }: Entry, type: Change['record']['type'], index: number): void {
  const { most } = RECORD_TYPES[type];
  // With fewer changes than that it cannot be full, and to count costs more the more there are.
  if (list.number < most) return;
  const of = and(eq(records.listId, listId), eq(records.type, type));
  const held = db.select({ held: count() }).from(records).where(of).get()!.held;
  if (held >= most) throw refused(index, '', `the list is full: it has as many of these as it can hold (${most})`);
}

/** The clock as sent, or one of now where it runs too far ahead; the order of a push is kept. */
function stampedInTime(entry: Entry, clock: string): string {
  if (readClock(clock).time <= entry.now + LARGEST_CLOCK_LEAD) return clock;
  entry.restamped = nextClock(entry.restamped, entry.now, entry.device.id);
  return entry.restamped;
}

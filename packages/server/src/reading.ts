/** Records of a list, read for devices page by page. */
import { isKnownTo, MODEL_VERSION, type RecordType } from '@yellow-latch/core/model';
import type { SubscribedSets } from '@yellow-latch/core/sync';

import type { Database } from './database';
import { deviceNow, subscribedSetsOf, type Device } from './devices';
import type { Erasure } from './erasure';
import { ProblemError } from './problem';
import { gets } from './subscribedSets';
import { statementsOf, type RecordRow } from './statements';

/** A page ends when its records take this much, in UTF-16 units, however few they are: everybody waits while it is read. */
const LARGEST_PAGE = 1_500_000;

/** What one page is read of: a list up to now, for devices that get the same. */
interface Reading {
  listId: string;
  subscribedSets: SubscribedSets;
  since: number;
  /** The id of the change that the device knows under the number `since`; undefined: it does not say. */
  last?: string;
  limit: number;
  /** The version of the model that the device knows: records of later types are not sent to it. */
  model: number;
}

export interface Read {
  /** The members of a `Page` that all these devices share, as JSON that is not closed yet. */
  head: string;
  through: number;
  /** The id of the change with that number; null: the log has let go of it. */
  last: string | null;
  more: boolean;
}

/**
 * The records changed after a number, oldest change first, at most `limit`. Bodies are passed on as they are stored,
 * without parsing them. From 0 a fresh copy begins; also from a number that was forgotten, or under which the device
 * knows another change than this server does: its data was set back, and the two have gone different ways since.
 */
export function readRecords(db: Database, { listId, subscribedSets, since: asked, last, limit, model }: Reading): Read {
  const statements = statementsOf(db);
  const list = statements.list.get({ id: listId })!;
  if (asked > list.lastNumber) {
    throw new ProblemError(409, 'set-back', 'The server has less of the list than this device', {
      detail: `It has ${list.lastNumber} changes, not ${asked}: its data was set back. The device will send what it has.`,
    });
  }
  const known = asked > 0 && last !== undefined ? idOfChange(db, listId, asked) : last;
  // What the log has let go of cannot be compared: then too the device is safe with a fresh copy.
  const isParted = known !== last && known !== null;
  const since = asked < list.forgotten || known !== last ? 0 : asked;
  const page =
    subscribedSets === null && model >= MODEL_VERSION
      ? readAll(db, listId, since, limit)
      : readSome(db, { listId, subscribedSets, since, limit, model });
  const through = page.upTo ?? list.lastNumber;
  const lastId = idOfChange(db, listId, through);
  const more = page.upTo !== null;
  const head = `{"records":[${page.bodies.join(',')}],"removed":${JSON.stringify(page.removed)},"through":${through},"last":${JSON.stringify(lastId)},"more":${more},"fresh":${since === 0},"parted":${isParted}`;
  return { head, through, last: lastId, more };
}

/** What a page holds. `upTo`: the number of its last record, if there are more; null: that was all. */
interface Held {
  bodies: string[];
  removed: { type: string; id: string }[];
  upTo: number | null;
}

/** For a device that gets everything. */
function readAll(db: Database, listId: string, since: number, limit: number): Held {
  const bodies: string[] = [];
  let size = 0;
  let upTo = 0;
  for (const [number, body] of statementsOf(db).bodiesSince.iterate(listId, since)) {
    if (isFull(bodies.length, size, body, limit)) return { bodies, removed: [], upTo };
    bodies.push(body);
    size += body.length;
    upTo = number;
  }
  return { bodies, removed: [], upTo: null };
}

/** For a device that gets some sets, or knows some types: what it gets, and the names of what it does not. */
function readSome(
  db: Database,
  {
    listId,
    subscribedSets: sets,
    since,
    limit,
    model,
  }: Pick<Reading, 'listId' | 'subscribedSets' | 'since' | 'limit' | 'model'>,
): Held {
  const rows: RecordRow[] = [];
  let size = 0;
  let upTo: number | null = null;
  for (const row of statementsOf(db).since.iterate(listId, since)) {
    if (isFull(rows.length, size, row.body, limit)) {
      upTo = rows.at(-1)!.number;
      break;
    }
    rows.push(row);
    size += row.body.length;
  }
  const given = withReferring(db, listId, rows).filter(({ type }) => isKnownTo(model, type as RecordType));
  const isGot = (row: RecordRow) => gets(db, listId, sets, row);
  return {
    bodies: given.filter(isGot).map(({ body }) => body),
    removed: given.filter((row) => !isGot(row)).map(({ type, id }) => ({ type, id })),
    upTo,
  };
}

/** Whether a page has no room for one record more. */
function isFull(held: number, size: number, body: string, limit: number): boolean {
  return held === limit || (held > 0 && size + body.length > LARGEST_PAGE);
}

/** With what refers to a shortcut of the page: when it comes to a device, or leaves it, so does that. */
function withReferring(db: Database, listId: string, rows: readonly RecordRow[]): RecordRow[] {
  const all = new Map(rows.map((row) => [row.id, row]));
  for (const { type, id } of rows) {
    if (type !== 'shortcut') continue;
    for (const row of statementsOf(db).referring.all(listId, id)) all.set(row.id, row);
  }
  return [...all.values()];
}

function idOfChange(db: Database, listId: string, number: number): string | null {
  return statementsOf(db).changeId.get({ listId, number })?.id ?? null;
}

/** What was read, as the JSON of a `Page` for one device. */
export function pageFor(erasure: Erasure | null, device: Device, { head }: Read): string {
  const { id, lastN, may, subscribedSets } = device;
  return `${head},"taken":${erasure?.claimed(id, lastN) ?? lastN},"may":"${may}","takes":${subscribedSets ?? 'null'}}`;
}

/** A page for one device. `erasure`: what it erased is told as taken when it is gone. */
export function readPage(
  db: Database,
  erasure: Erasure | null,
  device: Device,
  { since, last, limit, model }: Pick<Reading, 'since' | 'last' | 'limit' | 'model'>,
): Read & { json: string } {
  const { listId } = device;
  const read = readRecords(db, { listId, subscribedSets: subscribedSetsOf(device), since, last, limit, model });
  return { ...read, json: pageFor(erasure, deviceNow(db, device.id), read) };
}

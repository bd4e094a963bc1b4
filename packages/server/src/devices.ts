/** The devices of a list: who they are, what they may do, and how far they have come. */
import { hash, randomBytes, timingSafeEqual } from 'node:crypto';

import {
  mayManage,
  type SentDirectory,
  type DeviceSettings,
  type NewDevice,
  type SubscribedSets,
} from '@yellow-latch/core/sync';
import { and, asc, count, eq, isNull, ne } from 'drizzle-orm';

import type { Database, Queries } from './database';
import { ProblemError } from './problem';
import { devices, invitations, lists } from './schema';
import { statementsOf } from './statements';

export type Device = typeof devices.$inferSelect;

/** More devices than this in one list are a mistake or an attack; so many more that were signed out are still known. */
const MOST_DEVICES = 1_000;
const MOST_EVER = 5_000;
/** A device that was let in and never came is let in no more after this time, in ms. */
export const UNSEEN_LASTS = 24 * 60 * 60_000;
/** What is noted of a device is written this often at most, in ms. */
const NOTED_EVERY = 60_000;

/** What is kept of a token, a code or a key in its place. All have more than enough random bits to need no salt. */
export function hashSecret(secret: string): string {
  return hash('sha256', secret);
}

/** What a device is granted that does not come with everything. */
interface Granted {
  may?: Device['may'];
  subscribedSets?: Device['subscribedSets'];
  /** The device in whose place it comes. */
  succeeds?: string;
}

/**
 * Takes a device into a list and returns its token: 256 random bits, shown this once. A device whose welcome was lost
 * on the way may ask again, by its own secret alone, until it has shown a token.
 */
export function admitDevice(
  db: Queries,
  listId: string,
  { secret, ...device }: NewDevice,
  now: number,
  granted: Granted = {},
): string {
  const known = db.select().from(devices).where(eq(devices.id, device.id)).get();
  const isAskedAgain =
    known?.listId === listId &&
    known.seenAt === null &&
    known.signedOutAt === null &&
    isSame(known.secretHash, secret) &&
    known.succeeds === (granted.succeeds ?? null);
  if (known && !isAskedAgain) {
    throw new ProblemError(409, 'device-known', 'This device is already in use', {
      detail: 'Choose a new id and ask again.',
    });
  }
  if (!known) refuseFullList(db, listId);
  const token = randomBytes(32).toString('base64url');
  const row = {
    ...device,
    ...granted,
    listId,
    tokenHash: hashSecret(token),
    secretHash: secret === undefined ? null : hashSecret(secret),
    createdAt: now,
  };
  db.insert(devices).values(row).onConflictDoUpdate({ target: devices.id, set: row }).run();
  return token;
}

function refuseFullList(db: Queries, listId: string): void {
  const ofList = eq(devices.listId, listId);
  const isIn = db
    .select({ held: count() })
    .from(devices)
    .where(and(ofList, isNull(devices.signedOutAt)))
    .get()!.held;
  const everIn = db.select({ held: count() }).from(devices).where(ofList).get()!.held;
  if (isIn < MOST_DEVICES && everIn < MOST_EVER) return;
  throw new ProblemError(409, 'list-full', 'This list has as many devices as a list can have', {
    detail: `Sign out one of its ${MOST_DEVICES} devices first.`,
  });
}

/** Whether a hash that is kept is that of a secret which was shown. */
function isSame(hash: string | null, secret: string | undefined): boolean {
  return !!hash && secret !== undefined && timingSafeEqual(Buffer.from(hash), Buffer.from(hashSecret(secret)));
}

/** The device with this id, if `token` is its token and it was not signed out. */
export function recogniseDevice(db: Database, id: string, token: string | undefined, now: number): Device {
  const device = token && statementsOf(db).device.get({ id });
  if (!device || !isSame(device.tokenHash, token) || hasNeverCome(device, now)) {
    throw unknownDevice();
  }
  refuseSignedOut(db, device);
  if (device.seenAt === null) welcomeIn(db, device, now);
  return device;
}

/** What of a device never changes. */
type Known = Pick<Device, 'id' | 'listId' | 'tokenHash'>;

const known = new WeakMap<Database, Map<string, Known>>();
const MOST_KNOWN = 10_000;

/**
 * The same for a push, which reads in its transaction what the device may: whose token was right once is not looked up again,
 * since to open the file for that read takes as long as to take a change in (bench `commits`).
 */
export function recognisePusher(db: Database, id: string, token: string | undefined, now: number): Known {
  let those = known.get(db);
  if (!those) known.set(db, (those = new Map<string, Known>()));
  const one = those.get(id);
  if (one && isSame(one.tokenHash, token)) return one;
  const { listId, tokenHash } = recogniseDevice(db, id, token, now);
  if (those.size >= MOST_KNOWN) those.clear();
  const found = { id, listId, tokenHash };
  those.set(id, found);
  return found;
}

/** Refuses a device that is out of its list, and says why. */
function refuseSignedOut(db: Database, { listId, signedOutAt }: Device): void {
  if (signedOutAt === null) return;
  if (statementsOf(db).list.get({ id: listId })!.deletedAt !== null)
    throw new ProblemError(401, 'list-deleted', 'This list was deleted');
  throw new ProblemError(401, 'signed-out', 'This device was signed out', {
    detail: 'To come back, it needs a code from another device.',
  });
}

/** From now on nobody else is admitted under this id, and the device in whose place it comes is out. */
function welcomeIn(db: Database, device: Device, now: number): void {
  db.transaction((tx) => {
    tx.update(devices).set({ seenAt: now }).where(eq(devices.id, device.id)).run();
    if (device.succeeds !== null) endDevice(tx, device.succeeds, now);
  });
}

function hasNeverCome({ seenAt, createdAt }: Device, now: number): boolean {
  return seenAt === null && createdAt < now - UNSEEN_LASTS;
}

/** What a device is now, which may be more than when its request began. */
export function deviceNow(db: Database, id: string): Device {
  return statementsOf(db).device.get({ id })!;
}

/** The same of one that was recognised; refuses it if it is gone, or out of its list. */
export function deviceStillIn(db: Database, { id, tokenHash }: Pick<Device, 'id' | 'tokenHash'>): Device {
  const device = statementsOf(db).device.get({ id });
  // A device that was deleted long ago may have come anew under its id, with another token.
  if (device?.tokenHash !== tokenHash) throw unknownDevice();
  refuseSignedOut(db, device);
  return device;
}

function unknownDevice(): ProblemError {
  return new ProblemError(401, 'device-unknown', 'This device is not known here');
}

export function subscribedSetsOf({ subscribedSets }: Pick<Device, 'subscribedSets'>): SubscribedSets {
  return subscribedSets === null ? null : (JSON.parse(subscribedSets) as SubscribedSets);
}

/** How far devices have come, in memory, so that a page asked for is not a write. */
export class Presence {
  private readonly reached = new Map<string, { through: number; seen: number }>();
  private writtenAt = 0;

  constructor(private readonly db: Database) {}

  /** Notes that a device has the list up to a number; now and then writes what was noted. */
  note(id: string, through: number, now: number): void {
    this.reached.set(id, { through, seen: now });
    if (this.writtenAt < now - NOTED_EVERY) this.write(now);
  }

  /** Writes what was noted, if that can be: otherwise it stays in memory, and is no reason not to answer. */
  write(now: number): void {
    this.writtenAt = now;
    if (this.reached.size === 0) return;
    const { reach } = statementsOf(this.db);
    try {
      this.db.$client.transaction(() => {
        for (const [id, { through, seen }] of this.reached) reach.run({ id, through, seen });
      })();
      this.reached.clear();
    } catch {
      return;
    }
  }

  of(device: Device): { through: number; seen: number | null } {
    return this.reached.get(device.id) ?? { through: device.through, seen: device.seenAt };
  }
}

/** The devices of a list, also those signed out, in the order in which they joined. */
export function listDevices(
  db: Queries,
  listId: string,
  presence: Presence,
  isHere: (id: string) => boolean,
): SentDirectory['devices'] {
  const { lastNumber } = db.select().from(lists).where(eq(lists.id, listId)).get()!;
  const rows = db
    .select()
    .from(devices)
    .where(eq(devices.listId, listId))
    .orderBy(asc(devices.createdAt), asc(devices.id))
    .all();
  return rows.map((device) => {
    const { through, seen } = presence.of(device);
    const here = isHere(device.id);
    return {
      id: device.id,
      name: device.name,
      kind: device.kind,
      joined: device.createdAt,
      seen,
      isHere: here,
      behind: here ? 0 : Math.max(0, lastNumber - through),
      may: device.may,
      takes: subscribedSetsOf(device),
      signedOut: device.signedOutAt,
    };
  });
}

/** Another device of the same list, or this one; one of another list is as one that is not there. */
export function findDevice(db: Queries, listId: string, id: string): Device {
  const of = and(eq(devices.id, id), eq(devices.listId, listId), isNull(devices.signedOutAt));
  const found = db.select().from(devices).where(of).get();
  if (!found) throw new ProblemError(404, 'not-found', 'There is no such device in this list');
  return found;
}

/** Refuses a device that does not look after the list. */
export function refuseToManage(device: Pick<Device, 'may' | 'subscribedSets'>): void {
  if (device.may === 'use') throw onlyUse();
  if (!mayManage(device)) {
    throw new ProblemError(403, 'some-sets', 'This device gets only some of the sets', {
      detail: 'Use a device that gets all sets and can edit.',
    });
  }
}

/** Sets what one device has decided about another. What a device may and takes is not its own to widen. */
export function setDevice(db: Database, by: Device, id: string, { subscribedSets, ...settings }: DeviceSettings): void {
  const device = findDevice(db, by.listId, id);
  if (id !== by.id || subscribedSets !== undefined || settings.may !== undefined) refuseToManage(by);
  if (id === by.id && settings.may === 'use') {
    throw new ProblemError(409, 'itself', 'A device can’t give up editing by itself', {
      detail: 'Do it on another device, so that one is left that can undo it.',
    });
  }
  const row = {
    ...settings,
    ...(subscribedSets === undefined ? {} : { subscribedSets: subscribedSets && JSON.stringify(subscribedSets) }),
  };
  if (Object.keys(row).length === 0) return;
  db.transaction((tx) => {
    if (mayManage(device) && !mayManage({ ...device, ...row })) {
      if (id === by.id) refuseLastManager(tx, device);
      endInvitations(tx, id);
    }
    tx.update(devices).set(row).where(eq(devices.id, device.id)).run();
  });
}

/** Signs a device out: its token is worth nothing from now on, and the codes it gave neither. */
export function signOut(db: Database, by: Device, id: string, now: number): void {
  const device = findDevice(db, by.listId, id);
  if (id !== by.id) refuseToManage(by);
  db.transaction((tx) => {
    if (id === by.id && mayManage(device)) refuseLastManager(tx, device);
    endDevice(tx, id, now);
  });
}

/**
 * What is kept of a device that is out: its id, name and kind, and the last of its numbers, so that no change is taken twice. Its token's hash
 * stays for a while too (`OUT_IS_TOLD`): by it the device is told that it is out.
 */
const OUT = { secretHash: null, succeeds: null, through: 0, may: 'edit', subscribedSets: null } as const;

function endDevice(db: Queries, id: string, now: number): void {
  db.update(devices)
    .set({ ...OUT, signedOutAt: now })
    .where(and(eq(devices.id, id), isNull(devices.signedOutAt)))
    .run();
  endInvitations(db, id);
}

function endInvitations(db: Queries, id: string): void {
  db.delete(invitations).where(eq(invitations.deviceId, id)).run();
}

/** The others of a list are not left without one that can look after it. */
function refuseLastManager(db: Queries, { id, listId }: Device): void {
  const others = db
    .select()
    .from(devices)
    .where(and(eq(devices.listId, listId), isNull(devices.signedOutAt), ne(devices.id, id)))
    .all();
  if (others.length === 0 || others.some(mayManage)) return;
  throw new ProblemError(409, 'last-editor', 'This is the last device that can edit the whole list', {
    detail: 'Let another device edit first, or sign the others out.',
  });
}

export function onlyUse(): ProblemError {
  return new ProblemError(403, 'only-use', 'This device can use the list but not change it', {
    detail: 'Another device can let it edit, under Devices.',
  });
}

/** The devices of a list: who they are, what they may do, and how far they have come. */
import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

import type { DeviceInfo, DeviceSettings, NewDevice, Takes } from '@yellow-latch/core/sync';
import { and, asc, count, eq, isNull } from 'drizzle-orm';

import type { Database, Queries } from './database';
import { ProblemError } from './problem';
import { devices, invitations, lists } from './schema';
import { statementsOf } from './statements';

export type Device = typeof devices.$inferSelect;

/** More devices than this in one list are a mistake or an attack. */
const MOST_DEVICES = 1_000;
/** What is noted of a device is written this often at most, in ms. */
const NOTED_EVERY = 60_000;

/** What is kept of a token, a code or a key in its place. All have more than enough random bits to need no salt. */
export function hashSecret(secret: string): string {
  return createHash('sha256').update(secret).digest('hex');
}

/**
 * Takes a device into a list and returns its token: 256 random bits, shown this once. A device
 * whose welcome was lost on the way may ask again until it has shown a token.
 */
export function admitDevice(db: Queries, listId: string, device: NewDevice, now: number): string {
  const token = randomBytes(32).toString('base64url');
  const known = db.select().from(devices).where(eq(devices.id, device.id)).get();
  if (known && (known.seenAt !== null || known.listId !== listId)) {
    throw new ProblemError(409, 'device-known', 'A device with this id is known already', {
      detail: 'Choose a new id and ask again.',
    });
  }
  const inList = and(eq(devices.listId, listId), isNull(devices.signedOutAt));
  if (!known && db.select({ held: count() }).from(devices).where(inList).get()!.held >= MOST_DEVICES) {
    throw new ProblemError(409, 'list-full', 'This list has as many devices as a list can have', {
      detail: `Sign out one of its ${MOST_DEVICES} devices first.`,
    });
  }
  const row = { ...device, listId, tokenHash: hashSecret(token), createdAt: now };
  db.insert(devices).values(row).onConflictDoUpdate({ target: devices.id, set: row }).run();
  return token;
}

/** The device with this id, if `token` is its token and it was not signed out. */
export function recogniseDevice(db: Database, id: string, token: string | undefined, now: number): Device {
  const device = token && statementsOf(db).device.get({ id });
  if (!device || !timingSafeEqual(Buffer.from(device.tokenHash), Buffer.from(hashSecret(token)))) {
    throw new ProblemError(401, 'device-unknown', 'This device is not known here');
  }
  if (device.signedOutAt !== null) {
    throw new ProblemError(401, 'signed-out', 'This device was signed out', {
      detail: 'Join again with a code from a device that is in.',
    });
  }
  // From now on nobody else is admitted under this id.
  if (device.seenAt === null) {
    db.update(devices).set({ seenAt: now }).where(eq(devices.id, id)).run();
  }
  return device;
}

/** What a device is now, which may be more than when its request began. */
export function deviceNow(db: Database, id: string): Device {
  return statementsOf(db).device.get({ id })!;
}

export function takesOf({ takes }: Pick<Device, 'takes'>): Takes {
  return takes === null ? null : (JSON.parse(takes) as Takes);
}

/** How far devices have come, in memory, so that a page asked for is not a write. */
export class Presence {
  private readonly reached = new Map<string, { through: number; seen: number }>();
  private writtenAt = 0;

  constructor(private readonly db: Queries) {}

  /** Notes that a device has the list up to a number; now and then writes what was noted. */
  note(id: string, through: number, now: number): void {
    this.reached.set(id, { through, seen: now });
    if (this.writtenAt < now - NOTED_EVERY) this.write(now);
  }

  /** Writes what was noted, if that can be: otherwise it stays in memory, and is no reason not to answer. */
  write(now: number): void {
    this.writtenAt = now;
    try {
      for (const [id, { through, seen }] of this.reached) {
        this.db.update(devices).set({ through, seenAt: seen }).where(eq(devices.id, id)).run();
        this.reached.delete(id);
      }
    } catch {
      return;
    }
  }

  of(device: Device): { through: number; seen: number | null } {
    return this.reached.get(device.id) ?? { through: device.through, seen: device.seenAt };
  }
}

/** The devices of a list, also those signed out, in the order in which they joined. */
export function listDevices(db: Queries, listId: string, presence: Presence, isHere: (id: string) => boolean): DeviceInfo[] {
  const { lastNumber } = db.select().from(lists).where(eq(lists.id, listId)).get()!;
  const rows = db.select().from(devices).where(eq(devices.listId, listId)).orderBy(asc(devices.createdAt), asc(devices.id)).all();
  return rows.map((device) => {
    const { through, seen } = presence.of(device);
    return {
      id: device.id,
      name: device.name,
      kind: device.kind,
      joined: device.createdAt,
      seen,
      isHere: isHere(device.id),
      behind: isHere(device.id) ? 0 : Math.max(0, lastNumber - through),
      may: device.may,
      takes: takesOf(device),
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

/** Sets what one device has decided about another. What a device may and takes is not its own to say if it may only use. */
export function setDevice(db: Queries, by: Device, id: string, { takes, ...settings }: DeviceSettings): void {
  const device = findDevice(db, by.listId, id);
  if (by.may === 'use' && (id !== by.id || takes !== undefined || settings.may !== undefined)) throw onlyUse();
  if (id === by.id && settings.may === 'use') {
    throw new ProblemError(409, 'itself', 'A device cannot take from itself the right to edit', {
      detail: 'Set it from another device, so that one is left that can give it back.',
    });
  }
  const row = { ...settings, ...(takes === undefined ? {} : { takes: JSON.stringify(takes) === 'null' ? null : JSON.stringify(takes) }) };
  if (Object.keys(row).length > 0) db.update(devices).set(row).where(eq(devices.id, device.id)).run();
}

/** Signs a device out: its token is worth nothing from now on, and the codes it gave neither. */
export function signOut(db: Queries, by: Device, id: string, now: number): void {
  findDevice(db, by.listId, id);
  if (by.may === 'use' && id !== by.id) throw onlyUse();
  db.update(devices).set({ signedOutAt: now }).where(eq(devices.id, id)).run();
  db.delete(invitations).where(eq(invitations.deviceId, id)).run();
}

export function onlyUse(): ProblemError {
  return new ProblemError(403, 'only-use', 'This device may use the list, not change it', {
    detail: 'Another device can let it edit, under Devices.',
  });
}

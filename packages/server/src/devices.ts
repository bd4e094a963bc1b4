import { createHash, randomBytes, timingSafeEqual } from 'node:crypto';

import type { NewDevice } from '@yellow-latch/core/sync';
import { eq } from 'drizzle-orm';

import type { Queries } from './database';
import { ProblemError } from './problem';
import { devices } from './schema';

export type Device = typeof devices.$inferSelect;

function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
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
  const row = { ...device, listId, tokenHash: hashToken(token), createdAt: now };
  db.insert(devices).values(row).onConflictDoUpdate({ target: devices.id, set: row }).run();
  return token;
}

/** The device with this id, if `token` is its token. */
export function recogniseDevice(
  db: Queries,
  id: string,
  token: string | undefined,
  now: number,
): Device {
  const device = token && db.select().from(devices).where(eq(devices.id, id)).get();
  if (
    !device ||
    !timingSafeEqual(Buffer.from(device.tokenHash), Buffer.from(hashToken(token)))
  ) {
    throw new ProblemError(401, 'device-unknown', 'This device is not known here');
  }
  const minute = 60_000;
  if (device.seenAt === null || device.seenAt < now - minute) {
    db.update(devices).set({ seenAt: now }).where(eq(devices.id, id)).run();
  }
  return device;
}

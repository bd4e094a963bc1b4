/** Lists begun, joined by a code, and got back by their spare key. */
import { randomBytes } from 'node:crypto';

import { JOIN_CODE_BYTES, JOIN_CODE_LASTS, joinCodeOf, readJoinCode, readSpareKey, SPARE_KEY_BYTES, spareKeyOf, type ReadCode } from '@yellow-latch/core/join';
import type { Invitation, NewDevice, NewList } from '@yellow-latch/core/sync';
import { and, count, eq, lt } from 'drizzle-orm';

import type { Database, Queries } from './database';
import { admitDevice, hashSecret, onlyUse, type Device } from './devices';
import { ProblemError } from './problem';
import { devices, invitations, lists } from './schema';

export type List = typeof lists.$inferSelect;

/** A device that was let in, and the token it shows from now on. */
export interface Admitted {
  list: List;
  token: string;
}

/** More codes than this are not open at once for one list. */
const MOST_INVITATIONS = 20;
/** A server that keeps more lists than this was found by somebody who should not be there. */
const MOST_LISTS = 1_000;

/**
 * Begins a list with its first device. A device whose welcome was lost on the way may ask again; a list that has
 * another device already is joined by a code.
 */
export function beginList(db: Database, { list: { id, name }, device }: NewList, now: number): Admitted {
  return db.transaction(
    (tx) => {
      if (!tx.select().from(lists).where(eq(lists.id, id)).get()) {
        if (tx.select({ held: count() }).from(lists).get()!.held >= MOST_LISTS) {
          throw new ProblemError(409, 'server-full', 'This server keeps as many lists as it can');
        }
        tx.insert(lists).values({ id, name, createdAt: now }).run();
      } else if (!tx.select().from(devices).where(and(eq(devices.listId, id), eq(devices.id, device.id))).get()) {
        throw new ProblemError(409, 'list-known', 'This list has been begun already', {
          detail: 'Join it with a code from a device that is in.',
        });
      }
      const token = admitDevice(tx, id, device, now);
      return { list: listOf(tx, id), token };
    },
    { behavior: 'immediate' },
  );
}

export function listOf(db: Queries, id: string): List {
  return db.select().from(lists).where(eq(lists.id, id)).get()!;
}

/** Makes a code by which one device may join within ten minutes. */
export function invite(db: Database, by: Device, now: number): Invitation {
  if (by.may === 'use') throw onlyUse();
  return db.transaction(
    (tx) => {
      tx.delete(invitations).where(lt(invitations.until, now)).run();
      const ofList = eq(invitations.listId, by.listId);
      if (tx.select({ held: count() }).from(invitations).where(ofList).get()!.held >= MOST_INVITATIONS) {
        throw new ProblemError(429, 'too-many-codes', 'Several codes are open already', {
          detail: 'Use one of them, or wait ten minutes until they have lapsed.',
        });
      }
      const code = joinCodeOf(randomBytes(JOIN_CODE_BYTES));
      const until = now + JOIN_CODE_LASTS;
      tx.insert(invitations).values({ codeHash: hashSecret(code), listId: by.listId, deviceId: by.id, until }).run();
      return { code, until };
    },
    { behavior: 'immediate' },
  );
}

/** Takes back a code that was given; one that is used or lapsed already is a quiet success. */
export function withdraw(db: Queries, by: Device, typed: string): void {
  const code = parse(readJoinCode(typed), '/code', 'join code');
  db.delete(invitations).where(and(eq(invitations.codeHash, hashSecret(code)), eq(invitations.listId, by.listId))).run();
}

/** Lets a device in by a code, once. */
export function join(db: Database, typed: string, device: NewDevice, now: number): Admitted {
  const code = parse(readJoinCode(typed), '/code', 'join code');
  return db.transaction(
    (tx) => {
      const of = eq(invitations.codeHash, hashSecret(code));
      const invitation = tx.select().from(invitations).where(of).get();
      if (!invitation || invitation.until < now) {
        throw new ProblemError(403, 'code-unknown', 'This code is not, or no longer, in force', {
          detail: 'A code holds for ten minutes and for one device. Make a new one under Devices.',
        });
      }
      const token = admitDevice(tx, invitation.listId, device, now);
      tx.delete(invitations).where(of).run();
      return { list: listOf(tx, invitation.listId), token };
    },
    { behavior: 'immediate' },
  );
}

/** Makes a spare key; the one before it is worth nothing from now on. It is shown this once. */
export function makeSpareKey(db: Queries, by: Device, now: number): string {
  if (by.may === 'use') throw onlyUse();
  const key = spareKeyOf(randomBytes(SPARE_KEY_BYTES));
  db.update(lists).set({ spareKeyHash: hashSecret(key), spareKeyMadeAt: now }).where(eq(lists.id, by.listId)).run();
  return key;
}

/** Lets a device in by the spare key, which stays in force. */
export function recover(db: Database, typed: string, device: NewDevice, now: number): Admitted {
  const key = parse(readSpareKey(typed), '/spareKey', 'spare key');
  const list = db.select().from(lists).where(eq(lists.spareKeyHash, hashSecret(key))).get();
  if (!list) {
    throw new ProblemError(403, 'key-unknown', 'No list here has this spare key', {
      detail: 'A newer key may have been made since. Look for it, or join with a code from a device that is in.',
    });
  }
  return { list, token: admitDevice(db, list.id, device, now) };
}

/** A device goes on under a new id, since its numbers are spent; the old one is signed out. */
export function succeed(db: Database, old: Device, device: NewDevice, now: number): Admitted {
  return db.transaction(
    (tx) => {
      tx.update(devices).set({ signedOutAt: now }).where(eq(devices.id, old.id)).run();
      const token = admitDevice(tx, old.listId, device, now);
      tx.update(devices).set({ may: old.may, takes: old.takes }).where(eq(devices.id, device.id)).run();
      return { list: listOf(tx, old.listId), token };
    },
    { behavior: 'immediate' },
  );
}

function parse(read: ReadCode, pointer: string, what: string): string {
  if (read.type === 'read') return read.code;
  throw new ProblemError(422, 'invalid', `This is no ${what}`, { errors: [{ pointer, detail: read.type }] });
}

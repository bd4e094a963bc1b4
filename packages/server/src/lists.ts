/** Lists: started, joined by a code, got back by their spare key, deleted, forgotten. */
import { randomBytes } from 'node:crypto';

import {
  JOIN_CODE_BYTES,
  JOIN_CODE_LASTS,
  joinCodeOf,
  readJoinCode,
  readSpareKey,
  SPARE_KEY_BYTES,
  spareKeyOf,
  type ReadCode,
} from '@yellow-latch/core/join';
import { mayManage, type Invitation, type NewDevice, type NewList } from '@yellow-latch/core/sync';
import { and, asc, count, eq, isNull, lt, sql } from 'drizzle-orm';

import type { Database, Queries } from './database';
import { admitDevice, deviceNow, hashSecret, refuseToManage, type Device } from './devices';
import { ProblemError } from './problem';
import { changeGroups, changes, devices, invitations, lists, records } from './schema';

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
const DAY = 24 * 60 * 60_000;
/** Where a server is full, an empty list that nobody has opened for this long makes room for a new one. */
const EMPTY_LASTS_IF_FULL = DAY;

/**
 * Starts a list with its first device. A device whose welcome was lost on the way may ask again; a list that has
 * another device already is joined by a code.
 */
export function beginList(db: Database, { list: { id, name }, device }: NewList, now: number): Admitted {
  return db.transaction(
    (tx) => {
      if (!tx.select().from(lists).where(eq(lists.id, id)).get()) {
        makeRoom(tx, now);
        tx.insert(lists).values({ id, name, createdAt: now }).run();
      } else if (
        !tx
          .select()
          .from(devices)
          .where(and(eq(devices.listId, id), eq(devices.id, device.id)))
          .get()
      ) {
        throw new ProblemError(409, 'list-known', 'This list exists already', {
          detail: 'Join it with a code from one of its devices.',
        });
      }
      const token = admitDevice(tx, id, device, now);
      return { list: listOf(tx, id), token };
    },
    { behavior: 'immediate' },
  );
}

/** Sees to it that one list more can be kept. */
function makeRoom(db: Queries, now: number): void {
  if (db.select({ held: count() }).from(lists).where(isNull(lists.deletedAt)).get()!.held < MOST_LISTS) return;
  const [idle] = unopenedLists(db, now - EMPTY_LASTS_IF_FULL, 'empty').filter(({ deletedAt }) => deletedAt === null);
  if (!idle) throw new ProblemError(409, 'server-full', 'This server can’t keep any more lists');
  endList(db, idle.id, now);
}

export function listOf(db: Queries, id: string): List {
  return db.select().from(lists).where(eq(lists.id, id)).get()!;
}

/**
 * Lists that no device has opened since a moment, the longest unopened first: those without a shortcut, or all. Deleted
 * ones are among them, as empty.
 */
export function unopenedLists(db: Queries, since: number, which: 'empty' | 'all'): List[] {
  const opened = sql<number>`max(${lists.createdAt}, coalesce((SELECT max(${devices.seenAt}) FROM ${devices} WHERE ${devices.listId} = ${lists.id}), 0))`;
  const isEmpty = sql`NOT EXISTS (SELECT 1 FROM ${records} WHERE ${records.listId} = ${lists.id} AND ${records.type} = 'shortcut' AND ${records.isDeleted} = 0)`;
  return db
    .select()
    .from(lists)
    .where(and(sql`${opened} < ${since}`, which === 'empty' ? isEmpty : undefined))
    .orderBy(asc(opened))
    .all();
}

/** Ends a list: nobody gets in any more, and its devices are told. What it holds is let go of by `purgeSome`. */
export function endList(db: Queries, id: string, now: number): void {
  db.update(lists)
    .set({ name: '', spareKeyHash: null, spareKeyMadeAt: null, deletedAt: now })
    .where(eq(lists.id, id))
    .run();
  db.update(devices).set({ name: '', signedOutAt: now }).where(eq(devices.listId, id)).run();
  db.delete(invitations).where(eq(invitations.listId, id)).run();
}

/** So much is deleted of a list at a time: others wait no longer than for that. */
const PURGED_AT_ONCE = 500;

/** Lets go of some of what an ended list held; tells whether there may be more. */
export function purgeSome(db: Database, listId: string): boolean {
  return db.transaction((tx) => {
    let purged = 0;
    for (const table of [records, changes, changeGroups]) {
      const some = tx
        .select({ rowid: sql`rowid` })
        .from(table)
        .where(eq(table.listId, listId))
        .limit(PURGED_AT_ONCE);
      purged += tx
        .delete(table)
        .where(sql`rowid IN ${some}`)
        .run().changes;
    }
    if (purged === 0) tx.update(lists).set({ bytes: 0 }).where(eq(lists.id, listId)).run();
    return purged > 0;
  });
}

/** Forgets that an ended list, which holds nothing any more, ever was. */
export function forgetList(db: Database, listId: string): void {
  db.transaction((tx) => {
    tx.delete(invitations).where(eq(invitations.listId, listId)).run();
    tx.delete(devices).where(eq(devices.listId, listId)).run();
    tx.delete(lists).where(eq(lists.id, listId)).run();
  });
}

/** Makes a code by which one device may join within ten minutes. */
export function invite(db: Database, by: Device, now: number): Invitation {
  refuseToManage(by);
  return db.transaction(
    (tx) => {
      tx.delete(invitations).where(lt(invitations.until, now)).run();
      const ofList = eq(invitations.listId, by.listId);
      if (tx.select({ held: count() }).from(invitations).where(ofList).get()!.held >= MOST_INVITATIONS) {
        throw new ProblemError(429, 'too-many-codes', 'Several codes are open already', {
          detail: 'Use one of them, or wait ten minutes until they have expired.',
        });
      }
      const code = joinCodeOf(randomBytes(JOIN_CODE_BYTES));
      const until = now + JOIN_CODE_LASTS;
      tx.insert(invitations)
        .values({ codeHash: hashSecret(code), listId: by.listId, deviceId: by.id, until })
        .run();
      return { code, until };
    },
    { behavior: 'immediate' },
  );
}

/** Takes back a code that was given; one that is used or expired already is a quiet success. */
export function withdraw(db: Queries, by: Device, typed: string): void {
  const code = parse(readJoinCode(typed), '/code', 'join code');
  db.delete(invitations)
    .where(and(eq(invitations.codeHash, hashSecret(code)), eq(invitations.listId, by.listId)))
    .run();
}

/** Lets a device in by a code, once: as long as the device that gave it looks after the list. */
export function join(db: Database, typed: string, device: NewDevice, now: number): Admitted {
  const code = parse(readJoinCode(typed), '/code', 'join code');
  return db.transaction(
    (tx) => {
      const of = eq(invitations.codeHash, hashSecret(code));
      const invitation = tx.select().from(invitations).where(of).get();
      const by = invitation && deviceNow(db, invitation.deviceId);
      if (!invitation || invitation.until < now || by?.signedOutAt !== null || !mayManage(by)) {
        throw new ProblemError(403, 'code-unknown', 'This code doesn’t work, or not any more', {
          detail: 'A code lasts ten minutes and adds one device. Make a new one under Devices.',
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
  refuseToManage(by);
  const key = spareKeyOf(randomBytes(SPARE_KEY_BYTES));
  db.update(lists)
    .set({ spareKeyHash: hashSecret(key), spareKeyMadeAt: now })
    .where(eq(lists.id, by.listId))
    .run();
  return key;
}

/** Lets a device in by the spare key, which stays in force. */
export function recover(db: Database, typed: string, device: NewDevice, now: number): Admitted {
  const key = parse(readSpareKey(typed), '/spareKey', 'spare key');
  const list = db
    .select()
    .from(lists)
    .where(eq(lists.spareKeyHash, hashSecret(key)))
    .get();
  if (!list) {
    throw new ProblemError(403, 'key-unknown', 'No list here has this spare key', {
      detail: 'There may be a newer key. Look for it, or join with a code from another device.',
    });
  }
  return { list, token: admitDevice(db, list.id, device, now) };
}

/**
 * A device goes on under a new id, since its numbers are spent. The old one is signed out when the new one first shows
 * its token; until then it may ask again, and the last that it asked for counts.
 */
export function succeed(db: Database, old: Device, device: NewDevice, now: number): Admitted {
  return db.transaction(
    (tx) => {
      const waiting = and(eq(devices.succeeds, old.id), isNull(devices.seenAt), sql`${devices.id} <> ${device.id}`);
      tx.delete(devices).where(waiting).run();
      const token = admitDevice(tx, old.listId, device, now, {
        may: old.may,
        subscribedSets: old.subscribedSets,
        succeeds: old.id,
      });
      return { list: listOf(tx, old.listId), token };
    },
    { behavior: 'immediate' },
  );
}

function parse(read: ReadCode, pointer: string, what: string): string {
  if (read.type === 'read') return read.code;
  throw new ProblemError(422, 'invalid', `This is not a ${what}`, { errors: [{ pointer, detail: read.type }] });
}

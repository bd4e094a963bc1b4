/** What the server does by itself, once a day: it forgets what is too old, and gives back the room. */
import { and, eq, isNotNull, isNull, lt, max, notInArray } from 'drizzle-orm';

import { compactSome } from './compaction';
import type { Database, Queries } from './database';
import { UNSEEN_LASTS, type Presence } from './devices';
import { logFailure } from './log';
import type { Erasure } from './erasure';
import { endList, forgetList, purgeSome, unopenedLists } from './lists';
import { changes, devices, invitations, lists, notes } from './schema';

const DAY = 24 * 60 * 60_000;
/** After a failure it is tried again this soon. */
const RETRY = 10 * 60_000;
/** A list without a shortcut that nobody has opened for this long is forgotten. */
export const EMPTY_LIST_LASTS = 30 * DAY;
/** A device that is out is told so for this long; then nobody can show its token any more. */
const OUT_IS_TOLD = 90 * DAY;
/** Devices that are out, and lists that were deleted, are known for this long: so long they are told why. */
const OUT_IS_KNOWN = 400 * DAY;
/**
 * When time has leapt by more than this since it was last noted, nothing is forgotten until as much time has passed
 * without another leap: it may be the clock that is wrong.
 */
export const CLOCK_LEAP = 7 * DAY;
/** Pages of the file that may be free, in a thousand, before some are given back; and so many are given back at a time. */
const FREE_PAGES = 200;
const LEAST_FREE = 256;
const PAGES_AT_ONCE = 512;

interface Parts {
  db: Database;
  presence: Presence;
  erasure: Erasure;
  now: () => number;
  /** A list with shortcuts that nobody has opened for so long is forgotten, in ms; undefined: none is. */
  forgetAfter?: number;
}

/**
 * The daily work. The server starts it once and stops it before the database is closed. It works in small steps and
 * lets others in between two of them; what fails is told to the operator and tried again, and ends nothing.
 */
export class Housekeeping {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> = Promise.resolve();
  private isOver = false;

  constructor(private readonly parts: Parts) {}

  /** Begins at once, and goes on day after day. */
  start(): void {
    this.running = this.run().then(
      () => this.again(DAY),
      (error: unknown) => {
        logFailure('The daily housekeeping failed, and is tried again in ten minutes', error);
        this.again(RETRY);
      },
    );
  }

  /** Resolves when nothing is being done any more. */
  async stop(): Promise<void> {
    this.isOver = true;
    clearTimeout(this.timer);
    await this.running;
  }

  /** The work of one day. */
  async run(): Promise<void> {
    const { db, presence, erasure } = this.parts;
    const now = this.parts.now();
    presence.write(now);
    db.delete(invitations).where(lt(invitations.until, now)).run();
    if (isTimeToBeTrusted(db, now)) {
      await this.compact(now);
      await this.forgetLists(now);
      forgetDevices(db, now);
    }
    for (const { id } of db.select().from(lists).where(isNotNull(lists.deletedAt)).all())
      await this.inSteps(() => purgeSome(db, id));
    await this.shrink();
    if (!this.isOver) await erasure.begin();
  }

  private again(after: number): void {
    if (this.isOver) return;
    this.timer = setTimeout(() => this.start(), after).unref();
  }

  private async compact(now: number): Promise<void> {
    const { db } = this.parts;
    for (const { id } of db.select({ id: lists.id }).from(lists).where(isNull(lists.deletedAt)).all())
      await this.inSteps(() => compactSome(db, id, now));
  }

  private async forgetLists(now: number): Promise<void> {
    const { db, forgetAfter } = this.parts;
    const idle = [
      ...unopenedLists(db, now - EMPTY_LIST_LASTS, 'empty'),
      ...(forgetAfter === undefined ? [] : unopenedLists(db, now - forgetAfter, 'all')),
    ];
    for (const { id, deletedAt } of idle) {
      if (deletedAt !== null && deletedAt > now - OUT_IS_KNOWN) continue;
      if (deletedAt === null) db.transaction((tx) => endList(tx, id, now));
      await this.inSteps(() => purgeSome(db, id));
      if (!this.isOver) forgetList(db, id);
    }
  }

  /** Gives free pages at the end of the file back (https://www.sqlite.org/pragma.html#pragma_incremental_vacuum). */
  private async shrink(): Promise<void> {
    const { $client } = this.parts.db;
    const count = (name: string) => $client.pragma(name, { simple: true }) as number;
    const isFree = () => count('freelist_count') > Math.max(LEAST_FREE, (count('page_count') * FREE_PAGES) / 1_000);
    if (!isFree()) return;
    await this.inSteps(() => {
      const before = count('freelist_count');
      $client.pragma(`incremental_vacuum(${PAGES_AT_ONCE})`);
      return count('freelist_count') < before && count('freelist_count') > LEAST_FREE;
    });
  }

  /** Does a step again and again, as long as it says that there is more, and lets others in between. */
  private async inSteps(step: () => boolean): Promise<void> {
    while (!this.isOver && step()) await new Promise((resolve) => setImmediate(resolve));
  }
}

/** Lets go of devices that were let in and never came, and of those that are out and nowhere in the log. */
function forgetDevices(db: Database, now: number): void {
  db.update(devices)
    .set({ tokenHash: '' })
    .where(and(isNotNull(devices.signedOutAt), lt(devices.signedOutAt, now - OUT_IS_TOLD)))
    .run();
  const isUnseen = and(isNull(devices.seenAt), lt(devices.createdAt, now - UNSEEN_LASTS));
  const isLongOut = and(isNotNull(devices.signedOutAt), lt(devices.signedOutAt, now - OUT_IS_KNOWN));
  db.transaction((tx) => {
    const inLog = tx.selectDistinct({ id: changes.deviceId }).from(changes);
    for (const which of [isUnseen, isLongOut]) {
      const gone = tx
        .select({ id: devices.id })
        .from(devices)
        .where(and(which, notInArray(devices.id, inLog)))
        .all();
      for (const { id } of gone) {
        tx.delete(invitations).where(eq(invitations.deviceId, id)).run();
        tx.delete(devices).where(eq(devices.id, id)).run();
      }
    }
  });
}

/** What is noted of the clock: when it was read last, and when it had leapt, if that is not yet confirmed. */
interface ClockNote {
  noted: number;
  leapt: number | null;
}

const CLOCK = 'clock';

/**
 * Whether the clock says how old things are. Each call notes the time; after a leap it takes `CLOCK_LEAP` of time that
 * passes as it should. A clock that went back again confirms nothing, and then nothing is old either.
 */
export function isTimeToBeTrusted(db: Queries, now: number): boolean {
  const kept = db.select().from(notes).where(eq(notes.name, CLOCK)).get();
  const newest = () =>
    db
      .select({ at: max(changes.takenAt) })
      .from(changes)
      .get()!.at;
  const before: ClockNote = kept ? (JSON.parse(kept.value) as ClockNote) : { noted: newest() ?? now, leapt: null };
  const hasLeapt = now - before.noted > CLOCK_LEAP;
  const isConfirmed = before.leapt === null || now - before.leapt >= CLOCK_LEAP || now < before.noted;
  const leaptBefore = isConfirmed ? null : before.leapt;
  const leapt = hasLeapt ? now : leaptBefore;
  const value = JSON.stringify({ noted: now, leapt } satisfies ClockNote);
  db.insert(notes).values({ name: CLOCK, value }).onConflictDoUpdate({ target: notes.name, set: { value } }).run();
  return leapt === null;
}

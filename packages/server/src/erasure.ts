import { Subscribable } from '@yellow-latch/core/subscribable';

import type { Database } from './database';
import { logFailure } from './log';
import { ProblemError } from './problem';

/** How long somebody who has erased something is kept waiting for it to be true, in ms. */
const LONGEST_WAIT = 10_000;
const [FIRST_RETRY, LONGEST_RETRY] = [50, 2_000];

/**
 * Sees to it that what was erased is gone from the files: the records are overwritten already, but the write-ahead log
 * still holds the pages as they were until it is emptied. That takes a moment in which no other program reads the
 * database, so it is tried again and again, without blocking, and is claimed only when it is done.
 *
 * The intake calls `begin` after a commit that erased something; compaction and the deleting of a list do as well.
 */
export class Erasure {
  private emptying: Promise<void> | null = null;
  private timer: ReturnType<typeof setTimeout> | undefined;
  private isOver = false;
  private isDone = true;
  /** Up to which of its own changes a device may be told that all is done, while something that it erased is not. */
  private readonly held = new Map<string, number>();
  private readonly done = new Subscribable<[deviceId: string]>();

  constructor(private readonly db: Database) {}

  get isPending(): boolean {
    return this.emptying !== null;
  }

  /** Empties the write-ahead log. Resolves when nothing that was erased before this call is left in it. */
  begin(): Promise<void> {
    // A try that is to come empties the log of everything, whoever asked first.
    if (this.emptying) return this.emptying;
    const emptying = this.empty();
    // It may be done already.
    if (!this.isDone) this.emptying = emptying;
    return emptying;
  }

  /** The same for somebody who waits: rejects with a problem when it takes too long, and goes on nevertheless. */
  async finish(): Promise<void> {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const late = new Promise<never>((_resolve, reject) => {
      timer = setTimeout(
        () =>
          reject(
            new ProblemError(503, 'erasing', 'Not erased yet: another program is reading the data', {
              detail: 'It is erased as soon as that program is done.',
            }),
          ),
        LONGEST_WAIT,
      );
    });
    try {
      await Promise.race([this.begin(), late]);
    } finally {
      clearTimeout(timer);
    }
  }

  /** Notes that a device erased something with its change `n`; it is told that this was taken when it is so. */
  hold(deviceId: string, n: number): void {
    this.held.set(deviceId, Math.min(n - 1, this.held.get(deviceId) ?? Infinity));
  }

  /** The last own change of which a device may be told, given the last that was taken. */
  claimed(deviceId: string, lastN: number): number {
    return Math.min(lastN, this.held.get(deviceId) ?? Infinity);
  }

  /** Calls for each device whose erasing is done. */
  readonly onDone = this.done.subscribe;

  /** No more tries: the database is being closed, which empties the log if nobody else has it open. */
  close(): void {
    this.isOver = true;
    clearTimeout(this.timer);
  }

  private async empty(): Promise<void> {
    this.isDone = false;
    for (let retry = FIRST_RETRY; !this.isOver && !this.truncate(); retry = Math.min(retry * 2, LONGEST_RETRY)) {
      await new Promise((resolve) => {
        this.timer = setTimeout(resolve, retry);
        this.timer.unref();
      });
    }
    this.isDone = true;
    this.emptying = null;
    const done = [...this.held.keys()];
    this.held.clear();
    for (const device of done) this.done.emit(device);
  }

  /** Whether the log could be emptied (https://www.sqlite.org/pragma.html#pragma_wal_checkpoint). It does not wait for readers. */
  private truncate(): boolean {
    const client = this.db.$client;
    try {
      const patience = client.pragma('busy_timeout', { simple: true }) as number;
      client.pragma('busy_timeout = 0');
      try {
        const [{ busy }] = client.pragma('wal_checkpoint(TRUNCATE)') as [{ busy: number }];
        return busy === 0;
      } finally {
        client.pragma(`busy_timeout = ${patience}`);
      }
    } catch (error) {
      logFailure('The write-ahead log could not be emptied, and will be later', error);
      return false;
    }
  }
}

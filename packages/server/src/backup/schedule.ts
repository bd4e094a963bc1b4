/** Backups by schedule, a number of them kept. Each is taken by a process of its own, so that nobody waits for it. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

import { log, logFailure } from '../log';
import type { Settings } from '../settings';

/** Sorted by name they are sorted by age. */
const NAME = /^yellow-latch-\d{4}-\d\d-\d\dT\d{6}\.sqlite$/u;
const nameAt = (now: number) => `yellow-latch-${new Date(now).toISOString().slice(0, 19).replaceAll(':', '')}.sqlite`;
/** After a failure it is tried again this soon, in ms. */
const RETRY = 10 * 60_000;

export class BackupSchedule {
  private timer: ReturnType<typeof setTimeout> | undefined;
  private running: Promise<void> = Promise.resolve();
  private isOver = false;

  /** `take`: makes one; by default in a process of its own. */
  constructor(
    private readonly data: string,
    private readonly settings: NonNullable<Settings['backups']>,
    private readonly now: () => number,
    private readonly take: (data: string, file: string) => Promise<void> = takeApart,
  ) {}

  /** The first is due when the last one there is old enough: a server that starts often does not make one each time. */
  start(): void {
    mkdirSync(this.settings.folder, { recursive: true, mode: 0o700 });
    const [last] = this.kept().slice(-1);
    const age = last === undefined ? Infinity : this.now() - timeOf(last);
    this.after(age < 0 ? 0 : Math.max(0, this.settings.every - age));
  }

  /** Resolves when none is being made any more. */
  async stop(): Promise<void> {
    this.isOver = true;
    clearTimeout(this.timer);
    await this.running;
  }

  /** Makes one now, and lets go of the oldest above the number kept: never the last good one. */
  async run(): Promise<void> {
    const { folder, keep } = this.settings;
    // A disk that is not there any more is not replaced by a folder of its name.
    if (!existsSync(folder)) throw new Error(`${folder} is gone`);
    await this.take(this.data, join(folder, nameAt(this.now())));
    const kept = this.kept();
    for (const old of kept.slice(0, Math.max(0, kept.length - keep))) rmSync(join(folder, old), { force: true });
    log().info({ kept: Math.min(kept.length, keep) }, 'Backed up');
  }

  /** Names of the backups that are there, oldest first. */
  private kept(): string[] {
    const { folder } = this.settings;
    return existsSync(folder)
      ? readdirSync(folder)
          .filter((name) => NAME.test(name))
          .sort()
      : [];
  }

  private after(ms: number): void {
    if (this.isOver) return;
    this.timer = setTimeout(() => {
      this.running = this.run().then(
        () => this.after(this.settings.every),
        (error: unknown) => {
          logFailure('The backup failed, and is tried again in ten minutes', error, { why: (error as Error).message });
          this.after(RETRY);
        },
      );
    }, ms).unref();
  }
}

function timeOf(name: string): number {
  const [, day, hours, minutes, seconds] = /^yellow-latch-(.{10})T(..)(..)(..)/u.exec(name)!;
  return Date.parse(`${day}T${hours}:${minutes}:${seconds}Z`);
}

/** Runs this program again, to back up and end. Rejects with what it said. */
function takeApart(data: string, file: string): Promise<void> {
  return new Promise((resolve, reject) => {
    const child = spawn(process.execPath, [process.argv[1]!, 'backup', file, '--data', data], {
      stdio: ['ignore', 'ignore', 'pipe'],
    });
    let said = '';
    child.stderr.on('data', (chunk) => (said += String(chunk)));
    child.once('error', reject);
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Error(said.trim() || `it ended with ${code}`))));
  });
}

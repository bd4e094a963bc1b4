/** What stands on a stand-in, kept in its database: its own list, what was written in its places, how far its jobs are. */
import type { Job, JobId } from '@yellow-latch/core/scenario/jobs';
import { NO_TAPS, type OwnEntry, type Source, type Spent, type Tally } from '@yellow-latch/core/standIn';
import { Subscribable } from '@yellow-latch/core/subscribable';
import type { ReplicaDatabase } from '@yellow-latch/replica/storage/database';

export type PlaceId = 'talk' | 'mail' | 'form' | 'caption' | 'report' | 'note' | 'own-list';

/** Whether a job is done with codes or without. */
export type Way = 'with' | 'without';

/** Something said in a conversation; `who` null: by the one who types here. */
export interface Said {
  readonly who: string | null;
  readonly text: string;
}

/** A conversation, and how many of its questions were answered. */
export interface TalkState {
  readonly said: readonly Said[];
  readonly answered: number;
}

/** What a job took, and what its texts take written out. */
export interface JobResult {
  readonly spent: Spent;
  readonly written: Spent;
}

export interface Kept {
  readonly source: Source;
  readonly place: PlaceId;
  readonly own: readonly OwnEntry[];
  /** By the name of the field, under the job or none. */
  readonly texts: Readonly<Record<string, string>>;
  readonly talks: Readonly<Record<string, TalkState>>;
  readonly tallies: Readonly<Record<string, Tally>>;
  /** What was sent, under the job or none: the count beside the taps goes by it. */
  readonly sent: Readonly<Record<string, string>>;
  readonly job: { readonly id: JobId; readonly way: Way } | null;
  /** The scopes of jobs that are done: who opens one again begins anew. */
  readonly finished: readonly string[];
  readonly results: Readonly<Partial<Record<JobId, Partial<Record<Way, JobResult>>>>>;
}

const NOTHING: Kept = {
  source: 'app',
  place: 'talk',
  own: [],
  texts: {},
  talks: {},
  tallies: {},
  sent: {},
  job: null,
  finished: [],
  results: {},
};

const KEPT = 'stand-in';
/** So long after a key what was written is kept, in ms; at once when the page goes. */
const REST = 250;

export class Memory {
  private readonly changes = new Subscribable();
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly db: ReplicaDatabase,
    private current: Kept,
  ) {}

  static async open(db: ReplicaDatabase): Promise<Memory> {
    const kept = (await db.get('kept', KEPT)) as Partial<Kept> | undefined;
    return new Memory(db, { ...NOTHING, ...kept });
  }

  get value(): Kept {
    return this.current;
  }

  readonly subscribe = this.changes.subscribe;

  /** Sets some of it, and keeps it; on a device that is full it holds for this visit. */
  set(some: Partial<Kept>): void {
    this.take({ ...this.current, ...some });
    this.save();
  }

  /** The same for what changes with every key: it is kept when one pauses. */
  private setTyped(some: Partial<Kept>): void {
    this.take({ ...this.current, ...some });
    clearTimeout(this.timer);
    this.timer = setTimeout(this.save, REST);
  }

  private take(next: Kept): void {
    this.current = next;
    this.changes.emit();
  }

  /** Sets some of it when it is kept. Rejects, and nothing is changed, where there is no room. */
  async setKept(some: Partial<Kept>): Promise<void> {
    const next = { ...this.current, ...some };
    await this.db.put('kept', next, KEPT);
    this.take(next);
  }

  readonly save = (): void => {
    clearTimeout(this.timer);
    this.db.put('kept', this.current, KEPT).catch(() => {});
  };

  /** The name under which the open job keeps its own, so that jobs and free typing do not mix. */
  get scope(): string {
    const { job } = this.current;
    return job ? `${job.id} ${job.way} ` : '';
  }

  textOf(field: string): string {
    return this.current.texts[this.scope + field] ?? '';
  }

  setText(field: string, text: string): void {
    const name = this.scope + field;
    if (this.current.texts[name] !== text) this.setTyped({ texts: { ...this.current.texts, [name]: text } });
  }

  get tally(): Tally {
    return this.current.tallies[this.scope] ?? NO_TAPS;
  }

  count(some: Partial<Tally>): void {
    const { taps, keys, offers } = this.tally;
    const tally = {
      taps: taps + (some.taps ?? 0),
      keys: keys + (some.keys ?? ''),
      offers: offers + (some.offers ?? 0),
    };
    this.setTyped({ tallies: { ...this.current.tallies, [this.scope]: tally } });
  }

  /** Everything that was written since the counting began: sent, and standing in the fields. */
  get written(): string {
    const standing = Object.entries(this.current.texts)
      .filter(([name]) => (this.scope === '' ? !name.includes(' ') : name.startsWith(this.scope)))
      .map(([, text]) => text);
    return [this.current.sent[this.scope] ?? '', ...standing].filter((text) => text !== '').join('\n');
  }

  /** The texts of fields were sent: they stay in the count, and the fields are empty. */
  send(texts: Readonly<Record<string, string>>): void {
    const { scope } = this;
    const before = this.current.sent[scope] ?? '';
    const sent = [before, ...Object.values(texts)].filter((text) => text !== '').join('\n');
    const emptied = Object.fromEntries(Object.keys(texts).map((field) => [scope + field, '']));
    this.set({ sent: { ...this.current.sent, [scope]: sent }, texts: { ...this.current.texts, ...emptied } });
  }

  /** Whether the open job is done. */
  get isFinished(): boolean {
    return this.current.finished.includes(this.scope);
  }

  /** Opens a job, where it was left or, if it was done, anew; its codes come from the list. Null: free typing. */
  openJob(job: Job | null, way: Way): void {
    if (job === null) return this.set({ job: null });
    this.set({ job: { id: job.id, way }, place: job.place, source: 'app' });
    if (!this.isFinished) return;
    this.set({ finished: this.current.finished.filter((scope) => scope !== this.scope) });
    this.startOver();
  }

  /** The open job is done: what it took. */
  finish(result: JobResult): void {
    const { job, results, finished } = this.current;
    if (!job) return;
    this.set({
      results: { ...results, [job.id]: { ...results[job.id], [job.way]: result } },
      finished: [...finished, this.scope],
    });
  }

  /** Everything of the open job, or of free typing, is as at the beginning. */
  startOver(): void {
    const { scope, current } = this;
    const without = <Value>(of: Readonly<Record<string, Value>>) =>
      Object.fromEntries(
        Object.entries(of).filter(([name]) => (scope === '' ? name.includes(' ') : !name.startsWith(scope))),
      );
    this.set({
      texts: without(current.texts),
      talks: without(current.talks),
      tallies: without(current.tallies),
      sent: without(current.sent),
    });
  }
}

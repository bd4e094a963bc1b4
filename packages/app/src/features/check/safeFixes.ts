import type { Fix } from '@yellow-latch/core/clash';
import type { ReplicaDatabase } from '@yellow-latch/replica/storage/database';

const KEPT = 'safe-fixes';
/** How long nothing is added before they are kept, in ms. */
const REST = 500;

interface KeptFixes {
  readonly version: string;
  readonly fixes: ReadonlyMap<string, Fix | null>;
}

/**
 * The fixes offered on rows, by row, of one version of the list. They are kept on this device beside what the check
 * found: working out the first of them starts the worker, which checks the whole list. Null: a row has none.
 */
export class SafeFixes {
  private timer: ReturnType<typeof setTimeout> | undefined;

  private constructor(
    private readonly db: ReplicaDatabase,
    readonly version: string,
    private readonly fixes: Map<string, Fix | null>,
  ) {}

  /** Those that were kept, if they are of this version. */
  static async load(db: ReplicaDatabase, version: string): Promise<SafeFixes> {
    const kept = (await db.get('kept', KEPT).catch(() => undefined)) as KeptFixes | undefined;
    return new SafeFixes(db, version, new Map(kept?.version === version ? kept.fixes : []));
  }

  get(row: string): Fix | null | undefined {
    return this.fixes.get(row);
  }

  add(row: string, fix: Fix | null): void {
    this.fixes.set(row, fix);
    clearTimeout(this.timer);
    const { version, fixes } = this;
    // If there is no room they are worked out again.
    this.timer = setTimeout(() => void this.db.put('kept', { version, fixes }, KEPT).catch(() => {}), REST);
  }
}

/** One a database at a time: that of the version asked for last. */
const loaded = new WeakMap<ReplicaDatabase, { version: string; whole: Promise<SafeFixes>; now: SafeFixes | null }>();

/** The fixes of a version, read once. */
export function safeFixesOf(db: ReplicaDatabase, version: string): Promise<SafeFixes> {
  const of = loaded.get(db);
  if (of?.version === version) return of.whole;
  const one = { version, whole: SafeFixes.load(db, version), now: null as SafeFixes | null };
  void one.whole.then((fixes) => (one.now = fixes));
  loaded.set(db, one);
  return one.whole;
}

/** The same, if it has been read: for a row that scrolls back into view. */
export function safeFixesNow(db: ReplicaDatabase, version: string): SafeFixes | null {
  const of = loaded.get(db);
  return of?.version === version ? of.now : null;
}

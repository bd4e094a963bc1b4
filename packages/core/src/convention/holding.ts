import type { ChosenConvention, Mark } from '../model';
import { BARE, isSameMark, markKey, mayBeMarked, partsOf, type Marked } from './mark';
import { conventionFor } from './recognise';

/** So many codes of a set or a kind show what marks them, if most of them agree. */
const ENOUGH = 3;
const MOST = 0.6;

/** What marks the codes of a list: most of all, of each set, and of each kind. Made once for a list; linear. */
export class HoldingMarks {
  private readonly counts = new Map<string, Map<string, { mark: Mark; count: number }>>();

  constructor(shortcuts: Iterable<Marked>) {
    for (const shortcut of shortcuts) {
      if (!mayBeMarked(shortcut)) continue;
      const { mark } = partsOf(shortcut.code)!;
      for (const part of ['', `set ${shortcut.setId}`, `kind ${shortcut.kind}`]) {
        const marks = this.counts.get(part) ?? new Map<string, { mark: Mark; count: number }>();
        this.counts.set(part, marks);
        const key = markKey(mark);
        marks.set(key, { mark, count: (marks.get(key)?.count ?? 0) + 1 });
      }
    }
  }

  /**
   * The mark for a shortcut: of the convention that was chosen for it; else of its set or its kind, where most codes of that
   * show one; else of the most codes of the list. Null: none shows.
   */
  markFor(shortcut: Pick<Marked, 'kind' | 'setId'>, chosen: readonly ChosenConvention[]): Mark | null {
    const convention = conventionFor(shortcut, chosen);
    if (convention) return convention.mark;
    const { setId, kind } = shortcut;
    const ofSet = setId === null ? null : this.clearMark(`set ${setId}`);
    return ofSet ?? this.clearMark(`kind ${kind}`) ?? this.mostOf('')?.mark ?? null;
  }

  private clearMark(part: string): Mark | null {
    const marks = [...(this.counts.get(part)?.values() ?? [])];
    const all = marks.reduce((sum, { count }) => sum + count, 0);
    const most = this.mostOf(part);
    return most && most.count >= ENOUGH && most.count >= all * MOST ? most.mark : null;
  }

  /** Codes without a marker show none. */
  private mostOf(part: string): { mark: Mark; count: number } | null {
    const marks = [...(this.counts.get(part)?.values() ?? [])].filter(({ mark }) => !isSameMark(mark, BARE));
    return marks.reduce<{ mark: Mark; count: number } | null>(
      (best, one) => (best === null || one.count > best.count ? one : best),
      null,
    );
  }
}

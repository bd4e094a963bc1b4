import type { DeviceProfile } from '../profile';
import { fitsCapitals } from './capitals';
import { byKeyAndAge, CodeTree, type Keyed } from './codeTree';
import { delimiterTest } from './delimiter';
import type { Edge } from './edge';
import { foldTyped, type FoldedText } from './fold';
import { builtInOf, hold, layersOf, type Layer } from './layers';
import { isEndedInPassing, passingState, type MadeText } from './madeText';
import { Place, type Match } from './place';
import { settleRules, type FiringEntry, type RuledList } from './rules';
import { scanText, type Scanned } from './scan';

/** What becomes of a list: entries put in or changed, and ids taken out. */
export interface ListChange {
  readonly put?: readonly FiringEntry[];
  readonly remove?: readonly string[];
}

/** At most this many changes lie over a base before the list should be compiled anew. */
export const LARGEST_OVERLAY = 1_000;

/**
 * A list made ready for typing as on one device: an immutable base and a small overlay of changes.
 * The face behind which the search structures hide; every method is pure.
 *
 * A look-up folds what stands before the caret, back to the nearest place where no code could go on
 * (white space, if no code holds any; else the longest code's length), and walks the trees of codes
 * only from places where one may begin. Its cost does not depend on the length of the text and hardly
 * on that of the list.
 */
export class CompiledList {
  /** Tells the delimiters of the device. */
  readonly isDelimiter: (character: string) => boolean;
  /** Base and overlay; the trees of the latter are made when first looked into. */
  private all: readonly Layer[] | null = null;
  /** Both in one, made when a first text is scanned. */
  private whole: Readonly<Record<Edge, CodeTree>> | null = null;

  private constructor(
    readonly profile: DeviceProfile,
    private readonly base: readonly Layer[],
    /** Every id that was changed: what the base holds of it counts no more. */
    readonly hidden: ReadonlySet<string>,
    private readonly overlay: readonly Keyed[],
    /** Units of the longest match key. */
    readonly longest: number,
    /** Whether some code holds white space. */
    readonly hasSpaces: boolean,
  ) {
    this.isDelimiter = delimiterTest(profile.delimiters);
  }

  /** O(n log n) in the number of entries. */
  static compile(entries: readonly FiringEntry[], profile: DeviceProfile): CompiledList {
    const held: Keyed[] = [];
    for (const entry of [...entries, ...builtInOf(profile)]) {
      const item = hold(entry, profile);
      if (item) held.push(item);
    }
    const base = layersOf(held, true);
    return new CompiledList(
      profile,
      base,
      new Set(),
      [],
      held.reduce((longest, { key }) => Math.max(longest, key.length), 0),
      held.some(({ key }) => /\s/u.test(key)),
    );
  }

  /** How many changes lie over the base; beyond LARGEST_OVERLAY compile anew, in the background. */
  get overlaySize(): number {
    return this.hidden.size;
  }

  /** The list after a change. O(overlay), whatever the size of the base. */
  with({ put = [], remove = [] }: ListChange): CompiledList {
    const gone = new Set([...remove, ...put.map(({ id }) => id)]);
    const hidden = new Set(this.hidden);
    for (const id of gone) hidden.add(id);
    const held = put.flatMap((entry) => hold(entry, this.profile) ?? []);
    return new CompiledList(
      this.profile,
      this.base,
      hidden,
      [...this.overlay.filter(({ entry }) => !gone.has(entry.id)), ...held],
      held.reduce((longest, { key }) => Math.max(longest, key.length), this.longest),
      this.hasSpaces || held.some(({ key }) => /\s/u.test(key)),
    );
  }

  /**
   * A caret in a text, to be asked what fires there, what may still come and what is offered. `needsEdge` false: codes
   * count as well that fail for want of an edge, to explain it.
   */
  at(text: string, caret: number, needsEdge = true): Place {
    return new Place(this, text, caret, needsEdge);
  }

  /**
   * Every place of a whole text at which a code would fire as it is typed: at its end, and where it
   * fires at a delimiter, followed by one or by the end of the text. Of codes that end at one place
   * and fire in one way the longest; what an earlier firing would have changed is not followed. Offers
   * do not fire. In the order of their ends; linear in the text.
   */
  scan(text: string): Match[] {
    const matches: Match[] = [];
    this.scanEach(text, (start, end, entry) => matches.push({ start, end, entry }));
    return matches.sort((a, b) => a.end - b.end);
  }

  /**
   * As `scan`, told one by one in the order of starts, so that counting in large texts takes no memory.
   * A text that is scanned for several lists is folded once, by `foldTyped` for this device.
   */
  scanEach(text: string | FoldedText, meet: Scanned): void {
    const folded = typeof text === 'string' ? foldTyped(text, this.profile) : text;
    const trees = (this.whole ??= this.treesOfAll());
    const { made } = folded;
    if (!made) {
      scanText(folded, this.profile, trees, meet);
      return;
    }
    const passing = this.passingMatches(made).sort((a, b) => a.start - b.start);
    let next = 0;
    const meetPassing = (before: number) => {
      for (; next < passing.length && passing[next]!.start < before; next += 1) {
        const { start, end, entry } = passing[next]!;
        meet(start, end, entry);
      }
    };
    scanText(folded, this.profile, trees, (from, to, entry) => {
      const start = made.typedStart(from);
      if (next < passing.length) meetPassing(start);
      meet(start, made.typedEnd(to), entry);
    });
    meetPassing(Infinity);
  }

  /** What would fire on characters that the next key replaced, by places of the typed text. */
  passingMatches(made: MadeText): Match[] {
    const matches: Match[] = [];
    const hasInstant = this.layers.some(({ tree }) => tree.hasInstant);
    for (const passing of made.passing) {
      const { characters, typedAt } = passing;
      const ended = Array.from({ length: characters.length + 1 }, (_, length) =>
        isEndedInPassing(passing, length, made, this.isDelimiter),
      );
      if (!hasInstant && !ended.includes(true)) continue;
      const { text, from, at } = passingState(made, passing, this.longest);
      ended.forEach((isEnded, length) => {
        const end = at + length;
        const found = isEnded || length > 0 ? this.at(text, end).matches() : [];
        for (const way of ['instant', 'delimiter'] as const) {
          if (way === 'instant' ? length === 0 : !isEnded) continue;
          const match = found.find(
            ({ entry, start }) => entry.fires === way && fitsCapitals(entry, text.slice(start, end)),
          );
          if (!match) continue;
          const start = match.start < at ? made.typedStart(from + match.start) : typedAt + match.start - at;
          matches.push({ start, end: typedAt + length, entry: match.entry });
        }
      });
    }
    return matches;
  }

  /** Base and overlay. */
  get layers(): readonly Layer[] {
    return (this.all ??= [...this.base, ...layersOf(this.overlay, false)]);
  }

  private treesOfAll(): Record<Edge, CodeTree> {
    const treeOf = (edge: Edge) => {
      const layers = this.layers.filter((layer) => layer.edge === edge);
      if (this.overlaySize === 0 && layers.length === 1) return layers[0]!.tree;
      const items = layers.flatMap(({ tree, isBase }) =>
        tree.items().filter(({ entry }) => !isBase || !this.hidden.has(entry.id)),
      );
      return new CodeTree(items.sort(byKeyAndAge));
    };
    return { word: treeOf('word'), anywhere: treeOf('anywhere') };
  }
}

/** The list of one owner, its rules settled, as typed on a device of this profile. */
export function compile(list: RuledList, profile: DeviceProfile): CompiledList {
  return CompiledList.compile(settleRules(list), profile);
}

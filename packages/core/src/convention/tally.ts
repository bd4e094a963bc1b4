import {
  delimiterTest,
  foldAll,
  FoldedPlaces,
  heldBy,
  isEndedInPassing,
  passingState,
  type FiringEntry,
  type FoldedText,
} from '../fire';
import type { DeviceProfile } from '../profile';
import { matchKey } from '../model';
import type { WeighedMarked } from './markedCorpus';
import type { MarkIndex } from './markIndex';
import { Patterns } from './patterns';

/** A shortcut by its mnemonic, and the rules by which a device fires it, whatever mark it gets. */
interface Mnemonic {
  readonly mnemonic: string;
  readonly isInstant: boolean;
  readonly isAnywhere: boolean;
  readonly needsCapitals: boolean;
}

/** What a text is to a tally: each weighs so much, once, however often it is hit. */
export interface Weighed {
  readonly folded: FoldedText;
  /** Where each text begins; behind the last where the next would. */
  readonly starts: Int32Array;
  readonly weights: ArrayLike<number>;
}

const LONGEST_MARKER = 2;

type Meet = (mark: number, start: number, end: number, isInstant: boolean) => void;

/**
 * For every mark at once, where codes with that mark would fire on a device. A text is walked once: where
 * a mnemonic stands, the characters around it tell under which marks it would be a code there.
 */
export class MarkTally {
  private readonly patterns: Patterns;
  /** By string of the patterns, the shortcuts that have it as their mnemonic. */
  private readonly owners: readonly (readonly Mnemonic[])[];
  private readonly longest: number;
  /** By mark, the end at which it was last met, for codes that fire at a delimiter and at once. */
  private readonly lastEnds: readonly [Int32Array, Int32Array];

  constructor(
    private readonly marks: MarkIndex,
    private readonly entries: readonly (FiringEntry & { readonly mnemonic: string })[],
    private readonly profile: DeviceProfile,
  ) {
    const byKey = new Map<string, Mnemonic[]>();
    for (const entry of this.entries) {
      const held = heldBy(entry, profile);
      if (held === null || held.fires === 'offer') continue;
      const { mnemonic } = entry;
      const key = matchKey(mnemonic);
      const one = {
        mnemonic,
        isInstant: held.fires === 'instant',
        isAnywhere: held.edge === 'anywhere',
        needsCapitals: held.capitals === 'match',
      };
      byKey.set(key, [...(byKey.get(key) ?? []), one]);
    }
    this.patterns = new Patterns([...byKey.keys()]);
    this.owners = [...byKey.values()];
    this.longest = Math.max(0, ...Array.from(byKey.keys(), ({ length }) => length)) + 2 * LONGEST_MARKER;
    this.lastEnds = [new Int32Array(marks.count), new Int32Array(marks.count)];
  }

  /** The weight of the texts in which something would fire, by mark. Each text counts once. */
  weigh({ folded, starts, weights }: Weighed): Float64Array {
    const sums = new Float64Array(this.marks.count);
    const lastTexts = new Int32Array(this.marks.count).fill(-1);
    let text = 0;
    this.walk(folded, (mark, start, end) => {
      while (starts[text + 1]! <= start) text += 1;
      // What stands behind a text ends a code, and is none of it.
      if (lastTexts[mark] === text || end >= starts[text + 1]!) return;
      lastTexts[mark] = text;
      sums[mark]! += weights[text]!;
    });
    return sums;
  }

  /** The weight of the marked words in which a code would fire with its marks, by mark. */
  weighMarked({ folded, starts, texts, isMarked }: WeighedMarked): Float64Array {
    const { count } = this.marks;
    const sums = new Float64Array(count);
    const lastTexts = new Int32Array(count).fill(-1);
    // What begins before the mnemonic fires instead of it.
    const taken = [new Int32Array(count).fill(-1), new Int32Array(count).fill(-1)] as const;
    let text = 0;
    this.walk(folded, (mark, start, end, isInstant) => {
      while (starts[text + 1]! <= start) text += 1;
      if (lastTexts[mark] === text || taken[isInstant ? 1 : 0][mark] === text || end >= starts[text + 1]!) return;
      const [from, to] = [start - starts[text]!, end - starts[text]!];
      if (isMarked(text, from, to)) {
        lastTexts[mark] = text;
        sums[mark]! += texts[text]!.perTenThousand;
      } else if (to > texts[text]!.end) {
        taken[isInstant ? 1 : 0][mark] = text;
      }
    });
    return sums;
  }

  /** In how many places something would fire, by mark. Of codes that end at one place one counts. */
  count(folded: FoldedText): Float64Array {
    const counts = new Float64Array(this.marks.count);
    for (const ends of this.lastEnds) ends.fill(-1);
    this.walk(folded, (mark, _start, end, isInstant) => {
      const ends = this.lastEnds[isInstant ? 1 : 0];
      if (ends[mark] === end) return;
      ends[mark] = end;
      counts[mark]! += 1;
    });
    return counts;
  }

  /** Tells every mark under which a mnemonic of the text would be a code that fires there, by places of the typed text. */
  private walk(folded: FoldedText, meet: Meet): void {
    const { made } = folded;
    if (!made) {
      this.walkOne(folded, meet);
      return;
    }
    const isDelimiter = delimiterTest(this.profile.delimiters);
    const { passing } = made;
    let next = 0;
    const meetMade: Meet = (mark, start, end, isInstant) => {
      meet(mark, made.typedStart(start), made.typedEnd(end), isInstant);
    };
    const pass = (place: number) => {
      for (; next < passing.length && passing[next]!.at < place; next += 1) {
        const one = passing[next]!;
        const { text, from, at, typedAt } = passingState(made, one, this.longest);
        this.walkOne(foldAll(text), (mark, start, end, isInstant) => {
          if (isInstant ? end <= at : end < at || !isEndedInPassing(one, end - at, made, isDelimiter)) return;
          const begins = start < at ? made.typedStart(from + start) : typedAt + start - at;
          meet(mark, begins, typedAt + end - at, isInstant);
        });
      }
    };
    this.walkOne(folded, meetMade, pass);
    pass(Infinity);
  }

  /** `pass`: told of every place that is passed. */
  private walkOne(folded: FoldedText, meet: Meet, pass?: (at: number) => void): void {
    const { patterns, owners, marks } = this;
    const places = new FoldedPlaces(folded, this.profile.delimiters);
    const { text } = folded;
    const numberAt = (at: number) => (at >= 0 && at < places.length ? marks.numberOf(places.foldedAt(at)) : -1);
    /** Tells of a code from `from` to `to` if it would fire. */
    const tryAt = (
      mark: number,
      from: number,
      to: number,
      { isInstant, isAnywhere }: Mnemonic,
      typed: string | null,
    ): void => {
      const start = places.placeOf(from);
      const end = places.placeOf(to);
      if (start < 0 || end < 0) return;
      if (!isAnywhere && !places.hasEdge(from)) return;
      if (!isInstant && !places.isEnd(to)) return;
      if (typed !== null && text.slice(start, end).normalize('NFC') !== typed) return;
      meet(mark, start, end, isInstant);
    };
    let state = 0;
    for (let at = 0; at < places.length; at += 1) {
      pass?.(at);
      state = patterns.step(state, places.foldedAt(at));
      for (let output = patterns.firstOutput(state); output !== -1; output = patterns.nextOutput(output)) {
        const string = patterns.stringAt(output);
        const end = at + 1;
        const start = end - patterns.strings[string]!.length;
        const before = numberAt(start - 1);
        const beforeThat = numberAt(start - 2);
        const after = numberAt(end);
        const afterThat = numberAt(end + 1);
        const isDoubled = start > 0 && places.foldedAt(start - 1) === places.foldedAt(start);
        for (const owner of owners[string]!) {
          const { mnemonic, needsCapitals } = owner;
          const typed = (mark: number, code: (marker: string) => string) =>
            needsCapitals ? code(marks.markOf(mark).marker).normalize('NFC') : null;
          tryAt(marks.bare, start, end, owner, needsCapitals ? mnemonic.normalize('NFC') : null);
          if (isDoubled)
            tryAt(
              marks.doubled,
              start - 1,
              end,
              owner,
              needsCapitals ? (mnemonic[0]! + mnemonic).normalize('NFC') : null,
            );
          if (before >= 0) {
            const one = marks.before(before);
            tryAt(
              one,
              start - 1,
              end,
              owner,
              typed(one, (marker) => marker + mnemonic),
            );
            if (beforeThat >= 0) {
              const two = marks.beforeTwo(beforeThat, before);
              tryAt(
                two,
                start - 2,
                end,
                owner,
                typed(two, (marker) => marker + mnemonic),
              );
            }
            if (after === before) {
              const both = marks.both(before);
              tryAt(
                both,
                start - 1,
                end + 1,
                owner,
                typed(both, (marker) => marker + mnemonic + marker),
              );
            }
          }
          if (after >= 0) {
            const one = marks.after(after);
            tryAt(
              one,
              start,
              end + 1,
              owner,
              typed(one, (marker) => mnemonic + marker),
            );
            if (afterThat >= 0) {
              const two = marks.afterTwo(after, afterThat);
              tryAt(
                two,
                start,
                end + 2,
                owner,
                typed(two, (marker) => mnemonic + marker),
              );
            }
          }
        }
      }
    }
  }
}

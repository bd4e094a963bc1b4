import { middleOf, pricerOf, typeFrom, type InUse } from '../effort';
import type { MarkIndex } from './markIndex';

/** Taps and seconds of one use, by mark, over all codes by how often they are used. */
export interface MarkEffort {
  readonly taps: Float64Array;
  readonly seconds: Float64Array;
}

/** A mnemonic, and its part of all uses. */
export interface WeighedMnemonic {
  readonly mnemonic: string;
  readonly weight: number;
}

/** The space that ends a code and that the text needed anyway. */
const BEHIND = ' ';

/** A state after something was typed, and what that took. */
interface After {
  readonly state: number;
  readonly weight: number;
  readonly taps: number;
  readonly seconds: number;
}

/**
 * What codes cost under every mark. What follows a marker depends on where it leaves finger and layer
 * alone, so mnemonics are priced once for each such state, not once for each mark: the cost is the number
 * of marks and, some hundred times, that of mnemonics.
 */
export function effortOfMarks(
  marks: MarkIndex,
  mnemonics: readonly WeighedMnemonic[],
  inUse: readonly InUse[],
): MarkEffort {
  const taps = new Float64Array(marks.count);
  const seconds = new Float64Array(marks.count);
  const shares = inUse.reduce((sum, { share }) => sum + share, 0);
  for (const { keyboard, share, pace } of inUse) {
    const pricer = pricerOf(keyboard);
    const middle = middleOf(pricer);
    const part = share / shares;
    const type = (text: string, from: After): After => {
      const typed = pricer.typed(text, from.state);
      // What a keyboard does not have is fetched from a table, as far away under every mark.
      const whole = typed.missing === null ? typed : typeFrom(pricer, text, from.state);
      return {
        state: whole.state,
        weight: from.weight,
        taps: from.taps + whole.taps,
        seconds: from.seconds + whole.seconds,
      };
    };
    const start: After = { state: middle, weight: 1, taps: 0, seconds: 0 };
    const add = (mark: number, one: { taps: number; seconds: number }) => {
      taps[mark]! += one.taps * part;
      seconds[mark]! += one.seconds * part * pace;
    };
    const mean = (all: readonly After[]) => ({
      taps: all.reduce((sum, one) => sum + one.taps * one.weight, 0),
      seconds: all.reduce((sum, one) => sum + one.seconds * one.weight, 0),
    });
    const all = (texts: (mnemonic: string) => string, from: After) =>
      mean(mnemonics.map(({ mnemonic, weight }) => ({ ...type(texts(mnemonic), from), weight })));

    add(
      marks.bare,
      all((mnemonic) => mnemonic + BEHIND, start),
    );
    add(
      marks.doubled,
      all((mnemonic) => mnemonic[0]! + mnemonic + BEHIND, start),
    );

    const following = new Map<number, { taps: number; seconds: number }>();
    const followed = ({ state, taps: before, seconds: took }: After) => {
      let rest = following.get(state);
      if (!rest) following.set(state, (rest = all((mnemonic) => mnemonic + BEHIND, { ...start, state })));
      return { taps: before + rest.taps, seconds: took + rest.seconds };
    };
    /** Where the mnemonics end, each state once, after what was typed before them. */
    const endsAfter = (from: After): After[] => {
      const ends = new Map<number, After>();
      for (const { mnemonic, weight } of mnemonics) {
        const { state, ...one } = type(mnemonic, from);
        const known = ends.get(state) ?? { state, weight: 0, taps: 0, seconds: 0 };
        ends.set(state, {
          state,
          weight: known.weight + weight,
          taps: known.taps + one.taps * weight,
          seconds: known.seconds + one.seconds * weight,
        });
      }
      // Means again, as the others are.
      // Where only codes end that are never used, nothing goes on from: a mean over nothing is no number.
      return [...ends.values()]
        .filter(({ weight }) => weight > 0)
        .map((one) => ({ ...one, taps: one.taps / one.weight, seconds: one.seconds / one.weight }));
    };
    const ends = endsAfter(start);
    const { characters } = marks;
    // What one character leads to is typed once, and gone on from for the second.
    const afterEnds = characters.map((character) => ends.map((end) => type(character, end)));
    characters.forEach((character, one) => {
      const before = type(character, start);
      add(marks.before(one), followed(before));
      add(marks.after(one), mean(afterEnds[one]!.map((end) => type(BEHIND, end))));
      add(marks.both(one), mean(endsAfter(before).map((end) => type(character + BEHIND, end))));
      characters.forEach((other, two) => {
        add(marks.beforeTwo(one, two), followed(type(other, before)));
        add(marks.afterTwo(one, two), mean(afterEnds[one]!.map((end) => type(other + BEHIND, end))));
      });
    });
  }
  return { taps, seconds };
}

import type { Keyboard } from './keyboard';
import { nextSentence, type SentenceState } from './sentence';
import type { Timing } from './timing';
import { BEGINNING, layerAt, stepsTo, withSwitches, type NotOnKeyboard, type Step } from './way';

/** What it takes to type a text: taps and seconds on the quickest way. */
export interface Price {
  readonly type: 'price';
  readonly taps: number;
  readonly seconds: number;
}

/** How far a text was typed: what that took, and the state it led to. */
export interface Typed {
  readonly state: number;
  readonly taps: number;
  readonly seconds: number;
  readonly missing: NotOnKeyboard | null;
}

/** Where nothing was typed yet. */
export const BEGINNING_STATE = 0;

/**
 * Everything that matters of what was typed so far: the places in which the ways to it end, each with what it
 * took more than the quickest, and where in a sentence the text stands.
 */
interface State {
  readonly ends: readonly Step[];
  /** The ends, and all that switching layers alone leads to from them; null until a character asks for it. */
  reached: readonly Step[] | null;
  readonly sentence: SentenceState;
  /** What leads on from it for characters that have no place in the tables. */
  readonly far: Map<string, Move>;
}

/** A state by its index, and what it takes to come there; `to` negative: the character is not on the keyboard. */
interface Move {
  readonly to: number;
  readonly seconds: number;
  readonly taps: number;
}

/** Units below this may be looked up in tables: Latin with its additions; so many of them have a column. */
const NEAR = 0x180;
const COLUMNS = 128;
const NO_COLUMN = -1;
const UNKNOWN = -1;
const MISSING: Move = { to: -2, seconds: 0, taps: 0 };
const ASCII = /^[\x00-\x7f]*$/;

/**
 * Prices texts on one keyboard: what `cheapestWay` says without its path. The search is made into an
 * automaton as texts ask for it: its states are the fronts of the search, less what they have in common
 * (determinisation of a weighted automaton, Mohri 1997). A text then costs a look-up for each character.
 * The tables have 1.7 kB a state; texts of all kinds come to some thousand states on glass, to ten on a
 * hardware keyboard. A pricer is meant to be kept: the first texts pay for the states.
 */
export class Pricer {
  private readonly states: State[] = [];
  private readonly indices = new Map<string, number>();
  /** The columns of units in the tables, in the order in which they were met. */
  private readonly columns = new Int16Array(NEAR).fill(NO_COLUMN);
  private columnCount = 0;
  /** By state and column: the state it leads to, and what that takes. */
  private next = new Int32Array(0);
  private seconds = new Float64Array(0);
  private taps = new Int8Array(0);

  constructor(
    private readonly keyboard: Keyboard,
    private readonly timing: Timing,
  ) {
    this.stateOf([{ ...BEGINNING, layer: layerAt(keyboard.start, 'start', keyboard) }], 'start');
  }

  /** What a text takes, typed where nothing stands yet. */
  price(text: string): Price | NotOnKeyboard {
    const typed = this.typed(ASCII.test(text) ? text : text.normalize('NFC'), BEGINNING_STATE);
    return typed.missing ?? { type: 'price', taps: typed.taps, seconds: typed.seconds };
  }

  /**
   * Types a text in NFC from a state on, from `from` in it, up to the first character that is not on the
   * keyboard. States are of this pricer alone; what was typed so far is behind them.
   */
  typed(text: string, state: number, from = 0): Typed {
    let seconds = 0;
    let taps = 0;
    for (let at = from; at < text.length; at += 1) {
      const unit = text.charCodeAt(at);
      const column = unit < NEAR ? this.columns[unit]! : NO_COLUMN;
      const cell = state * COLUMNS + column;
      const next = column < 0 ? UNKNOWN : this.next[cell]!;
      if (next >= 0) {
        state = next;
        seconds += this.seconds[cell]!;
        taps += this.taps[cell]!;
        continue;
      }
      const character = String.fromCodePoint(text.codePointAt(at)!);
      const move = next === UNKNOWN ? this.learn(state, character) : MISSING;
      if (move.to < 0) return { state, taps, seconds, missing: { type: 'not-on-keyboard', character, at } };
      state = move.to;
      seconds += move.seconds;
      taps += move.taps;
      at += character.length - 1;
    }
    return { state, taps, seconds, missing: null };
  }

  /** What a character leads to from a state, worked out once. */
  private learn(index: number, character: string): Move {
    const state = this.states[index]!;
    const known = state.far.get(character);
    if (known) return known;
    const { keyboard, timing } = this;
    const sentence = nextSentence(state.sentence, character);
    state.reached ??= withSwitches(state.ends, keyboard, timing);
    const ends = stepsTo(character, state.reached, keyboard, timing);
    const move = ends.length === 0 ? MISSING : this.moveTo(ends, sentence);
    const column = this.columnOf(character.charCodeAt(0));
    if (column >= 0) {
      const cell = index * COLUMNS + column;
      this.next[cell] = move.to;
      this.seconds[cell] = move.seconds;
      this.taps[cell] = move.taps;
    } else {
      state.far.set(character, move);
    }
    return move;
  }

  private columnOf(unit: number): number {
    if (unit >= NEAR) return NO_COLUMN;
    if (this.columns[unit] === NO_COLUMN && this.columnCount < COLUMNS) this.columns[unit] = this.columnCount++;
    return this.columns[unit]!;
  }

  /** The state of some ends, less what the quickest of them took. */
  private moveTo(ends: readonly Step[], sentence: SentenceState): Move {
    const { seconds, taps } = ends.reduce((best, one) => (one.seconds < best.seconds ? one : best));
    const rest = ends.map((end): Step => {
      const layer = layerAt(end.layer, sentence, this.keyboard);
      // Where every press takes the same, it does not matter where the finger is.
      const key = this.timing.isEven ? null : end.key;
      return { layer, key, seconds: end.seconds - seconds, taps: end.taps - taps, press: null, before: null };
    });
    return { to: this.stateOf(rest, sentence), seconds, taps };
  }

  private stateOf(ends: readonly Step[], sentence: SentenceState): number {
    const named = ends.map(({ layer, key, seconds, taps }) => `${layer}\n${key ?? ''}\n${seconds.toFixed(9)}\n${taps}`);
    const name = `${sentence}\n${named.sort().join('\n')}`;
    let index = this.indices.get(name);
    if (index === undefined) {
      index = this.states.push({ ends, reached: null, sentence, far: new Map() }) - 1;
      this.indices.set(name, index);
      if ((index + 1) * COLUMNS > this.next.length) this.grow();
    }
    return index;
  }

  private grow(): void {
    const size = Math.max(16 * COLUMNS, this.next.length * 2);
    const next = new Int32Array(size).fill(UNKNOWN);
    next.set(this.next);
    const seconds = new Float64Array(size);
    seconds.set(this.seconds);
    const taps = new Int8Array(size);
    taps.set(this.taps);
    Object.assign(this, { next, seconds, taps });
  }
}

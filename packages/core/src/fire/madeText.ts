/**
 * What a device makes of a whole text while it is typed key by key (rules 9) and nothing fires: the same as
 * `deviceText` after every key, in one pass.
 */
import type { DeviceProfile } from '../profile';
import { changesText, FAR, isAfterWord, isClosing, opensQuote } from './deviceText';
import { unitsOf, type Units } from './units';

/** Characters that stood before the caret until the next key replaced them: a code can fire there all the same. */
export interface Passing {
  /** Where they stood, in the made text and in the typed one. */
  readonly at: number;
  readonly typedAt: number;
  readonly characters: string;
}

export interface MadeText {
  readonly text: string;
  /** The typed text by units, as `unitsOf` gives them. */
  readonly typed: Units;
  /** In the order in which they stood there. */
  readonly passing: readonly Passing[];
  /** What is not as it was typed, and where in `text`. */
  readonly changes: { readonly at: readonly number[]; readonly characters: readonly string[] };
  /** Where in `text` places begin to shift, and by how much the typed text is ahead from there on. */
  readonly shifts: { readonly at: readonly number[]; readonly by: readonly number[] };
  /** Where in the typed text a stretch of the made one was typed. O(log changes). */
  readonly typedStart: (start: number) => number;
  readonly typedEnd: (end: number) => number;
}

/** What a unit is to the rules: they look at each that has LOOKED_AT; at a space only behind another. */
const OTHER_SPACE = 1;
const SPACE = 2;
const LOOKED_AT = 8;
const NEW_LINE = LOOKED_AT;
const STOP = LOOKED_AT + 1;
const QUOTE = LOOKED_AT + 2;
const DASH = LOOKED_AT + 3;

const KINDS = new Uint8Array(0x10000);
// White space as the rules have it: `\s` of ECMAScript.
for (const [characters, kind] of [
  [
    '\t\v\f\r\u00a0\u1680\u2000\u2001\u2002\u2003\u2004\u2005\u2006\u2007\u2008\u2009\u200a\u2028\u2029\u202f\u205f\u3000\ufeff',
    OTHER_SPACE,
  ],
  [' ', SPACE],
  ['\n', NEW_LINE],
  ['.!?', STOP],
  ['\'"', QUOTE],
  ['-', DASH],
] as const) {
  for (const character of characters) KINDS[character.charCodeAt(0)] = kind;
}

/** Behind every text; a small integer, so that places are compared as such. */
const NOWHERE = 0x3fffffff;
const NOTHING = 0;
const FULL_STOP = 0x2e;
const BLANK = 0x20;

/**
 * `isMiddle`: the text is typed behind others of its sentence, so that it begins none. Linear; null where the device
 * changes nothing in it.
 */
export function madeOf(text: string, profile: DeviceProfile, isMiddle = false): MadeText | null {
  return madeOfEach(text, [0, text.length + 1], profile, isMiddle);
}

/** As `madeOf`, without what decides nothing for a scan: where codes fire in any capitals, the capitals of sentences. */
export function madeForScan(text: string, profile: DeviceProfile, isMiddle = false): MadeText | null {
  // In a word of letters no sentence begins, and nothing else is changed.
  if (isMiddle && LETTERS.test(text)) return null;
  return madeForScanOfEach(text, [0, text.length + 1], profile, isMiddle);
}

const LETTERS = /^[\p{L}\p{M}]*$/u;

export function madeForScanOfEach(
  joined: string,
  starts: ArrayLike<number>,
  profile: DeviceProfile,
  isMiddle = false,
): MadeText | null {
  const { smartQuotes, smartDashes, smartDots, doubleSpaceStop, capitals } = profile;
  const asksForCapitals = capitals !== 'ignore' && capitals !== 'follow';
  const sentenceCapitals = profile.sentenceCapitals && (asksForCapitals || GROWS.test(joined));
  const mayChange =
    sentenceCapitals ||
    (smartQuotes && /["']/.test(joined)) ||
    (smartDashes && joined.includes('--')) ||
    (smartDots && joined.includes('...')) ||
    (doubleSpaceStop && joined.includes('  '));
  return mayChange ? madeOfEach(joined, starts, { ...profile, sentenceCapitals }, isMiddle) : null;
}

/** Small letters that are raised to two letters or to another letter's capital (Unicode, SpecialCasing and its like): codes could begin in them. */
const GROWS = /[ßŉǰıſ\u0390\u03b0\u0587\u1e96-\u1e9a\u1f50-\u1fff\ufb00-\ufb17]/;

/** As `madeOf` for many texts, each begun anew, that stand in one with a character between each two; `starts`: where, and where the next would. */
export function madeOfEach(
  joined: string,
  starts: ArrayLike<number>,
  profile: DeviceProfile,
  isMiddle = false,
): MadeText | null {
  if (!changesText(profile)) return null;
  const making = new Making(joined, profile, isMiddle);
  for (let i = 0; i + 1 < starts.length; i += 1) making.walk(starts[i]!, starts[i + 1]! - 1);
  return making.made();
}

class Making {
  private readonly pieces: string[] = [];
  private readonly passing: Passing[] = [];
  private readonly changes: { at: number[]; characters: string[] } = { at: [], characters: [] };
  private readonly shifts: { at: number[]; by: number[] } = { at: [], by: [] };
  /** Up to here the typed text is in `pieces`, which are so long. */
  private copied = 0;
  private length = 0;
  /** Where the text in hand begins, and its first piece. */
  private start = 0;
  private firstPiece = 0;
  private space = -1;
  private readonly typed: Units;
  private readonly units: Uint16Array;

  constructor(
    private readonly text: string,
    private readonly profile: DeviceProfile,
    private readonly isMiddle: boolean,
  ) {
    this.typed = unitsOf(text);
    this.units = this.typed.units;
  }

  /** Types one text, which stands between two places of all. */
  walk(start: number, end: number): void {
    const { units, profile } = this;
    this.start = start;
    let raised = this.isMiddle || !this.isSmall(start, end) ? NOWHERE : start;
    let space = this.secondSpace(start);
    for (let i = start; i < end;) {
      if (space < i) space = this.secondSpace(i - 1);
      i = skip(units, i, Math.min(raised, space, end));
      if (i >= end) return;
      if (i === raised) {
        i += this.raise(i);
        raised = NOWHERE;
        continue;
      }
      const unit = units[i]!;
      let stop = -1;
      switch (KINDS[unit]) {
        case DASH:
          if (profile.smartDashes && this.isBefore(i, '-')) this.replace(i - 1, i + 1, '\u2014', '-');
          break;
        case QUOTE:
          if (profile.smartQuotes) this.replace(i, i + 1, this.quoteAt(i, unit));
          break;
        case STOP:
          if (profile.smartDots && unit === FULL_STOP && this.isBefore(i, '..'))
            this.replace(i - 2, i + 1, '\u2026', '..');
          else stop = i;
          break;
        case SPACE:
          if (profile.doubleSpaceStop && this.unitBefore(i, 1) === BLANK && isAfterWord(this.before(i - 1))) {
            this.replace(i - 1, i, '.', ' ');
            stop = i - 1;
          }
          break;
        default:
          if (this.isSmall(i + 1, end)) raised = i + 1;
      }
      i += 1;
      if (stop >= 0) raised = Math.min(raised, this.sentenceBehind(stop, i, end));
    }
  }

  made(): MadeText | null {
    if (this.copied === 0) return null;
    this.pieces.push(this.text.slice(this.copied));
    const placeOf = placesBehind(this.shifts);
    return {
      text: this.pieces.join(''),
      typed: this.typed,
      passing: this.passing,
      changes: this.changes,
      shifts: this.shifts,
      // A letter that was raised to two was typed at one place.
      typedStart: (start) => Math.min(placeOf(start), placeOf(start + 1) - 1),
      typedEnd: placeOf,
    };
  }

  /** Where the next space stands behind another one; NOWHERE: there is none, or it is nothing to the device. */
  private secondSpace(from: number): number {
    // Looked for once up to where it stands, however many texts there are.
    if (this.space <= from) {
      const at = this.profile.doubleSpaceStop ? this.text.indexOf('  ', from) : -1;
      this.space = at < 0 ? NOWHERE : at + 1;
    }
    return this.space;
  }

  /** Where the first letter of a sentence stands, if one begins behind a stop, read from `from` on; NOWHERE: none does. */
  private sentenceBehind(stop: number, from: number, end: number): number {
    const { units } = this;
    let at = from;
    if (stop === from - 1) while (at < end && isClosing(units[at]!)) at += 1;
    const closed = at;
    while (at < end && at - stop <= FAR && isSpace(units[at]!)) at += 1;
    const isSpaced = at > closed || stop < from - 1;
    return isSpaced && at - stop <= FAR && this.isSmall(at, end) ? at : NOWHERE;
  }

  /** Whether the device raises the letter at a place, if a sentence begins there. */
  private isSmall(at: number, end: number): boolean {
    if (!this.profile.sentenceCapitals || at >= end) return false;
    const unit = this.units[at]!;
    if (unit < 0x80) return unit >= 0x61 && unit <= 0x7a;
    return /^\p{Ll}$/u.test(String.fromCodePoint(this.text.codePointAt(at)!));
  }

  /** Raises the letter at `i`; gives how many units it was typed in. */
  private raise(i: number): number {
    const letter = String.fromCodePoint(this.text.codePointAt(i)!);
    this.replace(i, i + letter.length, letter.toLocaleUpperCase('en'));
    return letter.length;
  }

  private quoteAt(i: number, unit: number): string {
    const last = this.unitBefore(i, 1);
    const opens = last === NOTHING || isSpace(last) || opensQuote(last);
    if (unit === 0x22) return opens ? '\u201c' : '\u201d';
    return opens ? '\u2018' : '\u2019';
  }

  /** Whether just these of their kind stand before a typed place. */
  private isBefore(i: number, characters: string): boolean {
    const unit = characters.charCodeAt(0);
    for (let back = 1; back <= characters.length; back += 1) if (this.unitBefore(i, back) !== unit) return false;
    return this.unitBefore(i, characters.length + 1) !== unit;
  }

  /** The made unit that stands so far before a typed place; NOTHING: the text begins there. */
  private unitBefore(i: number, back: number): number {
    const at = i - back;
    if (at >= this.copied) return at >= this.start ? this.units[at]! : NOTHING;
    // Into what was made already, of this text alone.
    let before = this.copied - at;
    for (let piece = this.pieces.length - 1; piece >= this.firstPiece; piece -= 1) {
      const { length } = this.pieces[piece]!;
      if (before <= length) return this.pieces[piece]!.charCodeAt(length - before);
      before -= length;
    }
    return NOTHING;
  }

  /** The made characters before a typed place, as far as a letter of two units goes. */
  private before(i: number): string {
    return [this.unitBefore(i, 2), this.unitBefore(i, 1)]
      .map((unit) => (unit === NOTHING ? '' : String.fromCharCode(unit)))
      .join('');
  }

  /** What is typed up to `end` stays as it is. */
  private copy(end: number): void {
    this.pieces.push(this.text.slice(this.copied, end));
    this.length += end - this.copied;
    this.copied = end;
    this.firstPiece = this.pieces.length;
  }

  /** `passing`: what stood there before, for a key. */
  private replace(start: number, end: number, by: string, passing = ''): void {
    if (this.copied < this.start) this.copy(this.start);
    const kept = this.text.slice(this.copied, start);
    if (passing !== '') this.passing.push({ at: this.length + kept.length, typedAt: start, characters: passing });
    this.pieces.push(kept, by);
    this.changes.at.push(this.length + kept.length);
    this.changes.characters.push(by);
    this.length += kept.length + by.length;
    this.copied = end;
    const shift = end - this.length;
    if (shift === (this.shifts.by.at(-1) ?? 0)) return;
    this.shifts.at.push(this.length);
    this.shifts.by.push(shift);
  }
}

/** The next place with a unit that the rules look at, up to `end`. Four at a time: most of the time is spent here. */
function skip(units: Uint16Array, from: number, end: number): number {
  const kinds = KINDS;
  let i = from;
  while (
    i + 4 <= end &&
    (kinds[units[i]!]! | kinds[units[i + 1]!]! | kinds[units[i + 2]!]! | kinds[units[i + 3]!]!) < LOOKED_AT
  )
    i += 4;
  while (i < end && kinds[units[i]!]! < LOOKED_AT) i += 1;
  return i;
}

function isSpace(unit: number): boolean {
  const kind = KINDS[unit]!;
  return kind === SPACE || kind === NEW_LINE || kind === OTHER_SPACE;
}

/** What stood before the caret with passing characters: `text`, from `from` in the made text on; the characters begin at `at` in it. */
export interface PassingState extends Passing {
  readonly text: string;
  readonly from: number;
}

/** What stood before the caret with passing characters, cut to what codes of `longest` folded units can see. */
export function passingState({ text }: MadeText, { at, typedAt, characters }: Passing, longest: number): PassingState {
  // A cluster may be longer than its folding; and two more tell whether a word may begin.
  const from = Math.max(0, at - longest * 4 - 8);
  return { text: text.slice(from, at) + characters, from, at: at - from, typedAt, characters };
}

/** Whether a code that ends behind `length` of the passing characters was ended there, and is not ended in the made text as well. */
export function isEndedInPassing(
  { at, characters }: Passing,
  length: number,
  { text }: MadeText,
  isDelimiter: (character: string) => boolean,
): boolean {
  const next = characters[length];
  return next !== undefined && isDelimiter(next) && (length > 0 || !isDelimiter(text[at]!));
}

/** Where what stands at a made place was typed. Places asked for one after the other cost next to nothing. */
function placesBehind({ at: breaks, by: shifts }: MadeText['shifts']): (at: number) => number {
  let from = 0;
  let to = -1;
  let shift = 0;
  return (at) => {
    if (at < from || at >= to) {
      const index = lastUpTo(breaks, at);
      from = breaks[index] ?? 0;
      to = breaks[index + 1] ?? Infinity;
      shift = shifts[index] ?? 0;
    }
    return at + shift;
  };
}

/** The last index whose value is at or before `at`; -1: none. */
function lastUpTo(values: readonly number[], at: number): number {
  let low = 0;
  let high = values.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (values[middle]! <= at) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

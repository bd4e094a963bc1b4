import type { DeviceProfile } from '../profile';
import { ENDS, FOLDED, OPENING, UNITS } from './character';
import { delimiterTest } from './delimiter';
import { isEdge } from './edge';
import { EDGE, END, type FoldedText } from './fold';

/** The places of a folded text: where they lie in the text itself, and whether a code may begin or end there. */
export class FoldedPlaces {
  protected readonly text: string;
  protected readonly units: Uint16Array;
  readonly length: number;
  private readonly offsets: Int32Array | null;
  private readonly marks: Uint8Array | null;
  private readonly isStandard: boolean;
  private readonly isDelimiter: (character: string) => boolean;

  constructor(folded: FoldedText, delimiters: DeviceProfile['delimiters']) {
    this.text = folded.text;
    this.units = folded.units;
    this.length = folded.length;
    this.offsets = folded.alone ? null : folded.offsets;
    this.marks = folded.alone ? null : folded.marks;
    this.isStandard = delimiters === 'standard';
    this.isDelimiter = delimiterTest(delimiters);
  }

  /** A unit, folded. */
  foldedAt(at: number): number {
    return UNITS[this.units[at]!]! & FOLDED;
  }

  /** A unit's place in the text; -1 inside a cluster. */
  placeOf(at: number): number {
    if (this.offsets === null) return at;
    return at < this.length ? this.offsets[at]! : this.text.length;
  }

  /** Whether a code that needs a word's edge may begin at a unit. */
  hasEdge(at: number): boolean {
    if (this.marks !== null) return (this.marks[at]! & EDGE) !== 0;
    const before = at === 0 ? OPENING : UNITS[this.units[at - 1]!]!;
    return isEdge(before, UNITS[this.units[at]!]!, this.text, at);
  }

  /** Whether a delimiter, or the text's end, stands at a unit. */
  isEnd(to: number): boolean {
    if (to >= this.length) return true;
    if (!this.isStandard) return this.isDelimiter(characterAt(this.text, this.placeOf(to)));
    return this.marks === null ? (UNITS[this.units[to]!]! & ENDS) !== 0 : (this.marks[to]! & END) !== 0;
  }
}

function characterAt(text: string, index: number): string {
  const unit = text.charCodeAt(index);
  if (unit < 0xd800 || unit > 0xdbff) return text[index]!;
  return String.fromCodePoint(text.codePointAt(index)!);
}

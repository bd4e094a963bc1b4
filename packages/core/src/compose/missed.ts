import type { Range } from '../fire';
import { isMade, type Shortcut } from '../model';

/** A text that was typed out although a code gives it. */
export interface MissedChance extends Range {
  readonly id: string;
}

/** The shortest text, in UTF-16 units, of which it is worth a line; and how much longer than its code it must be. */
const SHORTEST = 8;
const LONGER_BY = 4;
/** Texts are found by their last characters. */
const TAIL = 6;

/** As texts are compared here: small letters, one space for white space of any length. */
function plain(text: string): string {
  return text.normalize('NFC').toLowerCase().replaceAll(/\s+/gu, ' ');
}

/**
 * The texts of a list, found as they are typed out. Marks at their ends do not count. Making it is linear in the
 * texts; a look-up costs the length of the texts that end alike.
 */
export class MissedChances {
  private readonly byTail = new Map<string, { id: string; text: string }[]>();

  constructor(shortcuts: readonly Pick<Shortcut, 'id' | 'code' | 'content'>[]) {
    for (const { id, code, content } of shortcuts) {
      if (isMade(content) || content.expansion.includes('___')) continue;
      const text = plain(content.expansion).replace(/[\s\p{P}]+$/u, '');
      if (text.length < SHORTEST || text.length < code.length + LONGER_BY) continue;
      const tail = text.slice(-TAIL);
      const same = this.byTail.get(tail);
      if (same) same.push({ id, text });
      else this.byTail.set(tail, [{ id, text }]);
    }
  }

  /**
   * The longest text that ends at `end`, where a word ends, and begins where one may; null: none. `quiet`: stretches
   * that nobody typed; a text that touches one was not typed out.
   */
  endingAt(text: string, end: number, quiet: readonly Range[]): MissedChance | null {
    if (/^[\p{L}\p{N}\p{M}]/u.test(text.slice(end, end + 2))) return null;
    const near = this.byTail.get(plain(text.slice(Math.max(0, end - 4 * TAIL), end)).slice(-TAIL));
    if (!near) return null;
    let best: MissedChance | null = null;
    for (const { id, text: wanted } of near) {
      const start = startOf(text, end, wanted);
      if (start === null || /[\p{L}\p{N}_]$/u.test(text.slice(Math.max(0, start - 2), start))) continue;
      if (quiet.some((range) => range.start < end && start < range.end)) continue;
      if (!best || start < best.start) best = { id, start, end };
    }
    return best;
  }
}

/** Where `wanted` begins that ends at `end`, read backwards with white space of any length; null: it is not there. */
function startOf(text: string, end: number, wanted: string): number | null {
  // Twice its length leaves room for white space that was typed more than once.
  const from = Math.max(0, end - wanted.length * 2);
  const read = plain(text.slice(from, end));
  if (!read.endsWith(wanted)) return null;
  let start = end;
  while (start > from && plain(text.slice(start, end)).length < wanted.length) start -= 1;
  return plain(text.slice(start, end)) === wanted ? start : null;
}

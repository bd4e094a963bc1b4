import { LIMITS } from '../model';
import type { ReadRow } from './row';

interface Lines {
  readonly rows: readonly ReadRow[];
  readonly blank: number;
  readonly isCut: boolean;
}

/** What people write between code and text in notes, when it stands in every line. Common practice, no source. */
const BETWEEN = [/^(\S.*?)\s+(?:=|→|⇒|->|=>|—|–)\s+(\S.*)$/u, /^(\S{1,20}):\s+(\S.*)$/u, /^(\S{1,20})\s+-\s+(\S.*)$/u];
/** What begins the lines of a list. */
const BULLET = /^\s*(?:[-*•–]|\d{1,3}[.)])\s+/u;

/**
 * Lines that are no table. Where every line has the same sign between a short beginning and the rest, these are code and
 * expansion; else each line is an expansion without a code, as when several are copied at once. Linear.
 */
export function readLines(text: string, most: number): Lines {
  const all = text.split('\n').map((line, index) => ({ line: index + 1, text: line }));
  if (all.at(-1)?.text === '') all.pop();
  const filled = all.filter((line) => line.text.trim() !== '');
  const blank = all.length - filled.length;
  if (filled.length > most) return { rows: [], blank, isCut: true };
  const hasBullets = filled.length > 1 && filled.every((line) => BULLET.test(line.text));
  const bare = filled.map(({ line, text: written }) => ({
    line,
    text: (hasBullets ? written.replace(BULLET, '') : written).trim(),
  }));
  for (const between of BETWEEN) {
    const pairs = bare.map((line) => between.exec(line.text));
    if (pairs.every((pair) => pair !== null && pair[1]!.length <= LIMITS.codeClusters)) {
      return {
        rows: bare.map(({ line }, index) => ({
          line,
          entry: { code: pairs[index]![1]!, expansion: pairs[index]![2]! },
        })),
        blank,
        isCut: false,
      };
    }
  }
  return {
    rows: bare.map((line) => ({ line: line.line, entry: { code: '', expansion: line.text } })),
    blank,
    isCut: false,
  };
}

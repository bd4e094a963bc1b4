import type { CompiledList } from '../fire';
import { isItself } from '../model';
import { positionIn } from './contextCorpus';
import { MOST_EXAMPLES, severityOfMisfires, type PlaceExample, type Severity } from './finding';

const MEANT = -1;

/** Where a code would have fired in a person's own text. */
export interface OwnTextFinding {
  readonly id: string;
  readonly severity: Severity;
  readonly count: number;
  /** In 10,000 words of this text: a count, no estimate. */
  readonly perTenThousand: number;
  readonly examples: readonly (PlaceExample & { readonly line: number })[];
}

export interface OwnTextReport {
  readonly words: number;
  readonly findings: readonly OwnTextFinding[];
  /** Every place, by start: three numbers each, start, end, and the index in `ids`. */
  readonly places: Uint32Array;
  readonly ids: readonly string[];
}

/**
 * Every place of a text at which a code of the list would have fired as it was typed on a device. A
 * code of several words, whose misfires no list of words can tell, is counted here like any other.
 * Linear; 12 bytes a place. Nothing of the text is kept but the lines of the examples.
 */
export function scanOwnText(text: string, list: CompiledList): OwnTextReport {
  const indices = new Map<string, number>();
  const ids: string[] = [];
  const counts: number[] = [];
  const examples: { start: number; end: number }[][] = [];
  let places = new Uint32Array(1_024);
  let size = 0;
  list.scanEach(text, (start, end, { id, code, expansion }) => {
    let index = indices.get(id);
    if (index === MEANT) return;
    if (index === undefined) {
      if (isItself(code, expansion)) {
        indices.set(id, MEANT);
        return;
      }
      index = ids.push(id) - 1;
      indices.set(id, index);
      counts.push(0);
      examples.push([]);
    }
    counts[index]! += 1;
    if (counts[index]! <= MOST_EXAMPLES) examples[index]!.push({ start, end });
    if (size + 3 > places.length) {
      const larger = new Uint32Array(places.length * 2);
      larger.set(places);
      places = larger;
    }
    places[size] = start;
    places[size + 1] = end;
    places[size + 2] = index;
    size += 3;
  });
  const words = countWords(text);
  const lineOf = lineCounter(text);
  const findings = ids.map((id, i): OwnTextFinding => {
    const perTenThousand = words === 0 ? 0 : (counts[i]! * 10_000) / words;
    const shown = examples[i]!.map(({ start, end }) => {
      const { from, line } = lineOf(start);
      const around = lineAround(text, from, start, end);
      return { text: around.text, start: start - around.from, end: end - around.from, of: 'own text', line };
    });
    return { id, severity: severityOfMisfires(perTenThousand), count: counts[i]!, perTenThousand, examples: shown };
  });
  return {
    words,
    findings: findings.sort((a, b) => b.count - a.count || (a.id < b.id ? -1 : 1)),
    places: places.slice(0, size),
    ids,
  };
}

/** How many words a text has: white space begins one wherever it ends; a line of ten megabytes is as good as any. */
export function countWords(text: string): number {
  let words = 0;
  let isInside = false;
  for (let i = 0; i < text.length; i += 1) {
    const unit = text.charCodeAt(i);
    const isSpace = unit === 0x20 || (unit >= 0x09 && unit <= 0x0d) || unit === 0xa0 || unit === 0x3000;
    if (!isSpace && !isInside) words += 1;
    isInside = !isSpace;
  }
  return words;
}

/** The line (from 1) in which an offset stands, and where that begins; each look-up is a binary search. */
function lineCounter(text: string): (offset: number) => { line: number; from: number } {
  const starts = [0];
  for (let at = text.indexOf('\n'); at >= 0; at = text.indexOf('\n', at + 1)) starts.push(at + 1);
  starts.push(text.length + 1);
  return (offset) => {
    const index = positionIn(starts, offset);
    return { line: index + 1, from: starts[index]! };
  };
}

const AROUND = 60;

/** What stands around a place, within its line and no further than some words. */
function lineAround(text: string, lineStart: number, start: number, end: number): { text: string; from: number } {
  const from = Math.max(lineStart, start - AROUND);
  const newline = text.indexOf('\n', end);
  const past = Math.min(newline < 0 ? text.length : newline, end + AROUND);
  return { text: text.slice(from, past), from };
}

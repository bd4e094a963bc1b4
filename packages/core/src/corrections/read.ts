import { checkCode, checkExpansion, matchKey, type TextProblem } from '../model';

/** What a list of words is for: names with their capitals, words to be left alone, slips and what was meant. */
export type CorrectionUse = 'capitals' | 'alone' | 'slips';

/** What is wrong with a line. `in-use`: another shortcut has this code; `twice`: a line before it has. */
export type LineProblem =
  | { readonly type: 'no-capitals' | 'no-meaning' | 'twice' | 'in-use' }
  | { readonly type: 'code' | 'text'; readonly problem: TextProblem };

/** A line as it was read, from 1. */
export interface CorrectionLine {
  readonly line: number;
  readonly code: string;
  readonly text: string;
  readonly problem: LineProblem | null;
}

/** What stands between a slip and what was meant. */
const ARROW = /\s*(?:→|->|=>|\t)\s*/u;

/**
 * A list of words, one a line, as corrections. A name is typed without its capitals; a word to be left alone is its own text;
 * a slip stands before an arrow or a tab, what was meant behind it, which may be written for names too. Empty lines are none.
 * `isInUse` is asked by match key. Linear.
 */
export function readCorrections(
  written: string,
  use: CorrectionUse,
  isInUse: (key: string) => boolean = () => false,
): CorrectionLine[] {
  const seen = new Set<string>();
  return written.split('\n').flatMap((raw, index): CorrectionLine[] => {
    const whole = raw.trim();
    if (whole === '') return [];
    const [code, text] = codeAndText(whole, use);
    const key = matchKey(code);
    const problem = problemOf(code, text, use, seen.has(key), isInUse(key));
    seen.add(key);
    return [{ line: index + 1, code, text, problem }];
  });
}

function codeAndText(line: string, use: CorrectionUse): [code: string, text: string] {
  if (use === 'alone') return [line, line];
  const [before, ...behind] = line.split(ARROW);
  const meant = behind.join(' ').trim();
  if (meant !== '') return [before!.trim(), meant];
  return [use === 'capitals' ? line.toLowerCase() : line, line];
}

function problemOf(
  code: string,
  text: string,
  use: CorrectionUse,
  isTwice: boolean,
  isInUse: boolean,
): LineProblem | null {
  const inCode = checkCode(code);
  if (inCode) return { type: 'code', problem: inCode };
  const inText = checkExpansion(text);
  if (inText) return { type: 'text', problem: inText };
  if (use === 'capitals' && code === text) return { type: 'no-capitals' };
  if (use === 'slips' && code === text) return { type: 'no-meaning' };
  if (isTwice) return { type: 'twice' };
  return isInUse ? { type: 'in-use' } : null;
}

import type { Place } from './text';

/**
 * Why something cannot be kept: data for the screen to put into words. `limit` and `found` are
 * counts in the unit the type names; `place` counts lines and grapheme clusters from 1.
 */
export type TextProblem =
  | { type: 'empty' }
  | { type: 'too-many-clusters'; limit: number; found: number }
  | { type: 'too-many-code-points'; limit: number; found: number }
  | { type: 'too-many-bytes'; limit: number; found: number }
  | { type: 'control' | 'lone-surrogate'; codePoint: number; place: Place };

/** A problem in plain English, for logs and API answers; screens have their own words. */
export function describeProblem(problem: TextProblem): string {
  switch (problem.type) {
    case 'empty':
      return 'must not be empty';
    case 'too-many-clusters':
      return `has ${problem.found} characters; at most ${problem.limit} are kept`;
    case 'too-many-code-points':
      return `has ${problem.found} code points; at most ${problem.limit} are kept`;
    case 'too-many-bytes':
      return `takes ${problem.found} bytes in UTF-8; at most ${problem.limit} are kept`;
    case 'control':
    case 'lone-surrogate': {
      const name = problem.type === 'control' ? 'a control character' : 'half of a surrogate pair';
      const hex = problem.codePoint.toString(16).toUpperCase().padStart(4, '0');
      return `holds ${name} (U+${hex}) at line ${problem.place.line}, character ${problem.place.position}`;
    }
  }
}

import { z } from 'zod';

import { describeProblem, type TextProblem } from './problem';
import { LIMITS } from './limits';
import { findBadCharacter, hasMoreClusters } from './text';

/** A string that passes `check`; the issue carries the rule it broke in plain English. */
export function checkedText(check: (text: string) => TextProblem | null) {
  return z.string().superRefine((text, context) => {
    const problem = check(text);
    if (problem) context.addIssue({ code: 'custom', message: describeProblem(problem) });
  });
}

/** Whether a line has more than so many clusters, or is far too long to have few. */
export function isLineTooLong(text: string, clusters: number): boolean {
  return text.length > clusters * LIMITS.unitsPerCluster || hasMoreClusters(text, clusters);
}

/** One line of text of at most so many grapheme clusters, and at least `least`. Measured first: nothing is counted that is far too long. */
export function lineOf(clusters: number, least: 0 | 1 = 1) {
  return z
    .string()
    .min(least)
    .max(clusters * LIMITS.unitsPerCluster, { message: `has more than ${clusters} characters`, abort: true })
    .refine((text) => findBadCharacter(text) === null, { message: 'holds a control character' })
    .refine((text) => !hasMoreClusters(text, clusters), { message: `has more than ${clusters} characters` });
}

/** A language tag (BCP 47), as far as lists need it. */
export const LanguageSchema = z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/);

import { z } from 'zod';

import { describeProblem, type TextProblem } from './problem';
import { countClusters, findBadCharacter } from './text';

/** A string that passes `check`; the issue carries the rule it broke in plain English. */
export function checkedText(check: (text: string) => TextProblem | null) {
  return z.string().superRefine((text, context) => {
    const problem = check(text);
    if (problem) context.addIssue({ code: 'custom', message: describeProblem(problem) });
  });
}

/** One line of text of at most so many grapheme clusters. */
export function lineOf(clusters: number) {
  return z
    .string()
    .min(1)
    .refine((text) => findBadCharacter(text) === null, { message: 'holds a control character' })
    .refine((text) => countClusters(text) <= clusters, { message: `has more than ${clusters} characters` });
}

/** A language tag (BCP 47), as far as lists need it. */
export const LanguageSchema = z.string().regex(/^[a-z]{2,3}(-[A-Za-z0-9]{2,8})*$/);

import {
  checkCode,
  matchKey,
  trimCode,
  type AskedRules,
  type CardLink,
  type Kind,
  type Shortcut,
} from '@yellow-latch/core/model';
import { t } from '@lingui/core/macro';

import { tellInUse, tellProblem } from '@/parts/kinds';

/** A shortcut that is to be made, its code proposed or given. */
export interface WantedShortcut {
  readonly key: string;
  readonly text: string;
  readonly kind: Kind;
  /** What it is, beside its text: a symbol’s name, a person’s. */
  readonly label: string;
  /** What it is called, best first: what its code is made of. */
  readonly called: readonly string[];
  /** Whether the first of those is what one thinks of, however long it takes to type. */
  readonly isNamed?: boolean;
  /** Whether `text` is the source of a template. */
  readonly isTemplate?: boolean;
  readonly rules?: AskedRules;
  /** The code it comes with; undefined: one is proposed. */
  readonly code?: string;
  readonly card?: CardLink;
}

/** What is wrong with the codes of some new shortcuts, in words, by key. `used`: the shortcuts of the list by match key. Linear. */
export function codeProblems(
  wanted: readonly WantedShortcut[],
  codes: Readonly<Record<string, string>>,
  used: ReadonlyMap<string, Shortcut>,
): ReadonlyMap<string, string> {
  const problems = new Map<string, string>();
  const first = new Set<string>();
  for (const { key } of wanted) {
    const code = trimCode(codes[key] ?? '');
    const problem = checkCode(code);
    const match = matchKey(code);
    const user = used.get(match);
    if (code === '') problems.set(key, t`Type a code for it.`);
    else if (problem) problems.set(key, tellProblem('code', problem));
    else if (user) problems.set(key, tellInUse(user.code, user.content.expansion));
    else if (first.has(match)) problems.set(key, t`Another one here has this code.`);
    first.add(match);
  }
  return problems;
}

/** The shortcuts of a list by the match key of their code. */
export function byMatchKey(shortcuts: readonly Shortcut[]): ReadonlyMap<string, Shortcut> {
  return new Map(shortcuts.map((shortcut) => [matchKey(shortcut.code), shortcut]));
}

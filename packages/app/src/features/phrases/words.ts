import { plural, t } from '@lingui/core/macro';
import type { Concern, Findings } from '@yellow-latch/core/mine';
import type { SentProblem } from '@yellow-latch/core/sent';

import { tellDecodeProblem } from '@/answers/exchange/words';
import { tellCount, tellMinutes } from '@/wording/format';

/** What was read, in a sentence. */
export function tellRead({ messages, words }: Findings): string {
  const read = plural(messages, { one: '# message', other: '# messages' });
  return t`${read}, ${plural(words, { one: '# word', other: '# words' })}.`;
}

/** How often it was typed and what a shortcut saves. */
export function tellWorth(count: number, aMonth: number): string {
  const times = plural(count, { one: '# time', other: '# times' });
  return t`${times} · saves ${{ time: tellMinutes(aMonth) }} a month`;
}

/** Why something is hidden until one asks for it. */
export function tellConcern(concern: Concern): string {
  return concern === 'secret'
    ? t`Looks like a bank number, a card or a password.`
    : t`Looks like someone else’s details.`;
}

/** Why a file could not be read, and what to do. */
export function tellSentProblem(name: string, problem: SentProblem): string {
  const why =
    problem.type === 'no-text'
      ? t`There are no messages in it. Choose another file.`
      : tellDecodeProblem(problem, t`Choose a mail file, a text file, a table (CSV) or JSON lines.`);
  return name === '' ? why : `${name}: ${why}`;
}

/** What was passed over in a file. */
export function tellSkipped(count: number): string {
  const number = tellCount(count);
  return plural(count, { one: '# message couldn’t be read.', other: `${number} messages couldn’t be read.` });
}

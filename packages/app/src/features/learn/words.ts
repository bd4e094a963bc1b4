/** What Learn says of shortcuts, and of how well their codes are known. */
import { plural, t } from '@lingui/core/macro';
import { isDue, isHeld, stageOf } from '@yellow-latch/core/learn';
import type { LearningState, Shortcut } from '@yellow-latch/core/model';

import { shownExpansion } from '@/answers/audit/sentences/mask';
import { tellDay, tellDuration } from '@/wording/format';

const FIRST_WORDS = 4;
/** Nobody notices less, in s. */
const AT_ONCE = 0.15;

/** What a code is used for, without giving it away: what its owner noted, or what kind of thing it is and how it begins. */
export function tellSituation(shortcut: Shortcut): string {
  if (shortcut.note !== '') return shortcut.note;
  const text = shownExpansion(shortcut, 80);
  const begins = beginning(text);
  switch (shortcut.kind) {
    case 'address':
      return t`Somebody asks for an address: ${begins}`;
    case 'contact':
      return t`Somebody asks how to reach you: ${text}`;
    case 'link':
      return t`You want to send a link: ${text}`;
    case 'symbol':
      return t`You need this character: ${text}`;
    case 'tags':
      return t`You add your tags: ${begins}`;
    case 'date':
      return t`You need a date: ${begins}`;
    default:
      return t`You’re about to write: ${begins}`;
  }
}

function beginning(text: string): string {
  const words = text.split(/\s+/u);
  return words.length <= FIRST_WORDS + 1 ? text : `${words.slice(0, FIRST_WORDS).join(' ')} …`;
}

/** How well a code is known, in a line. */
export function tellStage(state: LearningState, now: number): string {
  const { memory } = state;
  if (memory === null) return t`New`;
  if (isDue(memory, now)) return t`Ready to practice`;
  const back = tellDay(memory.due, now);
  if (stageOf(state) === 'known') return t`Known. Back on ${back}`;
  return isHeld(state) ? t`You’re holding it. Back on ${back}` : t`Back on ${back}`;
}

/** The best time somebody took to think of a code, s; null: none was measured. */
export function bestOf({ reviews }: LearningState): number | null {
  const times = reviews.flatMap(({ seconds }) => (seconds === null ? [] : [seconds]));
  return times.length === 0 ? null : Math.min(...times);
}

/** How soon a code came, beside one's own best. */
export function tellSpeed(seconds: number, best: number | null): string {
  if (seconds < AT_ONCE) return t`Right, at once.`;
  const took = tellDuration(seconds);
  if (best === null) return t`Right. It came to you in ${took}.`;
  if (seconds < best) return t`Right, in ${took}: your best so far.`;
  return t`Right, in ${took}. Your best is ${{ best: tellDuration(best) }}.`;
}

export function tellCards(count: number): string {
  return plural(count, { one: '# card', other: '# cards' });
}

import { t } from '@lingui/core/macro';
import type { FieldEvent } from '@yellow-latch/field/own';
import type { Refused } from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import type { Saved } from '@yellow-latch/core/effort';
import type { Explanation } from '@yellow-latch/core/fire';

import { tellTraceLine } from '@/answers/audit/sentences';
import { tellTaps } from '@/answers/effort/words';
import { tellRefusal } from '@/answers/expansion/words';

/** What came of a code. `codeOf`: that of a shortcut, by its id or that of its former code. */
export function tellFiring(event: FieldEvent, codeOf: (id: string) => string): string {
  if (event.type === 'asked') return t`“${{ code: event.typed || codeOf(event.id) }}” asks for its blanks.`;
  if (event.type === 'taken-back')
    return event.typed === ''
      ? t`Removed “${{ code: codeOf(event.id) }}”.`
      : t`“${{ typed: event.typed }}” stays as you typed it.`;
  if (idOfFormer(event.id) !== null)
    return t`“${{ typed: event.typed }}” is now “${{ code: codeOf(event.id) }}”. The old code still works for a while.`;
  const code = codeOf(event.id);
  if (event.typed === '') return t`“${code}” inserted. Backspace removes it.`;
  return event.by === 'offer'
    ? t`“${code}” inserted. Backspace undoes it.`
    : t`“${{ typed: event.typed }}” expanded. Backspace undoes it.`;
}

/** Why nothing has fired, or what the device has done of itself; null: nothing to tell. */
export function tellWhy(told: readonly Explanation[], codeOf: (id: string) => string): string | null {
  const last = told.findLast(({ rule }) => !rule.startsWith('fired') && rule !== 'taken-back' && rule !== 'asked');
  if (!last || told.some(({ rule }) => rule.startsWith('fired'))) return null;
  const text = tellTraceLine(last, codeOf, last.id);
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

export function tellRefused({ typed, why }: Refused): string {
  return t`“${typed}” doesn’t expand there. ${{ why: tellRefusal(why) }}`;
}

/** A text was typed out that a code gives. `saved`: what one use of it saves, where that is known. */
export function tellMissed(code: string, saved: Saved | null): string {
  if (saved === null || saved.taps < 1) return t`“${code}” would type that for you.`;
  return t`“${code}” would type that for you and save ${{ taps: tellTaps(saved.taps) }}.`;
}

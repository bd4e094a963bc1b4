import type { FieldEvent } from '@yellow-latch/field';
import type { Refused } from '@yellow-latch/core/compose';
import { idOfFormer } from '@yellow-latch/core/convention/former';
import type { Saved } from '@yellow-latch/core/effort';
import type { Explanation } from '@yellow-latch/core/fire';

import { tellTraceLine } from '@/answers/audit/sentences';
import { tellDuration, tellTaps } from '@/answers/effort/words';
import { tellRefusal } from '@/answers/expansion/words';

/** What came of a code. `codeOf`: that of a shortcut, by its id or that of its former code. */
export function tellFiring(event: FieldEvent, codeOf: (id: string) => string): string {
  if (event.type === 'asked') return `${event.typed || codeOf(event.id)} asks for what is missing.`;
  if (event.type === 'taken-back')
    return event.typed === '' ? `${codeOf(event.id)} is out again.` : `${event.typed} stays as you typed it.`;
  if (idOfFormer(event.id) !== null) return `${event.typed} still works for a while. It is ${codeOf(event.id)} now.`;
  if (event.by === 'offer' && event.typed !== '')
    return `${codeOf(event.id)} is in. Backspace gives back what you typed.`;
  return event.typed === ''
    ? `${codeOf(event.id)} is in. Backspace takes it out.`
    : `${event.typed} fired. Backspace gives back what you typed.`;
}

/** Why nothing has fired, or what the device has done of itself; null: nothing to tell. */
export function tellWhy(told: readonly Explanation[], codeOf: (id: string) => string): string | null {
  const last = told.findLast(({ rule }) => !rule.startsWith('fired') && rule !== 'taken-back' && rule !== 'asked');
  if (!last || told.some(({ rule }) => rule.startsWith('fired'))) return null;
  const text = tellTraceLine(last, codeOf, last.id);
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}

export function tellRefused({ typed, why }: Refused): string {
  return `${typed} does nothing there. ${tellRefusal(why)}`;
}

/** A text was typed out that a code gives. `saved`: what one use of it saves, where that is known. */
export function tellMissed(code: string, saved: Saved | null): string {
  if (saved === null || saved.taps < 1) return `${code} gives that.`;
  return `${code} gives that, with ${tellTaps(saved.taps)} less: ${tellDuration(saved.seconds)}.`;
}

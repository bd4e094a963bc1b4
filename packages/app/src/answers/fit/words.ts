/** What becomes of a shortcut in a place, in words. */
import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import type { Change, Fit, FitSums, Obstacle } from '@yellow-latch/core/fit';
import type { DeviceProfile } from '@yellow-latch/core/profile';

import { tellList } from '@/wording/format';

const CHANGES: Readonly<Record<Change, MessageDescriptor>> = {
  formatting: msg`Loses its formatting there.`,
  lines: msg`Becomes one line there.`,
  blanks: msg`Its blanks become gaps: ____.`,
  caret: msg`The cursor lands at the end.`,
  given: msg`Can’t read the clipboard there.`,
  capitals: msg`The device decides about capitals.`,
  space: msg`Leaves a space behind it.`,
  'sentence start': msg`Not at the start of a sentence: its first letter is raised there.`,
};

const OBSTACLES: Readonly<Record<Exclude<Obstacle, 'another code'>, MessageDescriptor>> = {
  'too long': msg`Its text is too long.`,
  'several lines': msg`Its text has several lines.`,
  date: msg`The date would stay what it is today.`,
  'space in code': msg`The code can’t have a space.`,
  language: msg`It’s in another language than the keyboard.`,
  broken: msg`Its text has a mistake. Open it to see where.`,
  'built-in': msg`The device has its own shortcut in the way.`,
  punctuation: msg`The device changes the code while you type it.`,
  never: msg`It doesn’t expand there.`,
};

/** What is otherwise with a shortcut in a place, in a sentence or two; '' where it simply works. */
export function tellFit(fit: Fit, codeOf: (id: string) => string): string {
  switch (fit.verdict) {
    case 'works':
      return '';
    case 'left out':
      return t`Left out.`;
    case 'changed':
      return fit.how.map((change) => i18n._(CHANGES[change])).join(' ');
    case 'no':
      if (fit.why !== 'another code') return i18n._(OBSTACLES[fit.why]);
      return fit.by === null ? t`Another code comes first.` : t`“${{ code: codeOf(fit.by) }}” expands first.`;
  }
}

/** How many of a list work in a place: 52 work, 4 change, 2 don’t. */
export function tellSums({ works, changed, no }: FitSums): string {
  const parts = [
    ...(works > 0 ? [plural(works, { one: '# works', other: '# work' })] : []),
    ...(changed > 0 ? [plural(changed, { one: '# changes', other: '# change' })] : []),
    ...(no > 0 ? [plural(no, { one: '# doesn’t', other: '# don’t' })] : []),
  ];
  return parts.length === 0 ? t`Nothing to look at yet.` : tellList(parts);
}

/** What is taken to be so of a place, in a line. */
export function tellProfile({ ways, lines, blanks, smartDashes, longestExpansion, languages }: DeviceProfile): string {
  const parts = [
    i18n._(WAYS[ways[0] ?? 'delimiter']),
    ...(lines === 'kept' ? [] : [lines === 'joined' ? t`Joins lines.` : t`Takes no text of several lines.`]),
    ...(longestExpansion === null
      ? []
      : [plural(longestExpansion, { one: 'Takes # character.', other: 'Takes up to # characters.' })]),
    ...(blanks ? [] : [t`No blanks or dates.`]),
    ...(smartDashes ? [t`Turns -- into —.`] : []),
    ...(languages === null ? [] : [t`A list for each language.`]),
  ];
  return parts.join(' ');
}

const WAYS: Readonly<Record<DeviceProfile['ways'][number], MessageDescriptor>> = {
  delimiter: msg`Expands after a space.`,
  instant: msg`Expands right away.`,
  offer: msg`Waits for a tap on a suggestion.`,
};

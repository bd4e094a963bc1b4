import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, plural, t } from '@lingui/core/macro';
import { KINDS, type CleanedEnd, type Kind, type TextProblem } from '@yellow-latch/core/model';

import { tellCount } from '@/wording/format';

const KIND_NAMES: Record<Kind, MessageDescriptor> = {
  message: msg`message`,
  address: msg`address`,
  contact: msg`contact`,
  link: msg`link`,
  symbol: msg`symbol`,
  tags: msg`tags`,
  'code block': msg`code block`,
  correction: msg`correction`,
  date: msg`date`,
};

/** What kind of text a shortcut gives, in a word. */
export function kindName(kind: Kind): string {
  return i18n._(KIND_NAMES[kind]);
}

export function kindChoices(): { value: Kind; label: string }[] {
  return KINDS.map((value) => ({ value, label: kindName(value) }));
}

/** What a rule says to the person whose text breaks it: which rule, where, what to do. */
export function tellProblem(what: 'code' | 'expansion', problem: TextProblem): string {
  const isCode = what === 'code';
  switch (problem.type) {
    case 'empty':
      return isCode ? t`Type a code for it.` : t`Type or paste the text you want to get.`;
    case 'too-many-clusters': {
      const [found, limit] = [tellCount(problem.found), tellCount(problem.limit)];
      return isCode
        ? t`The code has ${found} characters. The limit is ${limit}. Shorten it.`
        : t`The text has ${found} characters. The limit is ${limit}. Shorten it.`;
    }
    case 'too-many-code-points':
      return isCode
        ? t`The code has too many combined characters. Use fewer emoji or accents.`
        : t`The text has too many combined characters. Use fewer emoji or accents.`;
    case 'too-many-bytes':
      return isCode ? t`The code is too long. Shorten it.` : t`The text is too long. Shorten it.`;
    case 'control':
    case 'lone-surrogate': {
      const name = `U+${problem.codePoint.toString(16).toUpperCase().padStart(4, '0')}`;
      const { line, position } = problem.place;
      if (line > 1)
        return t`There’s a character that can’t be saved (${name}) in line ${line}, at position ${position}. Delete it.`;
      return t`There’s a character that can’t be saved (${name}) at position ${position}. Delete it.`;
    }
  }
}

/** What is said of a name or a note with more characters than are kept. */
export function tellTooLong(most: number): string {
  return plural(most, { other: 'Use # characters or fewer.' });
}

/** What was cleaned away, in a sentence; null if nothing was. */
export function tellCleaned({ blanks, newlines }: CleanedEnd): string | null {
  const spaces = plural(blanks, { one: 'a space', other: '# spaces' });
  const lines = plural(newlines, { one: 'an empty line', other: '# empty lines' });
  if (blanks > 0 && newlines > 0) return t`Removed ${spaces} and ${lines} at the end.`;
  if (blanks > 0) return t`Removed ${spaces} at the end.`;
  return newlines > 0 ? t`Removed ${lines} at the end.` : null;
}

export function tellInUse(code: string, expansion: string): string {
  const line = expansion.trim().replace(/\s+/g, ' ');
  const text = line.length > 40 ? `${line.slice(0, 40)}…` : line;
  return t`You already use “${code}” for “${text}”. Choose another code.`;
}

/** How a shortcut may expand; null: as is usual for its kind and set. */
export function wayChoices() {
  return [
    { value: null, label: t`as usual` },
    { value: 'delimiter', label: t`after a space or punctuation` },
    { value: 'instant', label: t`right away` },
    { value: 'offer', label: t`only as a suggestion` },
  ] as const;
}

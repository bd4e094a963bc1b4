import { i18n, type MessageDescriptor } from '@lingui/core';
import { msg, t } from '@lingui/core/macro';
import type { ExpansionError, Loss, OpenBlank, TemplateProblem } from '@yellow-latch/core/expansion';
import type { Refusal } from '@yellow-latch/core/profile';

import { tellCount, tellList } from '@/wording/format';

/** What is wrong with a template, in words that say what to do. */
export function tellTemplateProblem({ type, what, start }: TemplateProblem): string {
  const position = tellCount(start + 1);
  switch (type) {
    case 'syntax':
      return t`There’s a stray brace or backslash at position ${position}. Delete it, or put a backslash before it.`;
    case 'unknown-function':
      return t`“${what}” at position ${position} isn’t known here. Delete it.`;
    case 'unknown-option':
      return t`The option “${what}” at position ${position} isn’t known here. Delete it.`;
    case 'bad-option':
      return t`“${what}” can’t be used at position ${position}. Delete it.`;
    case 'unknown-letters':
      return what === "'"
        ? t`The date has a quote that isn’t closed. Close it.`
        : t`“${what}” means nothing in a date. Put words in straight quotes.`;
    case 'bad-duration':
      return t`“${what}” isn’t a length of time. Use P7D for 7 days or P6M for 6 months.`;
    case 'choice-without-options':
      return t`The blank “${what}” has nothing to choose from. Add some choices.`;
    case 'different-blanks':
      return t`Two different blanks are called “${what}”. Rename one.`;
    case 'several-carets':
      return t`The cursor can only go to one place. Remove the others.`;
    case 'too-many-blanks':
      return t`It has ${what} blanks. The limit is 100.`;
  }
}

/** Why an expansion could not be made. `path`: from the shortcut that fired to that in which it is. */
export function tellExpansionError(error: ExpansionError): string {
  const sentence = tellError(error);
  const inside = error.path.at(-1)!;
  return error.path.length > 1 && error.type !== 'circle' ? t`In “${inside}”: ${sentence}` : sentence;
}

function tellError(error: ExpansionError): string {
  switch (error.type) {
    case 'template':
      return tellTemplateProblem(error.problem);
    case 'missing':
      return t`A shortcut inside it was deleted.`;
    case 'circle': {
      const path = error.path.join(' → ');
      return t`It would go on forever: ${path}`;
    }
    case 'too-deep':
      return t`Too many shortcuts inside each other.`;
    case 'date-out-of-range':
      return t`Its date is outside the years 1 to 9999.`;
    case 'too-long':
      return t`The whole text is too long.`;
  }
}

const GIVEN: Readonly<Record<string, MessageDescriptor>> = {
  ' clipboard': msg`From the clipboard`,
  ' selection': msg`The selected text`,
};

/** What a blank is called when it is asked for. */
export function nameOfBlank({ name, label }: Pick<OpenBlank, 'name' | 'label'>): string {
  const given = GIVEN[name];
  if (given) return i18n._(given);
  return label === '' ? name : label;
}

const LOSSES: Readonly<Record<Loss, MessageDescriptor>> = {
  formatting: msg`its formatting`,
  lines: msg`its line breaks`,
  blanks: msg`its blanks (they become gaps)`,
  caret: msg`the place of the cursor`,
  given: msg`the clipboard`,
};

/** What a device would lose of an expansion. */
export function tellLosses(lost: readonly Loss[]): string {
  if (lost.length === 0) return t`It works there as it is.`;
  const parts = tellList(lost.map((loss) => i18n._(LOSSES[loss])));
  return t`It loses ${parts} there.`;
}

/** Why a device cannot take a shortcut. */
export function tellRefusal(why: Refusal | 'date'): string {
  switch (why) {
    case 'date':
      return t`That device can’t keep dates up to date.`;
    case 'too long':
      return t`The text is too long for that device.`;
    case 'several lines':
      return t`That device can’t hold a text of several lines.`;
    case 'space in code':
      return t`That device can’t have a space in a code.`;
  }
}

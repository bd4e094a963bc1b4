import { LANGUAGES } from '@yellow-latch/language/languages';

import { languageName } from '@/wording/format';

/** The languages that a shortcut may be in: those that are known, and others the list has. */
export function languageChoices(others: readonly string[]): { value: string; label: string }[] {
  return [...new Set([...Object.keys(LANGUAGES), ...others])].map((value) => ({ value, label: languageName(value) }));
}

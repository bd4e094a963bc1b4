import { LANGUAGES } from '@yellow-latch/language/languages';

/** The name of a language by its tag. */
export function languageName(tag: string): string {
  return (LANGUAGES as Readonly<Record<string, string>>)[tag] ?? tag;
}

/** The languages that can be said of a shortcut: those that are known, and others the list has. */
export function languageChoices(others: readonly string[]): { value: string; label: string }[] {
  return [...new Set([...Object.keys(LANGUAGES), ...others])].map((value) => ({ value, label: languageName(value) }));
}

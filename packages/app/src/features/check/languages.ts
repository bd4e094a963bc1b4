import { LANGUAGES } from '@yellow-latch/language/languages';

/** The name of a language by its tag. */
export function languageName(tag: string): string {
  return (LANGUAGES as Readonly<Record<string, string>>)[tag] ?? tag;
}

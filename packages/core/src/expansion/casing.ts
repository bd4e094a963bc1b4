import type { Casing } from './segment';

/** Letters set as asked: all large, all small, or the first of each word large. */
export function applyCasing(text: string, casing: Casing | null, locale: string | undefined): string {
  switch (casing) {
    case null:
      return text;
    case 'upper':
      return text.toLocaleUpperCase(locale);
    case 'lower':
      return text.toLocaleLowerCase(locale);
    case 'title':
      return text
        .toLocaleLowerCase(locale)
        .replaceAll(
          /(^|[^\p{L}\p{N}\p{M}’'])(\p{L})/gu,
          (_, before: string, letter: string) => before + letter.toLocaleUpperCase(locale),
        );
  }
}

import { getCountries, type CountryCode } from 'libphonenumber-js/max';

/** Names of countries that `Intl` has under another name, as people write them. From memory. */
const OTHERS: Readonly<Record<string, string>> = {
  uk: 'GB',
  'u.k.': 'GB',
  'great britain': 'GB',
  england: 'GB',
  scotland: 'GB',
  wales: 'GB',
  'northern ireland': 'GB',
  usa: 'US',
  'u.s.a.': 'US',
  'u.s.': 'US',
  america: 'US',
  'united states of america': 'US',
  holland: 'NL',
  eire: 'IE',
  brd: 'DE',
};

/** The languages in which names of countries are known. */
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl'];

let byName: ReadonlyMap<string, string> | null = null;

/** The code of a country (ISO 3166-1) by its code or its name in one of six languages; null: not known. */
export function countryOf(written: string): string | null {
  const name = written.trim().toLowerCase();
  if (name === '') return null;
  byName ??= new Map(
    getCountries().flatMap((code) => [
      [code.toLowerCase(), code] as const,
      ...LANGUAGES.map((language) => [nameOf(code, language).toLowerCase(), code] as const),
    ]),
  );
  return OTHERS[name] ?? byName.get(name) ?? null;
}

/** What a country is called in a language. */
export function nameOf(code: string, language: string): string {
  return new Intl.DisplayNames([language], { type: 'region' }).of(code) ?? code;
}

/** Countries with telephone numbers of their own; ISO 3166-1. */
export const COUNTRIES: readonly string[] = getCountries();

export function isCountry(code: string): code is CountryCode {
  return (getCountries() as readonly string[]).includes(code);
}

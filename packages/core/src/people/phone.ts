import { getCountryCallingCode, parsePhoneNumberFromString } from 'libphonenumber-js/max';

import { isCountry } from './countries';

export interface ReadPhone {
  /** As it is dialled at home: without the country where it is one's own, with it where it is another. */
  readonly text: string;
  /** Whether there can be one like it in its country. */
  readonly isPossible: boolean;
  /** Null: it cannot be told. */
  readonly isMobile: boolean | null;
}

/** A number as the person writes numbers. `home`: ISO 3166-1; a number that is none there is left as it was written. */
export function readPhone(written: string, home: string): ReadPhone {
  const plain = written.replace(/^tel:/iu, '').trim();
  const number = parsePhoneNumberFromString(plain.replace(/;ext=/iu, ' ext. '), {
    ...(isCountry(home) ? { defaultCountry: home } : {}),
    extract: false,
  });
  if (!number?.isPossible()) return { text: plain, isPossible: false, isMobile: null };
  const isHome = isCountry(home) && number.countryCallingCode === callingCodeOf(home);
  const type = number.getType();
  return {
    text: isHome ? number.formatNational() : number.formatInternational(),
    isPossible: true,
    isMobile: type === undefined || type === 'FIXED_LINE_OR_MOBILE' ? null : type === 'MOBILE',
  };
}

/** The country in which most of some numbers are that are written with theirs; null: none has half of them. */
export function mainCountry(written: readonly string[]): string | null {
  const counts = new Map<string, number>();
  for (const one of written) {
    const number = parsePhoneNumberFromString(one.replace(/^tel:/iu, '').trim());
    // Where countries share a code the largest stands first.
    const country = number?.country ?? number?.getPossibleCountries()[0];
    if (country !== undefined) counts.set(country, (counts.get(country) ?? 0) + 1);
  }
  const [most] = [...counts].sort(([, a], [, b]) => b - a);
  return most && most[1] * 2 >= written.length ? most[0] : null;
}

function callingCodeOf(country: string): string | undefined {
  return isCountry(country) ? String(getCountryCallingCode(country)) : undefined;
}

import type { Found } from './card';

/** Lengths of account numbers by country (IBAN registry of ISO 13616; from memory, checked in tests). */
const LENGTHS: Readonly<Record<string, number>> = {
  AD: 24, AE: 23, AL: 28, AT: 20, AZ: 28, BA: 20, BE: 16, BG: 22, BH: 22, BR: 29, BY: 28, CH: 21,
  CR: 22, CY: 28, CZ: 24, DE: 22, DK: 18, DO: 28, EE: 20, EG: 29, ES: 24, FI: 18, FO: 18, FR: 27,
  GB: 22, GE: 22, GI: 23, GL: 18, GR: 27, GT: 28, HR: 21, HU: 28, IE: 22, IL: 23, IQ: 23, IS: 26,
  IT: 27, JO: 30, KW: 30, KZ: 20, LB: 28, LC: 32, LI: 21, LT: 20, LU: 20, LV: 21, MC: 27, MD: 24,
  ME: 22, MK: 19, MR: 27, MT: 31, MU: 30, NL: 18, NO: 15, PK: 24, PL: 28, PS: 29, PT: 25, QA: 29,
  RO: 24, RS: 22, SA: 24, SC: 31, SE: 24, SI: 19, SK: 24, SM: 27, ST: 25, SV: 28, TL: 23, TN: 24,
  TR: 26, UA: 29, VA: 22, VG: 24, XK: 20,
};

/** Whether `text` is an account number: country, length, check digits (ISO 7064, MOD 97-10). */
export function isIban(text: string): boolean {
  const compact = text.replace(/\s/g, '').toUpperCase();
  if (!/^[A-Z]{2}\d{2}[A-Z0-9]+$/.test(compact)) return false;
  if (LENGTHS[compact.slice(0, 2)] !== compact.length) return false;
  let rest = 0;
  for (const character of compact.slice(4) + compact.slice(0, 4)) {
    const value = parseInt(character, 36);
    rest = (rest * (value > 9 ? 100 : 10) + value) % 97;
  }
  return rest === 1;
}

const SHAPE = /(?<![A-Za-z0-9])[A-Za-z]{2}\d{2}(?: ?[A-Za-z0-9]){11,30}/g;

/** The account numbers in `text`. */
export function findIbans(text: string): Found[] {
  return Array.from(text.matchAll(SHAPE)).flatMap((match) => {
    // The shape may run on into the next word: the country says where the number ends.
    const wanted = LENGTHS[match[0].slice(0, 2).toUpperCase()];
    if (wanted === undefined) return [];
    let length = 0;
    let seen = 0;
    while (length < match[0].length && seen < wanted) {
      if (match[0][length] !== ' ') seen += 1;
      length += 1;
    }
    const end = match.index + length;
    const goesOn = /^[A-Za-z0-9]/.test(text.slice(end, end + 1));
    return !goesOn && isIban(text.slice(match.index, end)) ? [{ start: match.index, end }] : [];
  });
}

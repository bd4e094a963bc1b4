import type { Found } from './card';

/**
 * Lengths of account numbers by country: the registry of ISO 13616, and countries that use such numbers without being in it.
 * Made from the package ibantools 4.5.4; tests hold it to that and to another package.
 */
const LENGTHS: Readonly<Record<string, number>> = {
  AD: 24,
  AE: 23,
  AL: 28,
  AO: 25,
  AT: 20,
  AX: 18,
  AZ: 28,
  BA: 20,
  BE: 16,
  BF: 28,
  BG: 22,
  BH: 22,
  BI: 27,
  BJ: 28,
  BL: 27,
  BR: 29,
  BY: 28,
  CF: 27,
  CG: 27,
  CH: 21,
  CI: 28,
  CM: 27,
  CR: 22,
  CV: 25,
  CY: 28,
  CZ: 24,
  DE: 22,
  DJ: 27,
  DK: 18,
  DO: 28,
  DZ: 26,
  EE: 20,
  EG: 29,
  ES: 24,
  FI: 18,
  FK: 18,
  FO: 18,
  FR: 27,
  GA: 27,
  GB: 22,
  GE: 22,
  GF: 27,
  GI: 23,
  GL: 18,
  GP: 27,
  GQ: 27,
  GR: 27,
  GT: 28,
  GW: 25,
  HN: 28,
  HR: 21,
  HU: 28,
  IE: 22,
  IL: 23,
  IQ: 23,
  IR: 26,
  IS: 26,
  IT: 27,
  JO: 30,
  KM: 27,
  KW: 30,
  KZ: 20,
  LB: 28,
  LC: 32,
  LI: 21,
  LT: 20,
  LU: 20,
  LV: 21,
  LY: 25,
  MA: 28,
  MC: 27,
  MD: 24,
  ME: 22,
  MF: 27,
  MG: 27,
  MK: 19,
  ML: 28,
  MN: 20,
  MQ: 27,
  MR: 27,
  MT: 31,
  MU: 30,
  MZ: 25,
  NC: 27,
  NE: 28,
  NI: 28,
  NL: 18,
  NO: 15,
  OM: 23,
  PF: 27,
  PK: 24,
  PL: 28,
  PM: 27,
  PS: 29,
  PT: 25,
  QA: 29,
  RE: 27,
  RO: 24,
  RS: 22,
  RU: 33,
  SA: 24,
  SC: 31,
  SD: 18,
  SE: 24,
  SI: 19,
  SK: 24,
  SM: 27,
  SN: 28,
  SO: 23,
  ST: 25,
  SV: 28,
  TD: 27,
  TF: 27,
  TG: 28,
  TL: 23,
  TN: 24,
  TR: 26,
  UA: 29,
  VA: 22,
  VG: 24,
  WF: 27,
  XK: 20,
  YE: 30,
  YT: 27,
};

/** Whether `text` is an account number: country, length, check digits (ISO 7064, MOD 97-10). */
export function isIban(text: string): boolean {
  const compact = text.replace(/[\s-]/g, '').toUpperCase();
  if (!/^[A-Z]{2}\d{2}[A-Z0-9]+$/.test(compact)) return false;
  if (LENGTHS[compact.slice(0, 2)] !== compact.length) return false;
  let rest = 0;
  for (const character of compact.slice(4) + compact.slice(0, 4)) {
    const value = parseInt(character, 36);
    rest = (rest * (value > 9 ? 100 : 10) + value) % 97;
  }
  return rest === 1;
}

/** What stands between the groups of a printed number: spaces of any width, one or two of them, or a hyphen. */
const BETWEEN = /[ \u00a0\u2002-\u200a\u202f-]/;
const MOST_BETWEEN = 2;
const BEGINS = /(?<![A-Za-z0-9])[A-Za-z]{2}\d{2}/g;

/** The account numbers in `text`. */
export function findIbans(text: string): Found[] {
  const found: Found[] = [];
  for (const { index, 0: beginning } of text.matchAll(BEGINS)) {
    const wanted = LENGTHS[beginning.slice(0, 2).toUpperCase()];
    if (wanted === undefined || index < (found.at(-1)?.end ?? 0)) continue;
    const end = endOf(text, index, wanted);
    if (end !== null && isIban(text.slice(index, end))) found.push({ start: index, end });
  }
  return found;
}

/** Where so many letters and figures end that begin at `start`; null: there are not so many, or more. */
function endOf(text: string, start: number, wanted: number): number | null {
  let seen = 0;
  let between = 0;
  for (let at = start; at < text.length; at += 1) {
    if (/[A-Za-z0-9]/.test(text[at]!)) {
      seen += 1;
      between = 0;
      // The country says where the number ends: behind it another word may stand, but not without a space.
      if (seen === wanted) return /[A-Za-z0-9]/.test(text[at + 1] ?? '') ? null : at + 1;
    } else if (!BETWEEN.test(text[at]!) || (between += 1) > MOST_BETWEEN) return null;
  }
  return null;
}

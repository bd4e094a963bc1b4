/** Payment card numbers: ISO/IEC 7812-1, check digit by its annex B (the Luhn formula). */

/** Where a number stands in a text, in UTF-16 units. */
export interface Found {
  readonly start: number;
  readonly end: number;
}

/** Whether a string of digits ends in its Luhn check digit. */
export function passesLuhn(digits: string): boolean {
  let sum = 0;
  for (let i = 0; i < digits.length; i += 1) {
    const digit = digits.charCodeAt(digits.length - 1 - i) - 48;
    const value = i % 2 === 1 ? digit * 2 : digit;
    sum += value > 9 ? value - 9 : value;
  }
  return digits.length > 0 && sum % 10 === 0;
}

/** Runs of figures in groups, with spaces of any width or a hyphen between them. */
const RUN = /\d+(?:[ \u00a0\u2002-\u200a\u202f-]{1,2}\d+)*/g;
/** Major industry identifiers of cards that pay: travel, banking, merchandising (ISO/IEC 7812-1, 4.2). */
const PAYS = /^[2-6]/;
export const SHORTEST_CARD = 12;
const LONGEST_CARD = 19;
/** How numbers are printed on cards, by groups of figures (common practice, no source). */
const PRINTED = /^(?:4 4 4 [1-4](?: [1-3])?|4 6 [45]|4 4 5|6 1[0-3])$/;

/**
 * The numbers in `text` that are as a payment card's: length, first digit, check digit. A number may stand among others, as
 * the date to which the card holds or a telephone number, if it is printed in groups as on cards, or all in one.
 */
export function findCardNumbers(text: string): Found[] {
  const found: Found[] = [];
  for (const { index, 0: run } of text.matchAll(RUN)) {
    const groups = Array.from(run.matchAll(/\d+/g), (group) => ({
      start: index + group.index,
      end: index + group.index + group[0].length,
      digits: group[0],
    }));
    for (let first = 0; first < groups.length; first += 1) {
      let digits = '';
      // Behind such a sign it is a part of a number, or one to be rung.
      if (/[.,+-]$/.test(text.slice(0, groups[first]!.start))) continue;
      for (let last = first; last < groups.length && digits.length < LONGEST_CARD; last += 1) {
        digits += groups[last]!.digits;
        const isAll = first === 0 && last === groups.length - 1;
        const shape = groups
          .slice(first, last + 1)
          .map((group) => group.digits.length)
          .join(' ');
        if (last > first && !isAll && !PRINTED.test(shape)) continue;
        if (text[groups[last]!.end] === '-' || !isCardNumber(digits)) continue;
        found.push({ start: groups[first]!.start, end: groups[last]!.end });
        first = last;
        break;
      }
    }
  }
  return found;
}

function isCardNumber(digits: string): boolean {
  return (
    digits.length >= SHORTEST_CARD &&
    digits.length <= LONGEST_CARD &&
    PAYS.test(digits) &&
    !/^(\d)\1+$/.test(digits) &&
    passesLuhn(digits)
  );
}

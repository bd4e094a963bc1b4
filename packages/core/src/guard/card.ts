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

// Twelve to nineteen digits, in groups as they are printed. Not within longer numbers.
const GROUPED = /(?<![\d.,+-])\d(?:[ -]?\d){11,18}(?![\d-])/g;
// Major industry identifiers of cards that pay: travel, banking, merchandising (ISO/IEC 7812-1, 4.2).
const PAYS = /^[2-6]/;

/** The numbers in `text` that are as a payment card's: length, first digit, check digit. */
export function findCardNumbers(text: string): Found[] {
  return Array.from(text.matchAll(GROUPED)).flatMap((match) => {
    const digits = match[0].replace(/\D/g, '');
    const isCard = PAYS.test(digits) && !/^(\d)\1+$/.test(digits) && passesLuhn(digits);
    return isCard ? [{ start: match.index, end: match.index + match[0].length }] : [];
  });
}

/** What stands in a gap: guessed from all that stood there. */
export type BlankKind = 'name' | 'day' | 'date' | 'time' | 'number' | 'amount' | 'choice' | 'text';

const TIME = /^(?:[01]?\d|2[0-3])[:.]\d\d(?:\s?[ap]\.?m\.?)?$|^(?:1[0-2]|[1-9])\s?[ap]\.?m\.?$/iu;
const AMOUNT = /^\p{Sc}\s?\d[\d.,]*$|^\d[\d.,]*\s?(?:\p{Sc}|eur|gbp|usd|chf)$/iu;
const NUMBER = /^\d[\d.,]*$/u;
const DATE = /^\d{1,4}[./-]\d{1,2}(?:[./-]\d{1,4})?$/u;
const CAPITALIZED = /^\p{Lu}[\p{L}\p{M}'’-]*(?:\s+(?:\p{Lu}[\p{L}\p{M}.'’-]*|of|de|van|von|der))*$/u;

/** So few different ones that they can be chosen from. */
const CHOICES = 6;

/** The names of days and months in some languages, in lower case: long, short, and as they stand in a date. */
function namesOf(languages: readonly string[]): { days: ReadonlySet<string>; months: ReadonlySet<string> } {
  const days = new Set<string>();
  const months = new Set<string>();
  for (const language of languages) {
    for (const style of ['long', 'short'] as const) {
      const day = new Intl.DateTimeFormat(language, { weekday: style, timeZone: 'UTC' });
      const month = new Intl.DateTimeFormat(language, { month: style, timeZone: 'UTC' });
      for (let at = 0; at < 7; at += 1) days.add(bare(day.format(Date.UTC(2026, 10, 1 + at))));
      for (let at = 0; at < 12; at += 1) months.add(bare(month.format(Date.UTC(2026, at, 15))));
    }
  }
  return { days, months };
}

function bare(name: string): string {
  return name.toLowerCase().replaceAll('.', '');
}

/** Tells what kind of thing stands in a gap, in texts of some languages (BCP 47). */
export class BlankKinds {
  private readonly days: ReadonlySet<string>;
  private readonly months: ReadonlySet<string>;

  constructor(languages: readonly string[]) {
    ({ days: this.days, months: this.months } = namesOf(languages));
  }

  /** `values`: what stood there, each once. */
  of(values: readonly string[]): BlankKind {
    const all = (holds: (value: string) => boolean) => values.every(holds);
    if (all((value) => this.days.has(bare(value)))) return 'day';
    if (all((value) => TIME.test(value))) return 'time';
    if (all((value) => AMOUNT.test(value))) return 'amount';
    if (all((value) => this.isDate(value))) return 'date';
    if (all((value) => NUMBER.test(value))) return 'number';
    if (all((value) => CAPITALIZED.test(value))) return 'name';
    return values.length <= CHOICES ? 'choice' : 'text';
  }

  private isDate(value: string): boolean {
    if (DATE.test(value)) return true;
    const words = value.split(/[\s,]+/u).map(bare);
    return words.some((word) => this.months.has(word)) && words.every((word) => this.isOfDate(word));
  }

  private isOfDate(word: string): boolean {
    return this.months.has(word) || this.days.has(word) || /^\d{1,4}(?:st|nd|rd|th)?$/u.test(word) || word === 'of';
  }
}

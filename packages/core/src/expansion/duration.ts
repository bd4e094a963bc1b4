/** An ISO 8601 duration, each part a whole number; `sign` −1: back. */
export interface Duration {
  readonly sign: 1 | -1;
  readonly years: number;
  readonly months: number;
  readonly weeks: number;
  readonly days: number;
  readonly hours: number;
  readonly minutes: number;
  readonly seconds: number;
}

const PARTS =
  /^([+-]?)P(?=.)(?:(\d{1,5})Y)?(?:(\d{1,5})M)?(?:(\d{1,5})W)?(?:(\d{1,7})D)?(?:T(?=.)(?:(\d{1,8})H)?(?:(\d{1,9})M)?(?:(\d{1,10})S)?)?$/u;

export function isDuration(text: string): boolean {
  return PARTS.test(text);
}

/** Reads an ISO 8601 duration (with a sign before it, as in ISO 8601-2); null: it is none. Nothing: no time at all. */
export function parseDuration(text: string): Duration | null {
  const parts = PARTS.exec(text);
  if (!parts) return null;
  const [years, months, weeks, days, hours, minutes, seconds] = parts.slice(2).map((part) => Number(part ?? 0)) as [
    number,
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  return { sign: parts[1] === '-' ? -1 : 1, years, months, weeks, days, hours, minutes, seconds };
}

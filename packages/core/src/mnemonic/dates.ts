/** Languages whose names of months and days are read: those that the app checks in, and two more of their neighbours. */
const LANGUAGES = ['en', 'de', 'fr', 'es', 'it', 'nl'];

const SMALL =
  /^(?:the|of|on|at|and|de|del|le|la|el|den|der|am|um|uhr|à|a|h|hrs|hours|il|van|op|am|pm|a\.m\.|p\.m\.|st|nd|rd|th|er|today|heute|aujourd’hui|hoy|kw|week|woche)$/u;

let names: ReadonlySet<string> | null = null;

/** The names of months and days of the week, whole and short, in lower case without a stop. Made once. */
function namesOfDays(): ReadonlySet<string> {
  if (names) return names;
  const all = new Set<string>();
  for (const language of LANGUAGES) {
    for (const style of ['long', 'short'] as const) {
      const month = new Intl.DateTimeFormat(language, { month: style, timeZone: 'UTC' });
      // In a date some languages bend them: "im Mai", "5 de mayo".
      const inDate = new Intl.DateTimeFormat(language, { day: 'numeric', month: style, timeZone: 'UTC' });
      const day = new Intl.DateTimeFormat(language, { weekday: style, timeZone: 'UTC' });
      const add = (name: string) => all.add(name.toLowerCase().replace(/\.$/u, ''));
      for (let i = 0; i < 12; i += 1) {
        const date = Date.UTC(2025, i, 6 + (i % 7));
        add(month.format(date));
        for (const { type, value } of inDate.formatToParts(date)) if (type === 'month') add(value);
        add(day.format(date));
      }
    }
  }
  return (names = all);
}

const NUMERIC =
  /^(?:\p{L}{2,10}\.?,?\s)?(?:\d{4}-\d{1,2}-\d{1,2}|\d{1,2}\.\s?\d{1,2}\.(?:\s?\d{2,4})?|\d{1,2}\/\d{1,2}\/\d{2,4}|\d{1,2}-\d{1,2}-\d{4}|\d{4}\/\d{1,2}\/\d{1,2})(?:[T,]?\s?(?:at\s|um\s|à\s)?\d{1,2}[:h.]\d{2}(?::\d{2})?(?:\s?(?:am|pm|uhr|h|z))?)?$/iu;
const TIME = /^\d{1,2}(?::|h)\d{2}(?::\d{2})?$/u;

/** Whether a text is a date and no more: in figures, or with the name of a month or a day. */
export function isDate(text: string): boolean {
  if (text.length > 60 || !/\d/u.test(text)) return false;
  if (NUMERIC.test(text)) return true;
  const words = text.toLowerCase().match(/\p{L}[\p{L}\p{M}’.]*|\d+(?:[:h]\d+)*/gu) ?? [];
  let months = 0;
  let numbers = 0;
  for (const word of words) {
    const bare = word.replace(/\.$/u, '');
    if (/^\d{1,4}$/u.test(bare) || TIME.test(word)) numbers += 1;
    else if (namesOfDays().has(bare)) months += 1;
    else if (!SMALL.test(word) && !SMALL.test(bare)) return false;
  }
  return months > 0 && numbers > 0;
}

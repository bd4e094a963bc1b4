/** The languages that the screens are written in. The first is the one that the sources are in. */
export const LANGUAGES = ['en'] as const;

/**
 * A made-up language to try the screens with: English with accents on it and about 40 % longer. CLDR's name for it.
 * Nobody is offered it; `npm test` chooses it.
 */
export const PSEUDO_LANGUAGE = 'en-XA';

export interface ChosenLocale {
  /** The catalogue to read from. */
  readonly language: string;
  /** What numbers, lists, dates and clock times are written by: that language as the person's region writes it. */
  readonly locale: string;
}

/**
 * The language of the screens and how numbers and dates are written in it. Somebody whose language has no catalogue
 * reads the first one, with the numbers, dates and clock of their own region, so that no sentence is in two languages.
 * `wanted`: what the browser asks for, most wanted first (`navigator.languages`). `kept`: what was chosen on this
 * device, which goes before.
 */
export function chooseLocale(wanted: readonly string[], kept: string | null = null): ChosenLocale {
  if (kept === PSEUDO_LANGUAGE) return { language: PSEUDO_LANGUAGE, locale: 'en-GB-u-hc-h23' };
  const tags = wanted.flatMap((tag) => localeOf(tag) ?? []);
  const known = tags.find(({ language }) => LANGUAGES.some((one) => one === language));
  const language = LANGUAGES.find((one) => one === kept) ?? known?.language ?? LANGUAGES[0];
  const own = tags.find((tag) => tag.language === language) ?? tags[0];
  const region = own?.maximize().region;
  const hourCycle = own && hourCycleOf(own);
  return { language, locale: new Intl.Locale(language, { region, hourCycle }).toString() };
}

/** Browsers differ in how they tell it; the format that all of them have takes tens of milliseconds to make. */
function hourCycleOf(locale: Intl.Locale & { getHourCycles?: () => string[]; hourCycles?: string[] }) {
  const [told] = locale.getHourCycles?.() ?? locale.hourCycles ?? [];
  return (
    (told as Intl.LocaleHourCycleKey | undefined) ??
    new Intl.DateTimeFormat(locale, { hour: 'numeric' }).resolvedOptions().hourCycle
  );
}

function localeOf(tag: string): Intl.Locale | null {
  try {
    return new Intl.Locale(tag);
  } catch {
    return null;
  }
}

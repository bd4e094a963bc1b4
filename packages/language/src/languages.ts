/** The languages there are files for, by BCP 47. */
export const LANGUAGES = {
  en: 'English',
  de: 'German',
  fr: 'French',
  es: 'Spanish',
} as const;

export type LanguageCode = keyof typeof LANGUAGES;

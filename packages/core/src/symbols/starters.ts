/** Sets to begin with, chosen by us. */
export const STARTERS = {
  fractions: ['½', '¼', '¾', '⅓', '⅔', '⅛'],
  arrows: ['→', '←', '↑', '↓', '↔', '⇒'],
  music: ['♯', '♭', '♮', '♩', '♪', '𝄞', '𝄢'],
  maths: ['×', '÷', '±', '−', '≠', '≈', '≤', '≥'],
  german: ['ä', 'ö', 'ü', 'ß', 'Ä', 'Ö', 'Ü'],
  french: ['é', 'è', 'ê', 'ë', 'à', 'â', 'ç', 'ù', 'û', 'î', 'ï', 'ô', 'œ'],
  spanish: ['ñ', 'á', 'é', 'í', 'ó', 'ú', 'ü', '¿', '¡'],
  dashes: ['–', '—', '…', '“', '”', '‘', '’', '„', '«', '»'],
} as const satisfies Readonly<Record<string, readonly string[]>>;

export type Starter = keyof typeof STARTERS;

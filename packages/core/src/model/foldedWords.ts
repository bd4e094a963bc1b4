const PLAIN = /^[\x20-\x7e]*$/;
const PLAIN_WORD = /[a-z\d]+/g;
const WORD = /[\p{L}\p{N}]+/gu;

/** The words of a name or a search: without capitals and marks, so that "fleche" finds "flèche". */
export function wordsIn(text: string): string[] {
  // Most names are plain, and there are many of them.
  if (PLAIN.test(text)) return text.toLowerCase().match(PLAIN_WORD) ?? [];
  return text.normalize('NFKD').replaceAll(/\p{M}/gu, '').toLowerCase().match(WORD) ?? [];
}

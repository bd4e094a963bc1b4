import { tagsIn } from '../compose/tags';
import type { Want } from '../scenario/jobs';
import { isValidMailAddress } from './mailAddress';

/** What is needed to judge an answer. */
export interface Judging {
  /** The text of a shortcut of the sample list; undefined: it has none under that code. */
  readonly textOf: (code: string) => string | undefined;
  /** In ms since 1970, by the clock of the stand-in. */
  readonly now: number;
  /** In which the months may be named beside English (BCP 47). */
  readonly locale: string;
}

/** Whether a text has in it what is wanted. Capitals, spaces, punctuation and lines do not matter. */
export function hasWanted(want: Want, text: string, { textOf, now, locale }: Judging): boolean {
  switch (want.type) {
    case 'text': {
      const wanted = textOf(want.code);
      return wanted !== undefined && bare(text).includes(bare(wanted));
    }
    case 'date':
      return hasDate(text, new Date(now + want.plusDays * DAY), locale);
    case 'mail':
      return text.split(/\s+/u).some((word) => isValidMailAddress(word.replace(/[.,;!?)]+$/u, '')));
    case 'words':
      return text.split(/\s+/u).filter((word) => /[\p{L}\p{N}]/u.test(word)).length >= want.least;
    case 'characters':
      return Array.from(want.characters).every((character) => text.includes(character));
    case 'tags': {
      const { count, repeated } = countTags(text);
      return count >= want.least && count <= want.most && repeated.length === 0;
    }
  }
}

const DAY = 24 * 60 * 60_000;

function bare(text: string): string {
  return text.toLowerCase().replace(/[^\p{L}\p{N}@]+/gu, '');
}

/** The day stands there in figures, and its month by name or in figures. */
function hasDate(text: string, date: Date, locale: string): boolean {
  const months = ['en', locale].map((tag) =>
    new Intl.DateTimeFormat(tag, { day: 'numeric', month: 'long' })
      .formatToParts(date)
      .find(({ type }) => type === 'month')!
      .value.toLowerCase(),
  );
  const words = text.toLowerCase().match(/[\p{L}]+|\d+/gu) ?? [];
  const isMonth = (word: string) =>
    (word.length > 2 && months.some((month) => month.startsWith(word))) || Number(word) === date.getMonth() + 1;
  const day = words.findIndex((word) => Number(word.replace(/\D/gu, '')) === date.getDate());
  return day >= 0 && words.some((word, at) => at !== day && isMonth(word));
}

/** How many tags a caption has, and those that stand there twice. */
export function countTags(text: string): { readonly count: number; readonly repeated: readonly string[] } {
  const tags = tagsIn(text);
  const seen = new Set<string>();
  const repeated = tags.filter(({ key }) => seen.size === seen.add(key).size).map((tag) => tag.text);
  return { count: tags.length, repeated };
}

import { clustersOf, matchKey } from '../model';
import { kindWords } from './kindWords';
import { recognise } from './recognise';
import { SMALL_WORDS } from './smallWords';
import { symbolWords } from './symbolWords';

/** How a mnemonic was made, in the order in which equally good ones are proposed. */
export type How =
  'word' | 'name' | 'kind' | 'initials' | 'consonants' | 'syllable' | 'two words' | 'like' | 'longer' | 'number';

/** What to type for a text, without its marker. */
export interface Mnemonic {
  readonly text: string;
  readonly how: How;
}

/** Of longer texts the beginning tells what they are, in UTF-16 units. */
const READ = 600;
const MOST_WORDS = 14;
/** Longer words are cut: nobody types so many letters for a code. */
const LONGEST_WORD = 6;
const VOWELS = /[aeiouyäöüàâéèêëîïôûùáíóú]/gu;

/** Names of hosts and pages that tell nothing of them. */
const SAYS_NOTHING = new Set([
  'www',
  'web',
  'index',
  'home',
  'html',
  'htm',
  'php',
  'page',
  'the',
  'en',
  'de',
  'fr',
  'es',
  'mail',
  'info',
  'app',
  'm',
]);
const SECOND_LEVEL = new Set(['co', 'com', 'org', 'net', 'ac', 'gov', 'gv', 'or']);

/**
 * What could be typed for a text, by its kind: initials, consonants, first syllables, telling words, a site and its page, what
 * symbols are called. Best first within each way of making them; each once, in lower case. `kind`: the shortcut's, for a text that has
 * no words of its own. `called`: what the thing is called, best first, where that is known: it goes before what the text says of itself.
 * Linear in the beginning of the text that is read.
 */
export function mnemonicsOf(expansion: string, kind = '', called: readonly string[] = []): Mnemonic[] {
  const text = expansion.trim();
  const what = recognise(text);
  const made: Mnemonic[] = [];
  const add = (how: How, ...texts: readonly (string | undefined)[]) => {
    for (const one of texts) {
      // What is typed is folded as it is matched: no capitals, no marks that a keyboard makes hard.
      const plain = matchKey(one ?? '').replaceAll(/\s/gu, '');
      if (plain !== '' && !made.some((other) => other.text === plain)) made.push({ text: plain, how });
    }
  };
  // What is typed for a symbol is mostly shorter than its name.
  if (what.type === 'symbol') add('name', ...symbolWords(text));
  addCalled(add, called);
  switch (what.type) {
    case 'mail':
      addNamed(add, namesIn(what.local), siteOf(what.domain), ['mail']);
      break;
    case 'link':
      addNamed(add, pageOf(what.path), siteOf(what.host), []);
      break;
    case 'phone':
      add('kind', ...kindWords(text));
      // A number says nothing of whose it is; a name beside it does.
      addWords(add, wordsOf(text.replaceAll(/\b(?:tel|mob|phone|telefon|ext)\b\.?|\d+/giu, ' ')));
      break;
    case 'symbol':
      break;
    case 'tags':
      addWords(add, wordsOf(text.replaceAll(/[#_]/gu, ' ')));
      break;
    case 'address':
      // Whose it is, or the place, tells more than what every address has.
      addWords(add, wordsOf(text.replaceAll(/\b(?:unit|flat|apt|suite|floor|no|c\/o)\b\.?/giu, ' ')));
      break;
    case 'correction':
      add('word', text);
      break;
    default:
      addWords(add, wordsOf(text));
  }
  // Of a page on a site its own name tells more.
  if (what.type !== 'link' || pageOf(what.path).length === 0) add('kind', ...kindWords(text));
  if (made.length === 0) add('kind', ...kind.split(' ').map((word) => word.slice(0, 4)));
  return made;
}

type Add = (how: How, ...texts: readonly (string | undefined)[]) => void;

/** Of what a thing is called: each word if it is short, else how it begins; the initials of several. */
function addCalled(add: Add, called: readonly string[]): void {
  const words = called.slice(0, MOST_WORDS).map((word) => matchKey(word).replaceAll(/[^\p{L}\p{M}\p{N}]/gu, ''));
  for (const word of words) if (clustersOf(word).length <= LONGEST_WORD) add('name', word);
  for (const word of words) add('name', syllablesOf(word, 3), syllablesOf(word, 4));
  if (words.length > 1) add('initials', words.slice(0, 3).map(letter).join(''), words.slice(0, 2).map(letter).join(''));
  for (const word of words) add('consonants', consonantsOf(word));
}

/**
 * Of names: what tells the thing from others of its site, then its site. Each whole or by its first syllable, the initials of names
 * that stand together, and one behind what it is.
 */
function addNamed(add: Add, own: readonly string[], site: readonly string[], kinds: readonly string[]): void {
  const tellingOf = (names: readonly string[]) => {
    const telling = names.filter((name) => !SAYS_NOTHING.has(name));
    const longer = telling.filter((name) => !SMALL_WORDS.has(name));
    return longer.length > 0 ? longer : telling;
  };
  const [first] = tellingOf(own);
  add('kind', ...(first ? [] : kinds));
  for (const names of [tellingOf(own), tellingOf(site)]) {
    add('word', ...names.filter((name) => [...name].length <= LONGEST_WORD).slice(0, 3));
    // All that is of a site shares its name: it tells little of one of its pages.
    if (first !== undefined && names[0] !== first) continue;
    if (names.length > 1)
      add('initials', names.slice(0, 2).map(letter).join(''), names.slice(0, 3).map(letter).join(''));
    for (const name of names.slice(0, 2)) {
      const parts = name.split(/(?<=\p{L}{2})and(?=\p{L}{2})/u);
      if (parts.length > 1) add('initials', parts.map(letter).join(''));
      add('syllable', syllablesOf(name, 3), syllablesOf(name, 4));
      add('consonants', consonantsOf(name));
    }
  }
  for (const kind of kinds) if (first) add('initials', letter(first) + letter(kind), kind + letter(first));
}

/** Of words: the telling ones, initials, consonants, first syllables, two together. */
function addWords(add: Add, all: readonly string[]): void {
  const telling = all.filter((word) => !SMALL_WORDS.has(word) && !/^\d+$/u.test(word));
  const words = telling.length > 0 ? telling : all;
  const [first, second, third] = words;
  if (first === undefined) return;
  const longest = [...words.slice(0, 8)].sort((a, b) => b.length - a.length)[0]!;
  // The first word is what one thinks of; where it says little, the next, and the longest.
  for (const word of [first, second, longest, third]) if (word && isShort(word)) add('word', word);
  if (words.length >= 2)
    add(
      'initials',
      words.slice(0, 4).map(letter).join(''),
      words.slice(0, 3).map(letter).join(''),
      words.slice(0, 2).map(letter).join(''),
    );
  if (all.length >= 2 && all.length <= 4) add('initials', all.map(letter).join(''));
  else if (all.length > 4) add('initials', all.slice(0, 3).map(letter).join(''), all.slice(0, 4).map(letter).join(''));
  for (const word of new Set([first, second ?? first, longest])) {
    add('syllable', syllablesOf(word, 3), syllablesOf(word, 4));
    add('consonants', consonantsOf(word), beginning(consonantsOf(word) ?? '', 3));
  }
  if (second !== undefined) {
    add('two words', beginning(first, 2) + beginning(second, 2), beginning(first, 3) + beginning(second, 3));
    add('consonants', consonantsOf(first + second)?.slice(0, 4));
  }
  add('longer', isShort(longest) ? undefined : beginning(longest, 5), beginning(first, LONGEST_WORD));
}

/** Its words in lower case, numbers among them, most telling parts of links and templates left out. */
function wordsOf(text: string): string[] {
  return (
    text
      .slice(0, READ)
      // What is filled in, and what is linked to, says nothing of the text.
      .replaceAll(/\{[^}]*\}|\]\([^)]*\)|https?:\/\/\S+|_{2,}/gu, ' ')
      .toLowerCase()
      .match(/[\p{L}\p{N}][\p{L}\p{N}\p{M}'’]*/gu)
      ?.map((word) => word.replaceAll(/['’]/gu, ''))
      .slice(0, MOST_WORDS) ?? []
  );
}

/** The names in the part before the @: mara.vale+diary has three. */
function namesIn(local: string): string[] {
  const names = local.toLowerCase().match(/\p{L}[\p{L}\p{M}\p{N}]*/gu) ?? [];
  // What stands behind a plus says what it is for.
  return local.includes('+') && names.length > 1 ? [names.at(-1)!, ...names.slice(0, -1)] : names;
}

/** The telling names of a host: what stands before its site, then the site. */
function siteOf(host: string): string[] {
  const labels = host.toLowerCase().split('.').slice(0, -1);
  while (labels.length > 1 && SECOND_LEVEL.has(labels.at(-1)!)) labels.pop();
  const site = labels.at(-1)?.split('-') ?? [];
  return [...labels.slice(0, -1).filter((label) => !SAYS_NOTHING.has(label)), ...site];
}

/** The telling words of a path, the last part first: that is the page. */
function pageOf(path: string): string[] {
  const parts = path.split(/[?#]/u)[0]!.split('/').reverse();
  return parts
    .flatMap((part) => part.toLowerCase().match(/\p{L}[\p{L}\p{M}]{1,}/gu) ?? [])
    .filter((word) => !SAYS_NOTHING.has(word));
}

function isShort(word: string): boolean {
  return word.length >= 2 && word.length <= LONGEST_WORD;
}

function beginning(word: string, length: number): string {
  return clustersOf(word)
    .slice(0, length)
    .map(({ text }) => text)
    .join('');
}

function letter(word: string): string {
  return beginning(word, 1);
}

/**
 * The beginning of a word up to the end of a syllable, of at least `least` letters and a letter more at most: cut where a consonant
 * closes it, since that is heard. Undefined: the word is no longer.
 */
function syllablesOf(word: string, least: number): string | undefined {
  const letters = clustersOf(word).map(({ text }) => text);
  if (letters.length < least + 3) return undefined;
  const isVowel = (at: number) => letters[at] !== undefined && letters[at].replaceAll(VOWELS, '') === '';
  const cut = isVowel(least - 1) && !isVowel(least) && letters.length > least + 1 ? least + 1 : least;
  return letters.slice(0, cut).join('');
}

/** The first letter of a word and its consonants, four at most. Undefined: it has too few. */
function consonantsOf(word: string): string | undefined {
  const first = letter(word);
  const rest = word.slice(first.length).replaceAll(VOWELS, '').replaceAll(/(.)\1/gu, '$1');
  const whole = beginning(first + rest, 4);
  return whole.length >= 2 && whole !== word ? whole : undefined;
}

import { ZxcvbnFactory } from '@zxcvbn-ts/core';

import { isFormula } from './chemistry';

/** What takes more guesses than this was made to be a secret, if it has not the shape of something else. */
export const PASSWORD_GUESSES = 1e8;
const [SHORTEST, LONGEST] = [8, 64];

let estimator: ZxcvbnFactory | null = null;

/**
 * Whether a whole expansion looks like a password: one run of 8 to 64 characters without white space, in which kinds of characters
 * (small, capital, digit, sign) change as they do in nothing that is spelled or counted, and hard to guess by the estimate
 * of a strength library; or words that do not go together (`looksLikePassphrase`).
 */
export function looksLikePassword(expansion: string): boolean {
  const text = expansion.trim();
  if (looksLikePassphrase(text)) return true;
  const { length } = text;
  if (/\s/u.test(text) || length < SHORTEST || length > LONGEST || HARMLESS.some((is) => is(text))) return false;
  const classes = new Set(Array.from(text, classOf));
  const changes = changesIn(text) / (length - 1);
  const isMixed =
    classes.size >= 3
      ? changes >= 0.4 || isUnspeakable(text)
      : length >= 10 && classes.size === 2 && !classes.has('sign') && classes.has('small') && changes >= 0.5;
  if (!isMixed) return false;
  estimator ??= new ZxcvbnFactory();
  return estimator.check(text).guesses >= PASSWORD_GUESSES;
}

type Class = 'small' | 'capital' | 'digit' | 'sign';

function classOf(character: string): Class {
  if (/\p{Lu}/u.test(character)) return 'capital';
  if (/\p{Nd}/u.test(character)) return 'digit';
  return /\p{L}/u.test(character) ? 'small' : 'sign';
}

/** How often the class changes from one character to the next, but for a capital at the beginning of a word. */
function changesIn(text: string): number {
  const classes = Array.from(text, classOf);
  return classes.filter((one, i) => {
    const before = classes[i - 1];
    const isBeginning = before === 'capital' && one === 'small' && (i === 1 || classes[i - 2] === 'sign');
    return before !== undefined && before !== one && !isBeginning;
  }).length;
}

/** Whether the letters have so few vowels that they spell nothing (words of the four languages have three in ten and more). */
function isUnspeakable(text: string): boolean {
  const letters = text.match(/\p{L}/gu)?.length ?? 0;
  const vowels = text.match(/[aeiouyäöüàâéèêëîïôûœæáíóú]/giu)?.length ?? 0;
  return letters >= 6 && vowels < letters * 0.2;
}

// ── shapes of other things ──────────────────────────────────────────────────────────────────

/** Signs that join what is spelled or counted. */
const JOINERS = /[-‐–_/.,:+=@×·'’()[\]{}<>"|\\;*~]+/u;
/** Words (in one with capitals between them) with a number or none, a name in capitals, a number with its unit or times another, a letter or two with a number. */
const PLAIN =
  /^(?:(?:\p{Lu}?\p{Ll}+)(?:\p{Lu}\p{Ll}+)*\p{Nd}*|\p{Lu}{1,6}|\p{Nd}+(?:°?\p{L}{1,3})?[²³]?|\p{L}{0,3}\p{Nd}+(?:x\p{Nd}+\p{L}{0,3})?|%|°\p{L}?)?$/u;
/** Signs that people like in passwords and seldom use in names and numbers. */
const PASSWORD_SIGNS = /[!$^&?#%]/u;

const HARMLESS: readonly ((text: string) => boolean)[] = [
  // Links, addresses, tags.
  (text) => /^(?:[a-z][a-z+.-]*:\/\/|www\.|mailto:|tel:|#\p{L}|@)|[\w.+-]+@[\w-]+\.|^[\w.-]+\.[a-z]{2,}\//iu.test(text),
  // Formulas of a sheet, and of chemistry.
  (text) => /^=[\w(+"'-]/u.test(text) || isFormula(text),
  // Files and paths.
  (text) =>
    /^(?:[A-Za-z]:)?(?:[\w.~ ()-]*[\\/])*[\w.~()-]+\.[A-Za-z][A-Za-z0-9]{1,4}$/u.test(text) ||
    /^(?:[~.]{0,2}\/|[A-Z]:\\)/u.test(text),
  // Article, serial and licence numbers, which have no small letters; hexadecimal ones.
  (text) => !/\p{Ll}/u.test(text) || /^[0-9a-f-]+$/iu.test(text),
  // Code: a call, an index, a block.
  (text) => /[\p{L}_]\w*(?:\(.*\)|\[.*\])|^[{[<].*[}\]>]$|=>|\$\{/u.test(text),
  // What is joined of plain pieces: dates, times, versions, names of character sets, measures.
  (text) => !PASSWORD_SIGNS.test(text) && text.split(JOINERS).every((piece) => PLAIN.test(piece)),
];

// ── passphrases ─────────────────────────────────────────────────────────────────────────────

/** Words of which a message of four words has one or more: the most common ones (from memory of lists of frequencies; English, German, French, Spanish). */
const COMMON = new Set(
  `a about after again all also always am an and any are as ask at away back be because been before being best big bring but by call came can check come could
  day days dear did do does done down each else even every find first for free from get give go going gone good got great had has have he hello help her here hi him his
  home hope how i if in into is it its just keep know last late later left let like little live look lot love made make many may me meet meeting message might more most
  much must my need never new next nice night no not now of off ok old on once one only open or other our out over own please put ready really reply right road said same
  saw say see send sent she should show so some soon sorry start still stop sure take talk tell text than thank thanks that the their them then there these they thing
  things think this those time times to today together tomorrow tonight too two under until up us use very visit wait want was way we week well went were what when where
  which while who why will with without work would write year years yes yet you your
  aber als am an auch auf aus bei bin bis bitte da danke das dass dem den der des die dir doch ein eine einen er es für gut haben habe hat heute ich ihr im in ist ja kein
  mehr mich mir mit morgen nach nicht noch nur oder schon sehr sein sich sie sind so über um und uns vom von vor war was wenn wie wir wird wo zu zum zur
  au aux avec bien bonjour ce cette dans de des du elle en est et il je la le les leur mais me merci moi mon ne nous on ou par pas plus pour que qui sa se si son sur ta te
  tu un une vous votre
  al como con de del desde el ella en es está esta este gracias hay hola la las le lo los más me mi muy nos o para pero por que se si sin su te tu un una y ya yo`.split(
    /\s+/u,
  ),
);
/** Words that are bent as they are in sentences and titles; those of passphrases stand as in a dictionary. */
const BENT = /(?:ing|ed|ly|tion|tions|ies|[^su]s|ungen?|lich|ment|ción)$/u;
const [FEWEST_WORDS, MOST_WORDS] = [4, 10];
const [SHORTEST_PHRASE, LONGEST_PHRASE] = [15, 140];

/** Whether a text is nothing but four to ten words that make no message: joined all in one way, none of them common, hardly one bent. */
export function looksLikePassphrase(text: string): boolean {
  if (text.length > LONGEST_PHRASE || text.length < SHORTEST_PHRASE) return false;
  const match = /^(\p{L}{3,12})([ \-_.,+*]|\p{Nd})(\p{L}{3,12}(?:\2\p{L}{3,12})+)(?:\2?[\p{Nd}!?.#$&*-]{1,4})?$/u.exec(
    text,
  );
  if (!match) return false;
  const words = [match[1]!, ...match[3]!.split(match[2]!)];
  if (words.length < FEWEST_WORDS || words.length > MOST_WORDS) return false;
  // Of a name or a title all or some words have capitals, and a sentence ends in a full stop; a passphrase has all words alike.
  const isSmall = words.every((word) => !/\p{Lu}/u.test(word));
  const isTitle = words.every((word) => /^\p{Lu}\p{Ll}+$/u.test(word));
  if (!isSmall && !(isTitle && match[2] !== ' ')) return false;
  const lower = words.map((word) => word.toLowerCase());
  return !lower.some((word) => COMMON.has(word)) && lower.filter((word) => BENT.test(word)).length * 4 <= lower.length;
}

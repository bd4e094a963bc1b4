import { isPossiblePhoneNumber, parsePhoneNumberFromString, type CountryCode } from 'libphonenumber-js/min';

import { clustersOf, countClusters, isItself, type Kind } from '../model';
import { isDate } from './dates';

/** What a text is by its looks, with what a code can be made of. */
export type Recognised =
  | { readonly type: 'mail'; readonly local: string; readonly domain: string }
  | { readonly type: 'phone'; readonly isMobile: boolean }
  | { readonly type: 'link'; readonly host: string; readonly path: string }
  | { readonly type: 'address' | 'symbol' | 'tags' | 'code block' | 'date' | 'correction' | 'message' };

const KIND_OF: Record<Recognised['type'], Kind> = {
  mail: 'contact',
  phone: 'contact',
  link: 'link',
  address: 'address',
  symbol: 'symbol',
  tags: 'tags',
  'code block': 'code block',
  date: 'date',
  correction: 'correction',
  message: 'message',
};

/** Longer texts are messages, unless they begin as code does, in UTF-16 units. */
const LONGEST = 2_000;

const MAIL = /^(?:[\p{L}\s.'-]{1,60}<)?(?:mailto:)?([^\s@<>,;:/]+)@([^\s@<>,;:/]+\.[^\s@<>,;.:/]{2,})>?$/iu;
const LINK = /^(?:https?|ftp):\/\/(?:[^\s/@]*@)?([^\s/:?#]+)(\S*)$|^(www\.[^\s/:?#]+)(\S*)$/iu;
/** An address of a page without its scheme: names, a last one of letters, then nothing or a path. */
const BARE_LINK = /^((?:[\p{L}\d](?:[\p{L}\d-]*[\p{L}\d])?\.)+\p{Ll}{2,24})(?::\d+)?([/?#]\S*)?$/u;
const TAGS = /^(?:#[\p{L}\p{M}\p{N}_]+[\s,;·.]*)+$/u;

/**
 * What a text looks like. A guess that a person sees and can change; what has no tell-tale shape is a message. `code`: what is
 * typed for it, if that is known: the same letters in other capitals are a correction.
 */
export function recognise(expansion: string, code = ''): Recognised {
  const text = expansion.trim();
  if (text === '') return { type: 'message' };
  if (code !== '' && isItself(code, text)) return { type: 'correction' };
  if (isCodeBlock(text)) return { type: 'code block' };
  if (text.length > LONGEST) return { type: 'message' };
  const mail = MAIL.exec(text);
  if (mail) return { type: 'mail', local: mail[1]!, domain: mail[2]!.toLowerCase() };
  const link = linkOf(text);
  if (link) return link;
  if (TAGS.test(text)) return { type: 'tags' };
  // A date may look like a number to call: it is asked first.
  if (isDate(text)) return { type: 'date' };
  const phone = phoneOf(text);
  if (phone) return phone;
  if (isSymbol(text)) return { type: 'symbol' };
  if (isAddress(text)) return { type: 'address' };
  return { type: hasOddCapitals(text) ? 'correction' : 'message' };
}

/** The kind a text most likely is; see `recognise`. */
export function guessKind(expansion: string, code = ''): Kind {
  return KIND_OF[recognise(expansion, code).type];
}

function linkOf(text: string): Recognised | null {
  const full = LINK.exec(text);
  if (full) {
    return { type: 'link', host: (full[1] ?? full[3])!.toLowerCase(), path: full[2] ?? full[4] ?? '' };
  }
  const bare = BARE_LINK.exec(text);
  return bare ? { type: 'link', host: bare[1]!, path: bare[2] ?? '' } : null;
}

/** Where a number without its country may be from: where our five languages are spoken most. */
const COUNTRIES: readonly CountryCode[] = ['GB', 'US', 'DE', 'FR', 'ES', 'AT', 'CH', 'IE', 'NL', 'IT', 'MX'];
/** A number to call, with a word before it and an extension behind it at most. */
const PHONE =
  /^(?:(?:tel|telephone|telefon|telefono|teléfono|téléphone|phone|call|mob|mobile|mobil|handy|móvil|cell|fax|t|m|p|f|☎|✆)\s*[.:]*\s*)?((?:\+|00|\()?[\d\s()./\u2011-]{6,24}\d)(?:\s*(?:ext|extension|x|durchwahl|poste|extensión)\.?\s*\d{1,6})?$/iu;
const MOBILE = /^(?:mob|mobil|handy|móvil|cell|m\b)/iu;

function phoneOf(text: string): Recognised | null {
  const number = PHONE.exec(text)?.[1];
  if (number === undefined) return null;
  const digits = number.replaceAll(/\D/gu, '');
  // A price, a count or a year has fewer digits; a card or an account more.
  if (digits.length < 7 || digits.length > 15) return null;
  const isMarked = /^[+(0]|[\s()/-]/u.test(number) || number.length < text.length;
  if (!isMarked || /^\d+[.,]\d{2}$/u.test(number)) return null;
  const dialled = number.replace(/^00/u, '+');
  const isIn = (country: CountryCode) => isPossiblePhoneNumber(dialled, country);
  if (dialled.startsWith('+') ? !isPossiblePhoneNumber(dialled) : !COUNTRIES.some(isIn)) return null;
  return { type: 'phone', isMobile: MOBILE.test(text) || isMobile(dialled) };
}

/** Whether a number is one of mobile phones: by its type where that is known, else as in Britain and Germany. */
function isMobile(number: string): boolean {
  const type = number.startsWith('+') ? parsePhoneNumberFromString(number)?.getType() : undefined;
  return type === 'MOBILE' || /^(?:\+44\s*\(?0?\)?\s*7|07|\+49\s*1[567]|01[567]\d)/u.test(number);
}

/** One to three characters of which none is a usual letter or digit, or a line drawn of one of them. */
function isSymbol(text: string): boolean {
  const characters = clustersOf(text.slice(0, 200)).map((cluster) => cluster.text);
  if (/^[^\p{L}\p{Nd}\s]+$/u.test(text) && (characters.length <= 4 || new Set(characters).size === 1)) return true;
  return countClusters(text) === 1 && !/^[\p{ASCII}]$/u.test(text);
}

const CODE_LINE =
  /^\s*(?:[\w$.]+\s*(?:=|:=|\+=)\s*\S.*[;)\]}"'\d]?|[\w$.]+\(.*\)\s*[;{]?|.*[;{}]\s*|\}.*|<\/?[a-z][^>]*>.*|(?:\/\/|#!|--\s|\/\*).*)$/u;
const CODE_START =
  /^(?:```|<!doctype\b|<\/?[a-z][\w-]*(?:\s[^<>]*)?>|(?:const|let|var|function|def|class|import|from|export|return|public|private|static|void|using|package|if|for|while|try|switch|interface|enum|struct|fn|func)\s+[\w$({"'*]|(?:SELECT|INSERT INTO|UPDATE|DELETE FROM|CREATE TABLE|ALTER TABLE)\s|#include\b|\$\s?\w+|git \w+|npm \w+|sudo \w+|@media\b|[.#]?[\w-]+\s*\{|\{\s*"|\[\s*\{)/u;

/** A text as programs are written: it begins so and has signs of code, or most of its lines have. */
function isCodeBlock(text: string): boolean {
  if (text.startsWith('```') || /^[\w$]+(?:\.[\w$]+)+\(.*\);?$/u.test(text)) return true;
  const lines = text
    .slice(0, 4_000)
    .split('\n')
    .filter((line) => line.trim() !== '');
  const like = lines.filter((line) => CODE_LINE.test(line)).length;
  const signs = text.match(/[;{}()[\]<>=$"'/]/gu)?.length ?? 0;
  const isDense = signs >= 2 && signs * 14 >= Math.min(text.length, 4_000);
  if (CODE_START.test(text) && /[;{}()=<>$"]|^(?:git|npm|sudo)\b|\bFROM\b|\bSET\b|\bINTO\b/u.test(text)) {
    return like > 0 || isDense || /^(?:git|npm|sudo|SELECT|INSERT|UPDATE|DELETE|CREATE|ALTER)\b/u.test(text);
  }
  return lines.length > 1 && like * 3 >= lines.length * 2 && isDense;
}

/** Postcodes: British (and those made up in their form), of the USA and Canada, of the Netherlands, of four and five digits before a town. */
const POSTCODE =
  /\b[A-Z]{1,2}\d[A-Z\d]?\s?\d[A-Z]{2}\b|\b[A-Z]{2}[ ,]+\d{5}(?:-\d{4})?\b|\b[A-Z]\d[A-Z]\s?\d[A-Z]\d\b|\b\d{4}\s?[A-Z]{2}\b|(?:^|[\s,]|\b[A-Z]{1,2}-)\d{4,5},?\s+\p{Lu}\p{L}+/u;
const STREET =
  /\d+[a-z]?,?\s+(?:\p{Lu}[\p{L}.'’-]*\s+){1,4}(?:street|st|road|rd|lane|ln|avenue|ave|drive|dr|close|way|court|ct|square|sq|terrace|boulevard|blvd|place|pl|row|walk|hill|mews|gate)\b\.?|\b(?:the\s)?\p{Lu}\p{L}+(?:\s\p{Lu}\p{L}+)*\s(?:street|road|lane|avenue|drive|ropewalk)\b|\p{L}+(?:straße|strasse|str\.|weg|gasse|platz|allee|ring|ufer|damm)\s\d+|\p{Lu}\p{L}+[\s-](?:straße|strasse|str\.|weg|gasse|platz|allee)\s\d+|\d+(?:\s?(?:bis|ter))?,?\s+(?:rue|avenue|av\.|boulevard|bd|place|chemin|allée|impasse|quai|route)\s|(?:^|\s)(?:calle|c\/|avenida|avda?\.|plaza|paseo|camino|ronda|carretera)\s.*\d|(?:^|\s)(?:via|viale|piazza|corso)\s\p{Lu}.*\d/iu;
const SENTENCE =
  /[\p{Ll}\d][.!?]\s+\p{Lu}[\p{L}’']*\s+\p{Ll}|\b(?:I|you|please|the next|ich|Sie|wir|je|vous|nous|usted)\b\s+\p{Ll}/u;

/** A place that post reaches: a street or several parts, and a postcode; or a street alone in a short text. */
function isAddress(text: string): boolean {
  const parts = text.split(/\n|,\s/u).filter((part) => part.trim() !== '');
  if (parts.length > 8 || text.length > 300 || SENTENCE.test(text)) return false;
  const hasStreet = STREET.test(text);
  if (POSTCODE.test(text)) return hasStreet || parts.length > 1;
  return hasStreet && text.length <= 80 && /\d/u.test(text) && !/[?!:]/u.test(text) && wordsIn(text) <= 9;
}

function wordsIn(text: string): number {
  return text.split(/\s+/u).length;
}

/** A word or a name whose capitals nobody types by themselves: one inside a word, behind a small letter. */
function hasOddCapitals(text: string): boolean {
  return (
    countClusters(text) <= 40 &&
    wordsIn(text) === 1 &&
    /^[\p{L}\p{N}&'’.+-]+$/u.test(text) &&
    /\p{Ll}\p{Lu}/u.test(text)
  );
}

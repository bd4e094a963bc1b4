import { findBadCharacter, type Kind } from '../model';
import type { Fault } from './finding';
import { isWord, nearestCommonWord } from './spelling';
import type { Vocabulary } from './vocabulary';

const BLANK = /[ \t\n\u00a0]/u;
const LINK = /^(https?:\/\/|www\.)/iu;
const PAIRS: Readonly<Record<string, string>> = { '(': ')', '[': ']', '{': '}', '«': '»', '“': '”' };
const CLOSING = new Set(Object.values(PAIRS));
const BRACKETS = /[()[\]{}«»“”]/;
const ASCII = /^[\x00-\x7f]*$/;
const LONG_ASCII = /[A-Za-z][A-Za-z']{4,}/g;
const LONG = /\p{L}[\p{L}\p{M}'’]{4,}/gu;
const WORDS = /\p{L}[\p{L}\p{M}'’]*/gu;

/**
 * What is likely wrong with an expansion. `known`: words that the person uses elsewhere in the list,
 * which are no slips. Linear in its length.
 */
export function faultsOf(
  expansion: string,
  kind: Kind,
  vocabularies: readonly Vocabulary[],
  isKnown: (word: string) => boolean,
): Fault[] {
  const faults: Fault[] = [];
  const end = BLANK.test(expansion.at(-1) ?? '') ? expansion.search(/[ \t\n\u00a0]+$/u) : -1;
  if (end > 0) faults.push({ fault: 'blank at the end', start: end, end: expansion.length, better: '' });
  const isSpaced = kind !== 'code block' && expansion.includes('  ');
  for (const { 0: blanks, index } of isSpaced ? expansion.matchAll(/(?<=\S)  +(?=\S)/gu) : []) {
    faults.push({ fault: 'double space', start: index, end: index + blanks.length, better: ' ' });
  }
  const text = expansion.trim();
  const linkIn = LINK.test(text) ? text.split(/\s/u)[0]! : null;
  const link = kind === 'link' ? text : linkIn;
  if (link !== null && !isLink(link)) {
    faults.push({ fault: 'link that does not parse', start: 0, end: expansion.length });
  }
  if (kind !== 'symbol' && kind !== 'code block' && BRACKETS.test(expansion)) faults.push(...unbalanced(expansion));
  if (kind !== 'link' && kind !== 'tags' && kind !== 'code block' && kind !== 'contact') {
    faults.push(...misspelled(expansion, vocabularies, isKnown));
  }
  return faults.sort((a, b) => a.start - b.start);
}

/** Whether a link leads somewhere: a scheme or www, a host with a dot or a literal, no bad character. */
function isLink(text: string): boolean {
  if (findBadCharacter(text)) return false;
  // RFC 3986, appendix B, with the parts that a link people share must have.
  const parts = /^(?:([a-z][a-z\d+.-]*):)?(?:\/\/([^/?#]*))?([^?#]*)(\?[^#]*)?(#.*)?$/iu.exec(text);
  if (!parts) return false;
  const [, scheme, authority, path] = parts;
  if (/[\s<>"{}|\\^`]/u.test(text) || /%(?![\da-f]{2})/iu.test(text)) return false;
  if (scheme !== undefined && !/^https?$/iu.test(scheme)) return (authority ?? '') + path! !== '';
  const host = (authority ?? (scheme === undefined ? path!.split('/')[0]! : ''))
    .replace(/^.*@/u, '')
    .replace(/:\d*$/u, '');
  const isName = /^(?:[\p{L}\p{N}](?:[\p{L}\p{N}-]*[\p{L}\p{N}])?\.)+\p{L}[\p{L}\p{N}-]*\.?$/u.test(host);
  return (
    isName || /^(\d{1,3}\.){3}\d{1,3}$/u.test(host) || /^\[[\da-f:.]+\]$/iu.test(host) || /^localhost$/iu.test(host)
  );
}

/** The first bracket that is never closed, or closed without having been opened. */
function unbalanced(expansion: string): Fault[] {
  const open: { sign: string; at: number }[] = [];
  for (let at = 0; at < expansion.length; at += 1) {
    const sign = expansion[at]!;
    if (sign in PAIRS) open.push({ sign, at });
    else if (CLOSING.has(sign)) {
      // A face or the letter of a list, a) and b), closes nothing.
      const isFree = /[:;]-?$|(^|\s)[\p{L}\d]{1,2}$/u.test(expansion.slice(Math.max(0, at - 3), at));
      const last = open.at(-1);
      if (last && PAIRS[last.sign] === sign) open.pop();
      else if (!isFree) return [{ fault: 'unbalanced bracket', start: at, end: at + 1 }];
    }
  }
  const first = open.find(({ at }) => !/[:;]-?$/u.test(expansion.slice(Math.max(0, at - 2), at)));
  return first ? [{ fault: 'unbalanced bracket', start: first.at, end: first.at + 1 }] : [];
}

function misspelled(
  expansion: string,
  vocabularies: readonly Vocabulary[],
  isKnown: (word: string) => boolean,
): Fault[] {
  const faults: Fault[] = [];
  // Most texts hold no strange word at all.
  const words = expansion.match(ASCII.test(expansion) ? LONG_ASCII : LONG) ?? [];
  if (words.every((word) => vocabularies.some((vocabulary) => isWord(word, vocabulary)))) return [];
  for (const { 0: word, index } of expansion.matchAll(WORDS)) {
    // Names are written with a capital; parts of addresses and links stand beside such signs.
    const around = (expansion[index - 1] ?? ' ') + (expansion[index + word.length] ?? ' ');
    if (word.length < 5 || /\p{Lu}/u.test(word) || /[@/#_\d\\-]/u.test(around)) continue;
    const plain = word.replaceAll('’', "'");
    if (vocabularies.some((vocabulary) => isWord(plain, vocabulary))) continue;
    const better = vocabularies.map((vocabulary) => nearestCommonWord(plain, vocabulary)).find((near) => near !== null);
    if (better && !isKnown(word))
      faults.push({ fault: 'likely misspelling', start: index, end: index + word.length, better });
  }
  return faults;
}

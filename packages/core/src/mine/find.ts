import { countWords } from '../clash/ownText';
import { WORDS_A_WEEK } from '../clash/vocabulary';
import { oddCapitals, type OddWord } from '../corrections';
import type { InUse } from '../effort';
import { guessKind, SMALL_WORDS } from '../mnemonic';
import { checkExpansion, type Kind } from '../model';
import type { SentMessage } from '../sent';
import { chooseCovering, type Candidate, type Chosen } from './cover';
import { findKnown, phrasesOf, repeatedPhrases, type Again, type Spot } from './phrases';
import { edgesOf, sentencesOf } from './sentences';
import { signsIn } from './signs';
import { joinSlips } from './slips';
import { asCandidates, findTemplates, type FoundTemplate, type Gap } from './templates';
import { concernOf, ownDataIn, type Concern } from './whose';
import { joinMessages, MESSAGE_END, wordRowOf, type WordRow } from './wordRow';
import { Worths } from './worth';

/** What is looked for, and what it is weighed with. */
export interface FindRequest {
  readonly messages: readonly SentMessage[];
  /** The texts of the list that are no templates, by the ids of their shortcuts. */
  readonly list: readonly { readonly id: string; readonly code: string; readonly text: string }[];
  /** BCP 47. */
  readonly languages: readonly string[];
  readonly inUse: readonly InUse[];
  /** A code as a new one of the list would be, with its mark. */
  readonly sampleCode: string;
  /** Whether somebody asked never to be shown it, by its key. */
  readonly isNever?: (key: string) => boolean;
}

/** A place in a message, with what stands around it. */
export interface Excerpt {
  readonly before: string;
  readonly text: string;
  readonly after: string;
  /** When it was sent, in ms since 1970; null: not known. */
  readonly at: number | null;
}

/** Something typed again and again that could be a shortcut. */
export interface Found {
  /** The same for the same words, whatever their case and marks. */
  readonly key: string;
  /** What is typed each time; of a template with what stood in its gaps most often. */
  readonly text: string;
  /** Of a template: what all have in common, and the gaps; null: it is typed as it is. */
  readonly parts: readonly (string | Gap)[] | null;
  readonly kind: Kind;
  readonly count: number;
  /** Minutes a month that a shortcut for it would save. */
  readonly aMonth: number;
  /** Up to three, from the first to the last. */
  readonly places: readonly Excerpt[];
  readonly concern: Concern | null;
}

/** A text of the list that was typed out all the same. */
export interface TypedOut {
  readonly id: string;
  readonly count: number;
  /** Minutes a month that its code would have saved. */
  readonly aMonth: number;
}

export interface Findings {
  /** What saves most first. */
  readonly found: readonly Found[];
  readonly typedOut: readonly TypedOut[];
  /** Words with unusual capitals. */
  readonly capitals: readonly OddWord[];
  readonly messages: number;
  readonly words: number;
  /** From the first to the last message; null: too few say when they were sent. */
  readonly weeks: number | null;
}

/** Typed less often it is not again and again. */
const LEAST = 3;
/** So many phrases and templates are weighed, and so many shown, at most. */
const MOST_WEIGHED = 1_500;
const MOST_SHOWN = 300;
const SHOWN_PLACES = 3;
/** What stands around a place, in UTF-16 units. */
const AROUND = 48;
/** Before a place it is looked for whose number it is, in UTF-16 units. */
const WHOSE = 40;
const A_WEEK = 7 * 24 * 60 * 60 * 1_000;
/** So many messages say when they were sent, or the words are counted. */
const DATED = 0.8;

/**
 * All that somebody typed again and again, weighed on their keyboards. Each step yields how much is done, from 0 to 1, so that
 * other things come in between. Linear but for sorting. Nothing of the messages is kept but what is found.
 */
export function* findingSteps(request: FindRequest): Generator<number, Findings> {
  const { messages, languages, inUse, sampleCode, isNever = () => false } = request;
  const text = joinMessages(messages.map((message) => message.text));
  yield 0.05;
  const written = wordRowOf(text);
  yield 0.3;
  const row = joinSlips(written);
  yield 0.4;
  const sentences = sentencesOf(row);
  const templates = asCandidates(row, findTemplates(row, sentences, languages, LEAST));
  yield 0.55;
  const edges = edgesOf(row, sentences);
  const repeated = repeatedPhrases(row, edges, LEAST);
  yield 0.75;
  const known = findKnown(row, knownTexts(row, request.list));
  const candidates: readonly Candidate<Again | FoundTemplate>[] = [...repeated, ...templates];
  const chosen = chooseCovering(row, candidates, known.covered, LEAST);
  yield 0.85;
  const weeks = weeksOf(messages);
  const words = countWords(text);
  const aWeekOf = (count: number) => (weeks === null ? (count / words) * WORDS_A_WEEK : count / weeks);
  const worths = new Worths(sampleCode, inUse);
  const own = ownDataIn([...messages.flatMap(({ from }) => from ?? []), ...request.list.map((one) => one.text)]);
  const where = new Excerpts(text, messages);
  const found: Found[] = [];
  const add = (one: Omit<Found, 'aMonth' | 'places' | 'concern' | 'kind'>, places: readonly Spot[], isSign = false) => {
    const blanks = one.parts?.filter((part) => typeof part !== 'string').length ?? 0;
    const typed = one.parts ? one.parts.filter((part) => typeof part === 'string').join('') : one.text;
    const { perUse, aMonth } = worths.of(typed, aWeekOf(one.count), blanks);
    if (perUse <= 0 || aMonth <= 0 || isNever(one.key) || checkExpansion(one.text) !== null) return;
    const guessed = () => (one.parts ? 'message' : guessKind(one.text));
    const kind = isSign ? 'symbol' : guessed();
    const before = places.slice(0, 20).map(({ start }) => where.before(start));
    found.push({ ...one, kind, aMonth, places: where.of(places), concern: concernOf(one.text, kind, before, own) });
  };
  const phrases = phrasesOf(row, edges, chosen.filter(isAgain)).slice(0, MOST_WEIGHED);
  for (const { text: one, count, places, isWhole } of phrases)
    if (isWhole || !isEveryday(one)) add({ key: keyOf(one), text: one, parts: null, count }, places);
  for (const { what, stretches } of chosen.filter(isTemplate).slice(0, MOST_WEIGHED)) {
    const { parts } = what;
    const places = stretches.map(({ from, to }) => ({ start: row.starts[from]!, end: row.ends[to - 1]! }));
    add({ key: keyOfParts(parts), text: filledIn(parts), parts, count: places.length }, places);
  }
  const have = new Set(request.list.map((one) => one.text));
  for (const sign of signsIn(text)) {
    const { length: count } = sign.places;
    if (count < LEAST || have.has(sign.text) || !worths.isFetched(sign.text)) continue;
    const places = sign.places.map((start) => ({ start, end: start + sign.text.length }));
    add({ key: sign.text, text: sign.text, parts: null, count }, places, true);
  }
  yield 0.95;
  const codes = new Set(request.list.map(({ code }) => code.toLowerCase()));
  const texts = new Map(request.list.map((one) => [one.id, one.text]));
  return {
    found: onceEach(found)
      .sort((a, b) => b.aMonth - a.aMonth)
      .slice(0, MOST_SHOWN),
    typedOut: [...known.counts]
      .map(([id, count]): TypedOut => ({ id, count, aMonth: worths.ofKnown(texts.get(id)!, aWeekOf(count)) }))
      .filter(({ aMonth }) => aMonth > 0)
      .sort((a, b) => b.aMonth - a.aMonth),
    capitals: oddCapitals(text.replaceAll(MESSAGE_END, '\n')).filter((one) => !codes.has(one.text.toLowerCase())),
    messages: messages.length,
    words,
    weeks,
  };
}

/** Found in one go; see `findingSteps`. */
export function findTypedAgain(request: FindRequest): Findings {
  const steps = findingSteps(request);
  for (;;) {
    const step = steps.next();
    if (step.done) return step.value;
  }
}

/** Rows of so few words are parts of everyday sentences where one of them says little. */
const FEW_WORDS = 3;

/** Whether a part of a sentence is what anybody writes all the time: of the, in one place. */
function isEveryday(text: string): boolean {
  const words = text.toLowerCase().match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];
  return words.length <= FEW_WORDS && words.some((word) => SMALL_WORDS.has(word)) && !/[@#/\d]/u.test(text);
}

/** The same for the same words, whatever their case and marks. */
export function keyOf(text: string): string {
  const { words, keys, firstBreak } = wordRowOf(text);
  return [...words].map((word) => (word < firstBreak ? keys[word] : '')).join(' ');
}

function keyOfParts(parts: FoundTemplate['parts']): string {
  return parts.map((part) => (typeof part === 'string' ? keyOf(part) : '_')).join(' ');
}

/** A template with what stood in its gaps most often. */
function filledIn(parts: FoundTemplate['parts']): string {
  return parts.map((part) => (typeof part === 'string' ? part : (part.values[0]?.text ?? ''))).join('');
}

/** Shorter texts of a list are words of everyday sentences, in characters. */
const SHORTEST_KNOWN = 6;

/** Of a word that nobody sent. */
const NOT_THERE = -1;

/** The texts of a list as words of a row, those that can stand in it. */
function knownTexts(row: WordRow, list: FindRequest['list']) {
  const numbers = new Map(row.keys.map((key, number) => [key, number]));
  return list.flatMap(({ id, text }) => {
    if (text.trim().length < SHORTEST_KNOWN) return [];
    const { words, keys } = wordRowOf(joinMessages([text]));
    const inRow = Array.from(words, (word) => numbers.get(keys[word]!) ?? NOT_THERE);
    return inRow.length === 0 || inRow.includes(NOT_THERE) ? [] : [{ id, words: Int32Array.from(inRow) }];
  });
}

function isTemplate(one: Chosen<Again | FoundTemplate>): one is Chosen<FoundTemplate> {
  return 'parts' in one.what;
}

function isAgain(one: Chosen<Again | FoundTemplate>): one is Chosen<Again> {
  return !isTemplate(one);
}

/** The last of sorted numbers that is no greater; -1: none. */
function lastAtMost(sorted: readonly number[], number: number): number {
  let low = 0;
  let high = sorted.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sorted[middle]! <= number) low = middle + 1;
    else high = middle;
  }
  return low - 1;
}

/** From the first message to the last, in weeks, one at least; null: too few say when they were sent. */
function weeksOf(messages: readonly SentMessage[]): number | null {
  const moments = messages.flatMap(({ at }) => at ?? []);
  if (moments.length < DATED * messages.length || moments.length < 2) return null;
  let [first, last] = [Infinity, -Infinity];
  for (const at of moments) {
    first = Math.min(first, at);
    last = Math.max(last, at);
  }
  return Math.max(1, (last - first) / A_WEEK);
}

function onceEach(found: readonly Found[]): Found[] {
  const byKey = new Map<string, Found>();
  for (const one of found) if ((byKey.get(one.key)?.count ?? 0) < one.count) byKey.set(one.key, one);
  return [...byKey.values()];
}

/** What stands around places of a text of messages. */
class Excerpts {
  private readonly starts: number[] = [0];

  constructor(
    private readonly text: string,
    private readonly messages: readonly SentMessage[],
  ) {
    for (let at = text.indexOf(MESSAGE_END); at >= 0; at = text.indexOf(MESSAGE_END, at + 1)) this.starts.push(at + 1);
  }

  /** What stands before a place, in its message. */
  before(start: number): string {
    return this.text.slice(Math.max(this.messageAt(start).from, start - WHOSE), start);
  }

  /** Up to three places, from the first to the last, in different messages if they can be. */
  of(places: readonly Spot[]): Excerpt[] {
    const chosen = new Map<number, Excerpt>();
    const steps = Math.min(SHOWN_PLACES, places.length);
    for (let step = 0; step < steps; step += 1) {
      const { start, end } = places[Math.round((step * (places.length - 1)) / Math.max(1, steps - 1))]!;
      const { index, from, to } = this.messageAt(start);
      if (chosen.has(index)) continue;
      chosen.set(index, {
        before: edge(this.text.slice(Math.max(from, start - AROUND), start), start - AROUND > from, 'before'),
        text: this.text.slice(start, end),
        after: edge(this.text.slice(end, Math.min(to, end + AROUND)), end + AROUND < to, 'after'),
        at: this.messages[index]!.at,
      });
    }
    return [...chosen.values()];
  }

  private messageAt(at: number): { index: number; from: number; to: number } {
    const index = lastAtMost(this.starts, at);
    return { index, from: this.starts[index]!, to: (this.starts[index + 1] ?? this.text.length + 1) - 1 };
  }
}

/** A stretch that is cut off, at a word where it can be. */
function edge(text: string, isCut: boolean, side: 'before' | 'after'): string {
  if (!isCut) return text;
  return side === 'before' ? `…${text.replace(/^\S*\s/u, '')}` : `${text.replace(/\s\S*$/u, '')}…`;
}

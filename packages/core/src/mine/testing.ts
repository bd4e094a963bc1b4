/** Messages with phrases and sentences planted in them, for tests and figures. */
import { randomNumbers } from '../learn/testing';
import type { SentMessage } from '../sent';

export interface Planted {
  readonly messages: readonly SentMessage[];
  /** What was strewn in again and again. */
  readonly phrases: readonly string[];
  /** Sentences with {}, where something else stands each time. */
  readonly templates: readonly string[];
}

const A_MESSAGE = 5;
/** One planted sentence in so many has a slip. */
const SLIP_IN = 12;

/**
 * Phrases and templates made of words of a text, each strewn into it 5 to 14 times, with slips; the same for the same seed. Every
 * message is some sentences of the text and one that was planted, in other capitals or with another mark now and then.
 */
export function plant(text: string, phraseCount: number, templateCount: number, seed: number): Planted {
  const random = randomNumbers(seed);
  const upTo = (count: number) => Math.floor(random() * count);
  const words = [...new Set(text.toLowerCase().match(/\b[a-z]{3,9}\b/gu))];
  const sentences = text.split(/(?<=[.!?])\s+/u).filter((one) => one.length > 10);
  const row = (count: number) => Array.from({ length: count }, () => words[upTo(words.length)]!);
  const capital = (one: string) => one[0]!.toUpperCase() + one.slice(1);
  const phrases = Array.from({ length: phraseCount }, () => `${capital(row(5 + upTo(10)).join(' '))}.`);
  const templates = Array.from({ length: templateCount }, () => {
    const gaps = 1 + upTo(3);
    const pieces = Array.from({ length: gaps + 1 }, () => row(3 + upTo(3)).join(' '));
    return `${capital(pieces.join(' {} '))}.`;
  });
  const strewn = [...phrases, ...templates].flatMap((one) =>
    Array.from({ length: 5 + upTo(10) }, () => {
      const filled = one.replaceAll('{}', () => capital(row(1)[0]!));
      const slipped = upTo(SLIP_IN) === 0 ? withSlip(filled, upTo) : filled;
      if (upTo(10) === 0) return slipped.toLowerCase();
      return upTo(10) === 0 ? slipped.replace(/\.$/u, '!') : slipped;
    }),
  );
  for (let at = strewn.length - 1; at > 0; at -= 1) {
    const other = upTo(at + 1);
    [strewn[at], strewn[other]] = [strewn[other]!, strewn[at]!];
  }
  const messages = strewn.map((one, at): SentMessage => {
    const around = sentences.slice(at * A_MESSAGE, (at + 1) * A_MESSAGE);
    around.splice(upTo(around.length + 1), 0, one);
    return { text: around.join(' '), at: null, from: null };
  });
  return { messages, phrases, templates };
}

/** Two letters in turn, one left out or one doubled, in one of the longer words. */
function withSlip(text: string, upTo: (count: number) => number): string {
  const long = [...text.matchAll(/[a-z]{5,}/gu)];
  if (long.length === 0) return text;
  const { 0: word, index } = long[upTo(long.length)]!;
  const at = 1 + upTo(word.length - 2);
  const slips = [
    word.slice(0, at) + word[at + 1]! + word[at]! + word.slice(at + 2),
    word.slice(0, at) + word.slice(at + 1),
    word.slice(0, at) + word[at]! + word.slice(at),
  ];
  return text.slice(0, index) + slips[upTo(3)]! + text.slice(index + word.length);
}

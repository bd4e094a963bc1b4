/** Finding what was typed again and again, beside a plain count of all rows of up to eight words with a Map. */
import { spawnSync } from 'node:child_process';

import { findTypedAgain, joinMessages, type FindRequest } from '@yellow-latch/core/mine';
import { keyboardFrom, LAYOUTS } from '@yellow-latch/core/effort/layouts';
import { profileOf } from '@yellow-latch/core/profile';
import type { SentMessage } from '@yellow-latch/core/sent';

import { brownText } from './brown';
import { median, round, timesInTurn, type Figure } from './measure';

const MB = 1_000_000;
const LONGEST_ROW = 8;
/** A message has so many characters. */
const A_MESSAGE = 600;

/** Prose as messages with a stock sentence in every tenth, `size` characters in all; a corpus that is shorter is copied with other words in it. */
function messagesOf(size: number): SentMessage[] {
  const text = brownText(Math.min(size, 5 * MB), __filename);
  const messages: SentMessage[] = [];
  for (let at = 0; at < size; at += A_MESSAGE) {
    const from = at % (text.length - A_MESSAGE);
    const copy = Math.floor(at / (text.length - A_MESSAGE));
    const one = text.slice(from, from + A_MESSAGE);
    // Every third word of a copy is another: a corpus ten times as long repeats about as much.
    const said = copy === 0 ? one : one.replaceAll(/(\S+ \S+ )(\p{L}+)/gu, `$1$2${'qxzvwk'[copy % 6]}${copy}`);
    const stock =
      messages.length % 10 === 0 ? `\nThis is what number ${messages.length % 70} always says to everybody.` : '';
    messages.push({ text: said + stock, at: null, from: null });
  }
  return messages;
}

function requestFor(messages: readonly SentMessage[]): FindRequest {
  const keyboard = keyboardFrom('phone-en', LAYOUTS['phone-en']!);
  return {
    messages,
    list: [],
    languages: ['en'],
    inUse: [{ keyboard, share: 1, pace: 1, device: profileOf('phone-list') }],
    sampleCode: ';abc',
  };
}

/** Runs the finder, which must find what was put there. */
function find(request: FindRequest): void {
  if (findTypedAgain(request).found.length === 0) throw new Error('the stock sentences were not found');
}

/** How often each row of one to eight words stands there: what a developer would write first. */
function countRows(text: string): number {
  const counts = new Map<string, number>();
  const words = text.toLowerCase().match(/[\p{L}\p{N}\p{M}]+/gu) ?? [];
  for (let from = 0; from < words.length; from += 1) {
    let row = '';
    for (let length = 1; length <= LONGEST_ROW && from + length <= words.length; length += 1) {
      row = length === 1 ? words[from]! : `${row} ${words[from + length - 1]!}`;
      counts.set(row, (counts.get(row) ?? 0) + 1);
    }
  }
  let again = 0;
  for (const count of counts.values()) if (count >= 3) again += 1;
  return again;
}

/** The most memory that a process held while it did one of the two, beside what it began with, in MB. */
function peakOf(work: 'find' | 'count'): number {
  const { stdout } = spawnSync(process.execPath, ['--expose-gc', __filename, 'mine', '--json'], {
    encoding: 'utf8',
    stdio: ['ignore', 'pipe', 'inherit'],
    env: { ...process.env, [ONLY]: work },
  });
  return Number(stdout);
}

const ONLY = 'MINE_ONLY';

/** Does one of the two and prints the most memory held. */
function measurePeak(work: string): void {
  const messages = messagesOf(5 * MB);
  const text = joinMessages(messages.map((message) => message.text));
  globalThis.gc!();
  const before = process.memoryUsage.rss();
  if (work === 'find') find(requestFor(messages));
  else countRows(text);
  process.stdout.write(String((process.resourceUsage().maxRSS * 1_024 - before) / MB));
}

export function mine(): Figure[] {
  const only = process.env[ONLY];
  if (only !== undefined) {
    measurePeak(only);
    return [];
  }
  const small = messagesOf(5 * MB);
  const text = joinMessages(small.map((message) => message.text));
  const request = requestFor(small);
  const [ours, plain] = timesInTurn(3, [() => find(request), () => void countRows(text)]);
  const [memory, plainMemory] = [peakOf('find'), peakOf('count')];
  const large = requestFor(messagesOf(50 * MB));
  const before = performance.now();
  find(large);
  const ofLarge = performance.now() - before;
  const time = median(ours!) / median(plain!);
  const growth = ofLarge / median(ours!);
  return [
    {
      name: 'mine',
      what: 'what is typed again and again found in 5 MB of prose',
      ours: Math.round(median(ours!)),
      unit: 'ms',
      peer: `all rows of up to eight words counted with a Map: ${Math.round(median(plain!))} ms`,
      ratio: round(time),
      bar: '≤ 2×',
      holds: time <= 2,
    },
    {
      name: 'mine-memory',
      what: 'the most memory held while it is',
      ours: Math.round(memory),
      unit: 'MB',
      peer: `the Map of all rows: ${Math.round(plainMemory)} MB`,
      ratio: round(memory / plainMemory),
      bar: '≤ 0.5×',
      holds: memory * 2 <= plainMemory,
    },
    {
      name: 'mine-growth',
      what: 'the same in 50 MB',
      ours: Math.round(ofLarge),
      unit: 'ms',
      peer: `in 5 MB: ${Math.round(median(ours!))} ms`,
      ratio: round(growth),
      bar: '≤ 12×',
      holds: growth <= 12,
    },
  ];
}

/** What is typed again and again found in so many characters. */
export function mineOf(size: number): () => void {
  const request = requestFor(messagesOf(size));
  return () => find(request);
}

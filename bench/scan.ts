import { AhoCorasick as Monyone } from '@monyone/aho-corasick';
import Classic from 'ahocorasick';
import Modern from 'modern-ahocorasick';

import { CompiledList, hasEdgeBefore, isDelimiter, madeOf, type FiringEntry } from '../packages/core/src/fire';
import { DEVICE_PROFILES, THIS_APP, type DeviceProfile } from '../packages/core/src/profile';
import { brownText } from './brown';
import { madeUpList } from './lists';
import { median, ratioOf, round, timesInTurn, type Figure } from './measure';

const CODES = 10_000;

/** Codes people would make of this text, so that many are found: 6,000 made up, the rest its words. */
function listFor(text: string): FiringEntry[] {
  const made = madeUpList(6_000);
  const words = [...new Set(text.toLowerCase().match(/[a-z]{4,9}/g))].filter((_, i) => i % 3 === 0);
  const codes = new Set(made.map(({ code }) => code));
  for (const word of words) {
    if (codes.size === CODES) break;
    codes.add(word);
  }
  return [...codes].map((code, i) => ({ ...made[0]!, code, id: i.toString(36).padStart(8, '0') }));
}

/** The rules a package knows nothing of: edges, delimiters, and of each end the longest. */
function tally(text: string) {
  const startOf = new Int32Array(text.length + 1).fill(-1);
  let count = 0;
  let sum = 0;
  return {
    meet(start: number, end: number): void {
      if (end < text.length && !isDelimiter(text[end]!)) return;
      if (!hasEdgeBefore(text, start, 'word')) return;
      if (startOf[end]! >= 0 && startOf[end]! <= start) return;
      if (startOf[end]! < 0) count += 1;
      else sum -= startOf[end]!;
      startOf[end] = start;
      sum += start;
    },
    result: () => `${count} places, starts summing to ${sum}`,
  };
}

export function scan(): Figure[] {
  const text = brownText(2_000_000, __filename);
  const phone = { ...DEVICE_PROFILES['phone-list'], builtIn: [] };
  return [
    figure({ name: 'scan', what: 'of text', profile: THIS_APP, typed: text, made: text, bar: 12 }),
    // A package must be given what the device makes of the text: with each run the rules of the phone, written plainly, are run as well. It searches
    // in it but for what is not ASCII, at which the fastest takes minutes.
    figure({
      name: 'scan-made',
      what: 'of text, made as a phone makes it while it is typed,',
      profile: phone,
      typed: text,
      made: inAscii(madeOf(text, phone)!.text),
      make: plainlyMade,
      bar: 5,
    }),
  ];
}

const inAscii = (text: string) =>
  text
    .replace(/[\u2018\u2019]/gu, "'")
    .replace(/[\u201c\u201d]/gu, '"')
    .replaceAll('\u2014', ';')
    .replaceAll('\u2026', '.');

/** What the phone makes of quotes, hyphens, full stops and two spaces; its capitals are nothing to codes that ignore them. */
function plainlyMade(text: string): string {
  return text
    .replace(/(^|[\s([{\u2018\u201c])"/gu, '$1\u201c')
    .replaceAll('"', '\u201d')
    .replace(/(^|[\s([{\u2018\u201c])'/gu, '$1\u2018')
    .replaceAll("'", '\u2019')
    .replaceAll('--', '\u2014')
    .replaceAll('...', '\u2026')
    .replace(/([\p{L}\p{N}]) {2}/gu, '$1. ');
}

interface Scanned {
  readonly name: string;
  readonly what: string;
  readonly profile: DeviceProfile;
  readonly typed: string;
  readonly made: string;
  /** The plain way to it, whose time is the packages' too. */
  readonly make?: (typed: string) => string;
  /** How many times the fastest package it should be. */
  readonly bar: number;
}

function figure({ name, what, profile, typed, made: text, make, bar }: Scanned): Figure {
  const entries = listFor(text);
  const keys = entries.map(({ code }) => code.toLowerCase());
  const list = CompiledList.compile(entries, profile);
  const results: string[] = [];
  const peers: [string, () => string][] = [
    ['modern-ahocorasick', peerOf(new Modern(keys), text)],
    // Its double-array backend needs 1.6 s for the first 50,000 characters alone: left out.
    [
      '@monyone/aho-corasick',
      (() => {
        const automaton = new Monyone(keys);
        return () => {
          const found = tally(text);
          for (const { begin, end } of automaton.matchInText(text.toLowerCase())) found.meet(begin, end);
          return found.result();
        };
      })(),
    ],
    [
      'ahocorasick',
      (() => {
        const automaton = new Classic(keys);
        return () => {
          const found = tally(text);
          for (const [last, codes] of automaton.search(text.toLowerCase())) {
            for (const code of codes) found.meet(last + 1 - code.length, last + 1);
          }
          return found.result();
        };
      })(),
    ],
  ];
  const ours = () => {
    let count = 0;
    let sum = 0;
    list.scanEach(typed, (start) => {
      count += 1;
      sum += start;
    });
    // Places of the typed text are others than those of the made one.
    return typed === text ? `${count} places, starts summing to ${sum}` : `${count} places`;
  };
  let madeLength = 0;
  const making = () => (madeLength = make ? make(typed).length : 0);
  const runs = [ours, ...peers.map(([, run]) => run)].map(
    (run) => () => results.push(typed === text ? run() : run().split(',')[0]!),
  );
  const [makings, ...rounds] = timesInTurn(15, [making, ...runs]) as [number[], ...number[][]];
  if (make && madeLength !== madeOf(typed, profile)!.text.length)
    throw new Error(`made plainly it is ${madeLength} long`);
  if (make) for (const times of rounds.slice(1)) times.forEach((time, i) => (times[i] = time + makings[i]!));
  if (new Set(results).size !== 1) throw new Error(`results differ: ${[...new Set(results)].join(' / ')}`);
  const [own, ...others] = rounds.map(median) as [number, ...number[]];
  const fastest = others.indexOf(Math.min(...others));
  // Round by round, since the machine is now fast, now slow: what ran side by side is compared.
  const { ratio, spread } = ratioOf(rounds[fastest + 1]!, rounds[0]!);
  const speed = (time: number) => round(typed.length / time / 1_000);
  return {
    name,
    what: `${typed.length / 1e6} MB ${what} for ${CODES.toLocaleString('en')} codes, folding and edges included (${results[0]})`,
    ours: speed(own),
    peer: `${peers.map(([name], i) => `${name} ${speed(others[i]!)}`).join(', ')}${make ? `; making included, ${round(median(makings))} ms` : ''}`,
    ratio,
    spread,
    unit: 'million characters a second',
    bar: `≥ ${bar} × the fastest (${peers[fastest]![0]})`,
    holds: ratio >= bar,
  };
}

function peerOf(automaton: Modern, text: string): () => string {
  return () => {
    const found = tally(text);
    for (const { start, end } of automaton.search(text.toLowerCase(), { strategy: 'all' })) found.meet(start, end);
    return found.result();
  };
}

/** So many characters scanned for 10,000 codes. */
export function scanOf(length: number): () => void {
  const text = brownText(length, __filename);
  const list = CompiledList.compile(listFor(text), THIS_APP);
  return () => {
    let found = 0;
    list.scanEach(text, () => (found += 1));
    if (found === 0) throw new Error('nothing was found');
  };
}

import { CompiledList, type FiringEntry } from '../packages/core/src/fire';
import { THIS_APP } from '../packages/core/src/fit';
import { pick, randomFrom } from '../packages/core/src/fire/testing';
import { brownText } from './brown';
import { madeUpList } from './lists';
import { medianTime, medianTimes, memoryInUse, round, type Figure } from './measure';

const STROKES = 20_000;
const DRAFT = 50_000;

/** A draft in which every twelfth word is a code of the list, and the carets of a person typing it. */
function draftOf(list: readonly FiringEntry[], seed: number): { text: string; carets: number[] } {
  const random = randomFrom(seed);
  const words = brownText(DRAFT, __filename).split(' ');
  const text = words
    .map((word, index) => (index % 12 === 0 ? pick(random, list).code : word))
    .join(' ')
    .slice(0, DRAFT);
  const carets = Array.from({ length: STROKES }, (_, i) => 1 + ((i * 7) % (text.length - 1)));
  return { text, carets };
}

/** The plain way: for every length a code may have, look the end of the text up in a map. */
function baseline(list: readonly FiringEntry[]) {
  const byCode = new Map<string, FiringEntry>();
  const byBeginning = new Map<string, FiringEntry[]>();
  let longest = 0;
  const inOrder = [...list].sort((a, b) => b.uses - a.uses || a.code.length - b.code.length);
  for (const item of inOrder) {
    const key = item.code.toLowerCase();
    byCode.set(key, item);
    longest = Math.max(longest, key.length);
    for (let length = 1; length <= key.length; length += 1) {
      const beginning = key.slice(0, length);
      const offers = byBeginning.get(beginning);
      if (!offers) byBeginning.set(beginning, [item]);
      else if (offers.length < 8) offers.push(item);
    }
  }
  return (text: string, caret: number) => {
    let found = 0;
    for (let length = 1; length <= Math.min(longest, caret); length += 1) {
      const end = text.slice(caret - length, caret).toLowerCase();
      if (byCode.has(end)) found += 1;
      found += byBeginning.get(end)?.length ?? 0;
    }
    return found;
  };
}

/** One keystroke: what fires at the caret, and what is offered. */
export function keystroke(): Figure[] {
  const large = madeUpList(100_000);
  const small = madeUpList(1_000);
  const compiled = CompiledList.compile(large, THIS_APP);
  const compiledSmall = CompiledList.compile(small, THIS_APP);
  const plain = baseline(large);
  const draft = draftOf(large, 1);
  const draftSmall = draftOf(small, 1);
  let sink = 0;
  const strike = (list: CompiledList, { text, carets }: typeof draft) => () => {
    for (const caret of carets) {
      sink += list.matchesEndingAt(text, caret).length + list.offersFor(text, caret, 8).length;
    }
  };
  const [ours, atSmall, peer] = medianTimes(9, [
    strike(compiled, draft),
    strike(compiledSmall, draftSmall),
    () => {
      for (const caret of draft.carets) sink += plain(draft.text, caret);
    },
  ]) as [number, number, number];
  if (sink === 0) throw new Error('nothing was found');
  const perStroke = (time: number) => round((time * 1_000) / STROKES);

  const added = madeUpList(1_000, 99).map((item) => ({ ...item, id: `z${item.id}`, code: `${item.code}~` }));
  let overlaid = compiled;
  const adding = medianTime(1, () => {
    overlaid = compiled;
    for (const item of added) overlaid = overlaid.with({ put: [item] });
  });

  const before = memoryInUse();
  const kept = CompiledList.compile(large, THIS_APP);
  const bytes = (memoryInUse() - before) / large.length;
  if (kept.overlaySize !== 0 || overlaid.overlaySize === 0) throw new Error('overlay');

  return [
    {
      name: 'keystroke',
      what: 'one keystroke, offers included: 50,000 characters, 100,000 shortcuts',
      ours: perStroke(ours),
      peer: `${perStroke(peer)} µs, Map look-ups over all lengths`,
      ratio: round(peer / ours),
      unit: 'µs',
      bar: '≥ 8',
      holds: peer / ours >= 8,
    },
    {
      name: 'keystroke-growth',
      what: 'the same beside its own cost at 1,000 shortcuts',
      ours: perStroke(ours),
      peer: `${perStroke(atSmall)} µs`,
      ratio: round(ours / atSmall),
      unit: 'µs',
      bar: '≤ 1.5',
      holds: ours / atSmall <= 1.5,
    },
    {
      name: 'keystroke-add',
      what: 'adding one code to 100,000, up to 1,000 times',
      ours: round(adding / added.length, 2),
      peer: '1 ms',
      ratio: round(adding / added.length, 2),
      unit: 'ms',
      bar: '≤ 1',
      holds: adding / added.length <= 1,
    },
    {
      name: 'keystroke-memory',
      what: 'memory for each code beyond the list it was made from',
      ours: round(bytes),
      peer: '100 bytes',
      ratio: round(bytes / 100),
      unit: 'bytes',
      bar: '≤ 1',
      holds: bytes <= 100,
    },
  ];
}

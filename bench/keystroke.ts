import { CompiledList, hasEdgeBefore, type FiringEntry } from '../packages/core/src/fire';
import { THIS_APP } from '../packages/core/src/profile';
import { pick, randomFrom } from '../packages/core/src/fire/testing';
import { brownText } from './brown';
import { madeUpList } from './lists';
import { median, medianTime, memoryInUse, ratioOf, round, timesInTurn, type Figure } from './measure';

export const STROKES = 20_000;
const DRAFT = 50_000;

/** A draft in which every twelfth word is a code of the list, and the carets of a person typing it. */
interface Draft {
  text: string;
  carets: number[];
}

function draftOf(list: readonly FiringEntry[], seed: number): Draft {
  const random = randomFrom(seed);
  const words = brownText(DRAFT, __filename).split(' ');
  const text = words
    .map((word, index) => (index % 12 === 0 ? pick(random, list).code : word))
    .join(' ')
    .slice(0, DRAFT);
  const carets = Array.from({ length: STROKES }, (_, i) => 1 + ((i * 7) % (text.length - 1)));
  return { text, carets };
}

/**
 * The plain way to the same answer: for every length a code may have, look the end of the text up in
 * a map, and where something is found test its edge; offers of every beginning are made beforehand.
 */
function baseline(list: readonly FiringEntry[]) {
  const byCode = new Map<string, FiringEntry>();
  const byBeginning = new Map<string, FiringEntry[]>();
  let longest = 0;
  const inOrder = (a: FiringEntry, b: FiringEntry) =>
    b.uses - a.uses || a.code.length - b.code.length || (a.code < b.code ? -1 : 1);
  for (const item of [...list].sort(inOrder)) {
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
    const matches: FiringEntry[] = [];
    const offers: FiringEntry[] = [];
    let beginnings = 0;
    for (let length = Math.min(longest, caret); length > 0; length -= 1) {
      const start = caret - length;
      const end = text.slice(start, caret).toLowerCase();
      const whole = byCode.get(end);
      const longer = byBeginning.get(end);
      if ((!whole && !longer) || !hasEdgeBefore(text, start, 'word')) continue;
      if (whole) matches.push(whole);
      if (!longer) continue;
      beginnings += 1;
      offers.push(...longer);
    }
    matches.sort(inOrder);
    // What one beginning offers is in order already, but for a whole code.
    const isWhole = (item: FiringEntry) => matches.includes(item);
    if (beginnings > 1) offers.sort((a, b) => Number(isWhole(b)) - Number(isWhole(a)) || inOrder(a, b));
    const best = matches.length === 0 ? offers : [...matches, ...offers.filter((item) => !isWhole(item))];
    if (best.length > 8) best.length = 8;
    return { matches, offers: best };
  };
}

/** Both ways must answer alike before they are measured. */
function compare(list: CompiledList, plain: ReturnType<typeof baseline>, { text, carets }: Draft): void {
  const ids = (items: readonly { id: string }[]) => items.map(({ id }) => id).join(' ');
  for (const caret of carets) {
    const answer = plain(text, caret);
    const place = list.at(text, caret);
    const matches = place.matches().map(({ entry }) => entry);
    const offers = place.offers(8).map(({ entry }) => entry);
    const isSame =
      ids(offers) === ids(answer.offers) &&
      ids(matches) === ids([...answer.matches].sort((a, b) => b.code.length - a.code.length));
    if (!isSame) throw new Error(`answers differ at ${caret}: ${ids(offers)} / ${ids(answer.offers)}`);
  }
}

/**
 * Carets of `small` at which as much is found as at those of `large`: what the size of a list costs is
 * told apart from what it costs to hand over more offers.
 */
function alike(large: Draft, list: CompiledList, small: Draft, smallList: CompiledList, seed: number): [Draft, Draft] {
  const random = randomFrom(seed);
  const found = (of: CompiledList, text: string, caret: number) => {
    const place = of.at(text, caret);
    return place.matches().length * 9 + place.offers(8).length;
  };
  const bySize = new Map<number, number[]>();
  for (const caret of small.carets) {
    const size = found(smallList, small.text, caret);
    bySize.set(size, [...(bySize.get(size) ?? []), caret]);
  }
  const pairs = large.carets.flatMap((caret) => {
    const equal = bySize.get(found(list, large.text, caret));
    return equal ? [[caret, pick(random, equal)] as const] : [];
  });
  return [
    { text: large.text, carets: pairs.map(([caret]) => caret) },
    { text: small.text, carets: pairs.map(([, caret]) => caret) },
  ];
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
  compare(compiled, plain, draft);
  let sink = 0;
  const strike =
    (list: CompiledList, { text, carets }: typeof draft) =>
    () => {
      for (const caret of carets) {
        const place = list.at(text, caret);
        sink += place.matches().length + place.offers(8).length;
      }
    };
  const [alikeLarge, alikeSmall] = alike(draft, compiled, draftSmall, compiledSmall, 2);
  const [ours, atLarge, atSmall, peer] = timesInTurn(15, [
    strike(compiled, draft),
    strike(compiled, alikeLarge),
    strike(compiledSmall, alikeSmall),
    () => {
      for (const caret of draft.carets) {
        const { matches, offers } = plain(draft.text, caret);
        sink += matches.length + offers.length;
      }
    },
  ]) as [number[], number[], number[], number[]];
  if (sink === 0) throw new Error('nothing was found');
  const perStroke = (times: number[], { carets } = draft) => round((median(times) * 1_000) / carets.length);
  const [beside, growth] = [ratioOf(peer, ours), ratioOf(atLarge, atSmall)];

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
      peer: `${perStroke(peer)} µs, Map look-ups over all lengths, equal answers`,
      ...beside,
      unit: 'µs',
      bar: '≥ 16',
      holds: beside.ratio >= 16,
    },
    {
      name: 'keystroke-growth',
      what: `the same beside its own cost at 1,000 shortcuts, ${alikeLarge.carets.length} strokes at which as much is found`,
      ours: perStroke(atLarge, alikeLarge),
      peer: `${perStroke(atSmall, alikeSmall)} µs`,
      ...growth,
      unit: 'µs',
      bar: '≤ 1.3',
      limit: 'cost that does not grow: 1',
      holds: growth.ratio <= 1.3,
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

/** `STROKES` keystrokes with so many shortcuts, offers included. */
export function strokesOf(count: number): () => void {
  const entries = madeUpList(count);
  const list = CompiledList.compile(entries, THIS_APP);
  const { text, carets } = draftOf(entries, 1);
  return () => {
    let found = 0;
    for (const caret of carets) {
      const place = list.at(text, caret);
      found += place.matches().length + place.offers(8).length;
    }
    if (found === 0) throw new Error('nothing was found');
  };
}

/** Findings made of what the tables of an audit hold about one shortcut. */
import { heldBy } from '../fire';
import { findSecrets } from '../guard';
import { claimsOn } from './claims';
import { CONTEXT_COUNT } from './contexts';
import { faultsOf } from './faults';
import {
  compareSeverity,
  MOST_EXAMPLES,
  RISKY_CONTEXTS,
  type Finding,
  type PlaceExample,
  type Severity,
  type Slip,
} from './finding';
import type { TextPlace } from './hits';
import type { Device, Item } from './item';
import type { Items } from './items';
import { tryCode } from './reach';
import { trapsOf, type TrapFound } from './traps';
import type { Vocabulary } from './vocabulary';

const ids = (items: readonly { id: string }[]): string[] => items.slice(0, MOST_EXAMPLES).map(({ id }) => id);

/** Twins are tried by typing as long as they are so few. */
const FEW = 8;

/**
 * What becomes of a code that others have too; `twins`: all of them, oldest first. Where they are few
 * the engine tells who loses; of many the older go first.
 */
export function sameCode(item: Item, twins: readonly Item[], devices: readonly Device[]): Finding | null {
  const isFew = twins.length <= FEW;
  const count = isFew ? twins.length - 1 : olderThan(item, twins);
  if (count === 0) return null;
  const others = isFew ? twins.filter((twin) => twin !== item) : twins.slice(0, Math.min(count, MOST_EXAMPLES));
  const winners: string[] = [];
  const blocked = devices.filter((device) => {
    const winner = isFew ? typedWinner(item, others, device) : olderWinner(item, others[0]!, device);
    if (winner !== null) winners.push(winner);
    return winner !== null;
  });
  // Both fire, each as its capitals or its way ask: told once, on the younger.
  if (blocked.length === 0 && twins[0] === item) return null;
  return {
    type: 'same code',
    severity: blocked.length > 0 ? 'breaks' : 'note',
    shortcuts: [item.id, ...ids(others)].slice(0, MOST_EXAMPLES),
    devices: blocked.map(({ profile }) => profile.id),
    count,
    evidence: { winner: winners[0] ?? others[0]!.id },
  };
}

/** The twin that fires when the code of `item` is typed on a device; null: `item` itself. */
function typedWinner(item: Item, others: readonly Item[], { list }: Device): string | null {
  const tried = tryCode(item.entry, list);
  return tried !== null && others.some(({ id }) => id === tried.by) ? tried.by : null;
}

/** The oldest twin, if it goes first on a device whatever is typed. */
function olderWinner(item: Item, oldest: Item, { profile }: Device): string | null {
  const own = heldBy(item.entry, profile);
  const other = heldBy(oldest.entry, profile);
  if (own === null || other === null || own.fires === 'offer') return null;
  return other.fires === own.fires && other.capitals !== 'match' ? other.id : null;
}

/** How many of a group, oldest first, are older than one of it. */
function olderThan(item: Item, group: readonly Item[]): number {
  let low = 0;
  let high = group.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (group[middle]!.id < item.id) low = middle + 1;
    else high = middle;
  }
  return low;
}

export function lookAlike(item: Item, others: readonly Item[]): Finding {
  return {
    type: 'look-alike',
    severity: 'note',
    shortcuts: [item.id, ...ids(others)],
    devices: [],
    count: others.length,
    evidence: null,
  };
}

/** Whether a code that others are hit in can be reached on each device; twins are told of elsewhere. */
export function reachOf(item: Item, devices: readonly Device[], isTwin: (id: string) => boolean): Finding[] {
  const found = devices.flatMap((device) => {
    const tried = tryCode(item.entry, device.list);
    return tried && tried.by !== null && !isTwin(tried.by) ? [{ device, tried }] : [];
  });
  return (['beginning', 'inside'] as const).flatMap((at): Finding[] => {
    const here = found.filter(({ tried }) => tried.at === at);
    const first = here[0];
    if (!first) return [];
    const { typed, result, trace } = first.tried;
    const firesAtStart = here.some(({ tried }) => tried.firesAtStart);
    const by = [...new Set(here.map(({ tried }) => tried.by!))];
    return [
      {
        type: at === 'beginning' ? 'unreachable' : 'broken inside',
        severity: 'breaks',
        shortcuts: [item.id, ...by],
        devices: here.map(({ device }) => device.profile.id),
        count: by.length,
        evidence: { typed, result, trace, firesAtStart },
      },
    ];
  });
}

/**
 * The devices on which a code waits for the key behind it, because others go on from it. What fires at once waits for any
 * that is longer; what fires at a delimiter for those that go on with one.
 */
export function delayed(
  item: Item,
  items: Pick<Items, 'hasLonger' | 'longerThan' | 'countLonger'>,
  devices: readonly Device[],
): Finding | null {
  if (!items.hasLonger(item)) return null;
  const longer = new Map<string, readonly string[]>();
  let isCut = false;
  const waiting = devices.filter(({ profile, list }) => {
    const held = profile.prefix === 'wait' ? heldBy(item.entry, profile) : null;
    if (held === null || held.fires === 'offer') return false;
    const found = held.fires === 'instant' ? items.longerThan(item) : items.longerThan(item, list.isDelimiter);
    isCut ||= held.fires === 'instant' && found.length === MOST_EXAMPLES;
    // A code in whose place nothing fires by itself is waited for by nobody.
    const ids = found.filter(({ entry }) => (heldBy(entry, profile)?.fires ?? 'offer') !== 'offer').map(({ id }) => id);
    if (ids.length > 0) longer.set(profile.id, ids);
    return ids.length > 0;
  });
  if (waiting.length === 0) return null;
  const ids = [...new Set([...longer.values()].flat())];
  return {
    type: 'delayed',
    severity: 'note',
    shortcuts: [item.id, ...ids].slice(0, MOST_EXAMPLES),
    devices: waiting.map(({ profile }) => profile.id),
    // Of many, those that are only offered are counted along.
    count: isCut ? items.countLonger(item) : ids.length,
    evidence: null,
  };
}

/** The codes that go on from one and would no longer fire, and the devices on which they would not. */
export function hides(item: Item, longer: readonly Item[], devices: readonly Device[]): Finding | null {
  const hidden = new Set<string>();
  const on = devices.filter(({ list }) => {
    const here = longer.filter(({ entry }) => tryCode(entry, list)?.by === item.id);
    for (const { id } of here) hidden.add(id);
    return here.length > 0;
  });
  if (hidden.size === 0) return null;
  return {
    type: 'hides',
    severity: 'breaks',
    shortcuts: [item.id, ...hidden].slice(0, MOST_EXAMPLES),
    devices: on.map(({ profile }) => profile.id),
    count: hidden.size,
    evidence: null,
  };
}

/** Where a code fires on one device. */
interface Places {
  readonly device: string;
  readonly count: number;
  readonly places: Iterable<TextPlace>;
}

/** The devices on which it fires at all, and the places of that on which it does so most. */
function worstOf(places: readonly Places[], exampleOf: (place: TextPlace) => PlaceExample) {
  const worst = places.reduce((most, one) => (one.count > most.count ? one : most));
  return {
    devices: places.filter(({ count }) => count > 0).map(({ device }) => device),
    count: worst.count,
    all: Array.from(worst.places, exampleOf),
  };
}

/** `places`: for each device where the code fires in the corpus of contexts. */
export function inContexts(
  item: Item,
  places: readonly Places[],
  exampleOf: (place: TextPlace) => PlaceExample,
): Finding {
  const { devices, count, all } = worstOf(places, exampleOf);
  const byClass: Record<string, number> = {};
  for (const { of } of all) byClass[of] = (byClass[of] ?? 0) + 1;
  const per100 = (count * 100) / CONTEXT_COUNT;
  return {
    type: 'context',
    severity: per100 >= RISKY_CONTEXTS ? 'risky' : 'note',
    shortcuts: [item.id],
    devices,
    count,
    evidence: { per100, byClass, examples: all.slice(0, MOST_EXAMPLES) },
  };
}

/** `places`: for each device where the code fires in the expansions of other shortcuts. */
export function inOwnExpansions(
  item: Item,
  places: readonly Places[],
  exampleOf: (place: TextPlace) => PlaceExample,
): Finding {
  const { devices, count, all } = worstOf(places, exampleOf);
  const examples = all.slice(0, MOST_EXAMPLES);
  return {
    type: 'own expansion',
    severity: 'note',
    shortcuts: [item.id, ...examples.map(({ of }) => of)].slice(0, MOST_EXAMPLES),
    devices,
    count,
    evidence: { examples },
  };
}

export function loop(
  item: Item,
  chains: readonly { readonly device: string; readonly chain: readonly string[] }[],
): Finding {
  const { chain } = chains[0]!;
  return {
    type: 'loop',
    severity: 'breaks',
    shortcuts: [item.id, ...chain.filter((id) => id !== item.id)].slice(0, MOST_EXAMPLES),
    devices: chains.map(({ device }) => device),
    count: chain.length,
    evidence: { chain: chain.slice(0, MOST_EXAMPLES) },
  };
}

export function claimed(item: Item): Finding | null {
  const claims = claimsOn(item.entry.code);
  if (claims.length === 0) return null;
  return {
    type: 'claimed',
    severity: 'note',
    shortcuts: [item.id],
    devices: [],
    count: claims.length,
    evidence: { claims },
  };
}

export function deviceTraps(item: Item, devices: readonly Device[], languages: readonly string[]): Finding | null {
  const found: (TrapFound & { device: string })[] = [];
  for (const { list } of devices) {
    for (const trap of trapsOf(item.entry, list, languages)) found.push({ ...trap, device: list.profile.id });
  }
  if (found.length === 0) return null;
  return {
    type: 'device trap',
    severity: found.reduce<Severity>(
      (worst, { severity }) => (compareSeverity(severity, worst) > 0 ? severity : worst),
      'note',
    ),
    shortcuts: [item.id],
    devices: [...new Set(found.map(({ device }) => device))],
    count: found.length,
    evidence: { traps: found.map(({ trap, device, result }) => ({ trap, device, result })) },
  };
}

export function nearMiss(item: Item, slips: readonly { readonly id: string; readonly slip: Slip }[]): Finding {
  return {
    type: 'near miss',
    severity: 'note',
    shortcuts: [item.id, ...ids(slips)].slice(0, MOST_EXAMPLES),
    devices: [],
    count: slips.length,
    evidence: { slips: slips.slice(0, MOST_EXAMPLES) },
  };
}

/** `twins`: other shortcuts with the same expansion. */
export function faultyExpansion(
  item: Item,
  twins: readonly Item[],
  vocabularies: readonly Vocabulary[],
  isKnown: (word: string) => boolean,
): Finding | null {
  const { expansion } = item.entry;
  const faults = faultsOf(expansion, item.kind, vocabularies, isKnown);
  if (twins.length > 0) faults.push({ fault: 'same expansion', start: 0, end: expansion.length });
  if (faults.length === 0) return null;
  return {
    type: 'faulty expansion',
    severity: faults.some(({ fault }) => fault === 'link that does not parse') ? 'risky' : 'note',
    shortcuts: [item.id, ...ids(twins)].slice(0, MOST_EXAMPLES),
    devices: [],
    count: faults.length,
    evidence: { faults: faults.slice(0, MOST_EXAMPLES) },
  };
}

export function secret(item: Item): Finding | null {
  if (item.shortcut.private) return null;
  const secrets = findSecrets(item.entry.expansion);
  if (secrets.length === 0) return null;
  return {
    type: 'secret',
    severity: 'risky',
    shortcuts: [item.id],
    devices: [],
    count: secrets.length,
    evidence: { secrets },
  };
}

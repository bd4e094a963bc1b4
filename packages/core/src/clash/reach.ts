import { heldBy, keysOf, simulate, type CompiledList, type FiringEntry } from '../fire';
import { separatorOf } from './contextCorpus';
import type { Reach } from './finding';

// Behind it no device raises a letter, and no code stands there.
const LEAD = '— ';

export interface Tried extends Reach {
  readonly at: 'beginning' | 'inside' | 'nowhere';
  readonly by: string | null;
}

/**
 * Types a code as it is written, as on a device, where a word begins, and looks whether it fires: null if it does, else what
 * came instead, and whether it was the code's own beginning that fired first. Elsewhere, behind a letter or with other
 * capitals, it may fire all the same.
 */
export function tryCode(entry: FiringEntry, list: CompiledList): Tried | null {
  const tried = tryBehind(LEAD, entry, list);
  if (tried === null || !list.profile.sentenceCapitals) return tried;
  // Its letter is raised where a sentence begins, which may make another code of it.
  return { ...tried, firesAtStart: tryBehind('', entry, list) === null };
}

function tryBehind(lead: string, entry: FiringEntry, list: CompiledList): Tried | null {
  const held = heldBy(entry, list.profile);
  if (held === null || held.fires === 'offer') return null;
  const typed =
    entry.code + (held.fires === 'delimiter' || list.profile.prefix === 'wait' ? separatorOf(list.profile) : '');
  const { text, trace } = simulate(keysOf(typed), list, list.profile, { explains: false, after: lead });
  const fired = trace.filter(({ rule }) => rule.startsWith('fired') && rule !== 'fired-by-rescan');
  if (fired.some(({ id }) => id === entry.id)) return null;
  const first = fired[0];
  const begins = first !== undefined && typed.startsWith(first.typed!);
  const where = begins ? 'beginning' : 'inside';
  return {
    at: first === undefined ? 'nowhere' : where,
    by: first?.id ?? null,
    typed: entry.code,
    result: text.slice(lead.length),
    firesAtStart: false,
    trace,
  };
}

/**
 * On a device that rescans: the codes whose expansion ends in a code, and so on in a circle; for each
 * the circle from it on. Each expansion is followed once: linear.
 */
export function loopsOf(entries: readonly FiringEntry[], list: CompiledList): Map<string, string[]> {
  const loops = new Map<string, string[]>();
  if (!list.profile.rescans) return loops;
  const next = new Map<string, string>();
  for (const entry of entries) {
    const held = heldBy(entry, list.profile);
    if (held === null || held.fires === 'offer') continue;
    const kept = held.fires === 'delimiter' && held.delimiter === 'keep';
    const match = list
      .at(entry.expansion, entry.expansion.length)
      .matches()
      .find((found) => found.entry.fires === 'instant' || (found.entry.fires === 'delimiter' && kept));
    if (match) next.set(entry.id, match.entry.id);
  }
  for (const start of next.keys()) {
    const chain: string[] = [];
    const seen = new Set<string>();
    let at: string | undefined = start;
    while (at !== undefined && !seen.has(at)) {
      seen.add(at);
      chain.push(at);
      at = next.get(at);
    }
    // What leads into a circle without being of it ends there too, and fires as long.
    if (at !== undefined) loops.set(start, chain);
  }
  return loops;
}

import { clustersOf, LIMITS, matchKey } from '../model';
import { hasEdgeBefore, type Edge } from './edge';
import type { Range } from './range';

/** What firing needs to know of a shortcut. */
export interface FiringEntry {
  readonly id: string;
  readonly code: string;
  readonly expansion: string;
  readonly edge: Edge;
}

/** A code found in a text. */
export interface Match extends Range {
  readonly entry: FiringEntry;
}

/** A list made ready for typing: the face behind which the search structure hides. */
export interface CompiledList {
  /** Codes that end at `caret` and have an edge before them, longest first. */
  matchesEndingAt(text: string, caret: number): Match[];
  /**
   * The earliest place from which `text`, up to `end`, is the beginning of a code (or a whole
   * one) and at which a code may stand; -1 if there is none.
   */
  liveStart(text: string, end: number): number;
}

// A cluster may be long (an emoji family has 11 units); a window must hold a code's worth of them.
const WINDOW = LIMITS.codeCodePoints * 2;
const LONGEST_WALK = 4_096;

/**
 * Compiles a list. Codes are compared cluster by cluster under their match key, so a match never
 * splits a grapheme cluster and a decomposed accent equals a composed one. Of several shortcuts
 * with one match key the oldest fires (ids are UUIDv7 and sort by age).
 *
 * Compiling costs O(n log n) in the number of codes; a look-up costs one map access, and a
 * beginning one binary search, for each cluster before the caret up to the longest code.
 */
export function compileList(entries: Iterable<FiringEntry>): CompiledList {
  const byKey = new Map<string, FiringEntry>();
  let longest = 0;
  for (const entry of entries) {
    const key = matchKey(entry.code);
    const rival = byKey.get(key);
    if (!rival || entry.id < rival.id) byKey.set(key, entry);
    longest = Math.max(longest, clustersOf(entry.code).length);
  }
  const keysOf = (edge: Edge) =>
    [...byKey].flatMap(([key, entry]) => (entry.edge === edge ? [key] : [])).sort();
  const wordKeys = keysOf('word');
  const anywhereKeys = keysOf('anywhere');

  /** The stretches that end at `end`, shortest first, each with the match key of its text. */
  function* stretchesEndingAt(text: string, end: number): Generator<{ start: number; key: string }> {
    if (end === 0 || longest === 0) return;
    const from = safeWindowStart(text, end);
    const clusters = clustersOf(text.slice(from, end));
    let key = '';
    for (let i = clusters.length - 1; i >= 0 && i >= clusters.length - longest; i -= 1) {
      const cluster = clusters[i]!;
      key = matchKey(cluster.text) + key;
      yield { start: from + cluster.index, key };
    }
  }

  return {
    matchesEndingAt(text, caret) {
      const matches: Match[] = [];
      if (splitsCluster(text, caret)) return matches;
      for (const { start, key } of stretchesEndingAt(text, caret)) {
        const entry = byKey.get(key);
        if (entry && hasEdgeBefore(text, start, entry.edge)) {
          matches.unshift({ start, end: caret, entry });
        }
      }
      return matches;
    },
    liveStart(text, end) {
      let earliest = -1;
      for (const { start, key } of stretchesEndingAt(text, end)) {
        const live =
          isBeginning(anywhereKeys, key) ||
          (isBeginning(wordKeys, key) && hasEdgeBefore(text, start, 'word'));
        if (live) earliest = start;
      }
      return earliest;
    },
  };
}

/** Whether one of `sortedKeys` begins with `beginning`. */
function isBeginning(sortedKeys: readonly string[], beginning: string): boolean {
  return sortedKeys[lowerBound(sortedKeys, beginning)]?.startsWith(beginning) ?? false;
}

/** The first index whose key is not less than `key`. */
function lowerBound(sortedKeys: readonly string[], key: string): number {
  let low = 0;
  let high = sortedKeys.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sortedKeys[middle]! < key) low = middle + 1;
    else high = middle;
  }
  return low;
}

/** A place at or before the window's far end from which clusters are cut as in the whole text. */
function safeWindowStart(text: string, end: number): number {
  let from = Math.max(0, end - WINDOW);
  const limit = Math.max(0, from - LONGEST_WALK);
  while (from > limit && text.charCodeAt(from) > 0x7e) from -= 1;
  return from;
}

const combinesWithPrevious = /^[\p{M}\u200d\ufe0f\u{1f3fb}-\u{1f3ff}]/u;

/** Whether `caret` stands before a character that belongs to the cluster to its left. */
function splitsCluster(text: string, caret: number): boolean {
  return caret < text.length && combinesWithPrevious.test(text.slice(caret, caret + 2));
}

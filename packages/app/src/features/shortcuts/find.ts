import { matchKey, shownText, type Shortcut } from '@yellow-latch/core/model';
import MiniSearch from 'minisearch';

import type { ListView } from '@/replica/view';

/** A search over one state of the list, by either side: `find(query)` gives ids, or null for all. */
export interface Finder {
  find(query: string): Set<string> | null;
}

const WORDS = /[\p{L}\p{M}\p{N}]+/gu;

/**
 * Makes the list searchable: codes by any part of them, expansions by the beginnings of their
 * words, one slip in five letters forgiven. All words of the query must be found. The index of
 * expansions is made when first asked for: 10,000 take well under a second.
 */
export function makeFinder({ shortcuts }: ListView): Finder {
  const keys = shortcuts.map(({ id, code }) => ({ id, key: matchKey(code) }));
  let index: MiniSearch<Shortcut> | null = null;
  return {
    find(query) {
      const key = matchKey(query.trim());
      if (key === '') return null;
      const found = new Set(keys.filter((item) => item.key.includes(key)).map(({ id }) => id));
      index ??= indexExpansions(shortcuts);
      for (const { id } of index.search(key)) found.add(id as string);
      return found;
    },
  };
}

function indexExpansions(shortcuts: readonly Shortcut[]): MiniSearch<Shortcut> {
  const index = new MiniSearch<Shortcut>({
    fields: ['expansion'],
    extractField: (shortcut, field) =>
      field === 'expansion' ? shownText(shortcut) : shortcut.id,
    tokenize: (text) => text.match(WORDS) ?? [],
    processTerm: matchKey,
    searchOptions: {
      prefix: true,
      fuzzy: (term) => (term.length >= 5 ? 0.2 : 0),
      combineWith: 'AND',
    },
  });
  index.addAll(shortcuts);
  return index;
}

import { matchKey, shownText, type Shortcut } from '@yellow-latch/core/model';
import MiniSearch from 'minisearch';

import type { ListView } from '@/replica/view';

type Searched = Pick<ListView, 'shortcuts' | 'sets'>;

const WORDS = /[\p{L}\p{M}\p{N}]+/gu;
/** Letters in a word from which on a slip in it is forgiven. */
const FORGIVEN = 4;
/** So many shortcuts are taken into the index at a time while nothing is asked. */
const PART = 400;

/**
 * A search over the list: codes by any part of them, expansions, notes and names of sets by the beginnings of their words, one
 * slip in a longer word forgiven, two letters swapped too. All words of a query must be found. The index follows
 * the list: only what has changed is taken in again.
 */
export class Finder {
  private index = newIndex();
  private indexed = new Map<string, Shortcut>();
  private list: Searched = { shortcuts: [], sets: [] };
  private codes: { id: string; key: string }[] = [];
  private missing: Shortcut[] = [];

  follow(list: Searched): void {
    if (list.shortcuts !== this.list.shortcuts) this.takeUp(list.shortcuts);
    this.list = list;
  }

  private takeUp(shortcuts: readonly Shortcut[]): void {
    this.codes = shortcuts.map(({ id, code }) => ({ id, key: matchKey(code) }));
    const gone = new Set(this.indexed.keys());
    this.missing = [];
    for (const shortcut of shortcuts) {
      const known = this.indexed.get(shortcut.id);
      gone.delete(shortcut.id);
      if (known && known.content === shortcut.content && known.sketch === shortcut.sketch && known.note === shortcut.note) continue;
      if (known) gone.add(shortcut.id);
      this.missing.push(shortcut);
    }
    // Most of it is new: anew is quicker than one by one.
    if (gone.size > 500 && gone.size > this.indexed.size / 2) {
      this.index = newIndex();
      this.indexed = new Map();
      this.missing = [...shortcuts];
      return;
    }
    for (const id of gone) {
      this.index.discard(id);
      this.indexed.delete(id);
    }
  }

  /** Takes a part of what is missing into the index; whether there is more. */
  prepare(most = PART): boolean {
    const part = this.missing.splice(0, most);
    this.index.addAll(part);
    for (const shortcut of part) this.indexed.set(shortcut.id, shortcut);
    return this.missing.length > 0;
  }

  /** The ids of what a query finds; null: it asks for nothing, and all is shown. */
  find(query: string): Set<string> | null {
    const key = matchKey(query.trim());
    if (key === '') return null;
    this.prepare(Infinity);
    const found = this.ofCode(key);
    const terms = key.match(WORDS) ?? [];
    if (terms.length > 0) for (const id of this.ofAll(terms)) found.add(id);
    return found;
  }

  private ofCode(key: string): Set<string> {
    const found = new Set<string>();
    for (const code of this.codes) if (code.key.includes(key)) found.add(code.id);
    return found;
  }

  private ofAll([first, ...others]: readonly string[]): Set<string> {
    return others.reduce((found, term) => {
      const ids = this.ofTerm(term);
      return new Set([...found].filter((id) => ids.has(id)));
    }, this.ofTerm(first!));
  }

  private ofTerm(term: string): Set<string> {
    const found = new Set<string>();
    for (const { id } of this.index.search({ combineWith: 'OR', queries: [term, ...swapped(term)] })) found.add(id as string);
    const sets = new Set(this.list.sets.filter(({ name }) => (matchKey(name).match(WORDS) ?? []).some((word) => word.startsWith(term))).map(({ id }) => id));
    if (sets.size > 0) for (const { id, setId } of this.list.shortcuts) if (setId !== null && sets.has(setId)) found.add(id);
    for (const id of this.ofCode(term)) found.add(id);
    return found;
  }
}

/** A finder over one state of the list. */
export function makeFinder(list: Searched): Finder {
  const finder = new Finder();
  finder.follow(list);
  return finder;
}

/** A word with two neighbouring letters swapped, each way: the commonest slip, which an edit distance counts as two. */
function swapped(term: string): string[] {
  if (term.length < FORGIVEN) return [];
  const letters = Array.from(term);
  return letters.slice(1).flatMap((letter, index) => (letter === letters[index] ? [] : [[...letters.slice(0, index), letter, letters[index]!, ...letters.slice(index + 2)].join('')]));
}

function newIndex(): MiniSearch<Shortcut> {
  return new MiniSearch<Shortcut>({
    fields: ['expansion', 'note'],
    extractField: (shortcut, field) => (field === 'expansion' ? shownText(shortcut) : field === 'note' ? shortcut.note : shortcut.id),
    tokenize: (text) => text.match(WORDS) ?? [],
    processTerm: matchKey,
    searchOptions: {
      prefix: true,
      fuzzy: (term) => (term.length < FORGIVEN ? 0 : term.length === FORGIVEN ? 0.25 : 0.2),
      combineWith: 'AND',
    },
  });
}

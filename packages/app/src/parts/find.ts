import { matchKey, writtenText, type Shortcut, type ShortcutSet } from '@yellow-latch/core/model';
import MiniSearch from 'minisearch';

/** What is searched of a list. */
interface Searched {
  readonly shortcuts: readonly Shortcut[];
  readonly sets: readonly ShortcutSet[];
}

const WORDS = /[\p{L}\p{M}\p{N}]+/gu;
/** Letters in a word from which on a slip in it is forgiven. */
const FORGIVEN = 4;
/** So many shortcuts are taken into the index at a time while nothing is asked. */
const PART = 400;
/** Shorter words are found by their first letters alone. */
const FIRST = FORGIVEN - 1;

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
  /** The ids of those with a word that begins so, by its first letters: a word of three letters is in a third of all texts, which to rank takes longer than to find. */
  private byFirst = new Map<string, Set<string>>();
  /** What was found of words while the list is as it is: who types a second word asks for the first at every letter. */
  private answers = new Map<string, ReadonlySet<string>>();

  observe(list: Searched): void {
    if (list.shortcuts !== this.list.shortcuts || list.sets !== this.list.sets) this.answers.clear();
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
      if (
        known &&
        known.content === shortcut.content &&
        known.sketch === shortcut.sketch &&
        known.note === shortcut.note
      )
        continue;
      if (known) gone.add(shortcut.id);
      this.missing.push(shortcut);
    }
    // Most of it is new: anew is quicker than one by one.
    if (gone.size > 500 && gone.size > this.indexed.size / 2) {
      this.index = newIndex();
      this.indexed = new Map();
      this.byFirst = new Map();
      this.missing = [...shortcuts];
      return;
    }
    for (const id of gone) {
      this.index.discard(id);
      for (const first of firstsOf(this.indexed.get(id)!)) this.byFirst.get(first)?.delete(id);
      this.indexed.delete(id);
    }
  }

  /** Takes a part of what is missing into the index; whether there is more. */
  prepare(most = PART): boolean {
    const part = this.missing.splice(0, most);
    this.index.addAll(part);
    for (const shortcut of part) {
      this.indexed.set(shortcut.id, shortcut);
      for (const first of firstsOf(shortcut)) {
        const ids = this.byFirst.get(first);
        if (ids) ids.add(shortcut.id);
        else this.byFirst.set(first, new Set([shortcut.id]));
      }
    }
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

  private ofAll([first, ...others]: readonly string[]): ReadonlySet<string> {
    return others.reduce<ReadonlySet<string>>((found, term) => {
      const ids = this.ofTerm(term);
      return new Set([...found].filter((id) => ids.has(id)));
    }, this.ofTerm(first!));
  }

  private ofTerm(term: string): ReadonlySet<string> {
    const known = this.answers.get(term);
    if (known) return known;
    const found = term.length <= FIRST ? this.ofFirst(term) : this.ofWord(term);
    const sets = new Set(
      this.list.sets
        .filter(({ name }) => (matchKey(name).match(WORDS) ?? []).some((word) => word.startsWith(term)))
        .map(({ id }) => id),
    );
    if (sets.size > 0)
      for (const { id, setId } of this.list.shortcuts) if (setId !== null && sets.has(setId)) found.add(id);
    for (const id of this.ofCode(term)) found.add(id);
    this.answers.set(term, found);
    return found;
  }

  private ofFirst(term: string): Set<string> {
    if (term.length === FIRST) return new Set(this.byFirst.get(term));
    const found = new Set<string>();
    for (const [first, ids] of this.byFirst) if (first.startsWith(term)) for (const id of ids) found.add(id);
    return found;
  }

  private ofWord(term: string): Set<string> {
    const found = new Set<string>();
    const queries = [{ queries: [term] }, { queries: swapped(term), fuzzy: false }];
    for (const { id } of this.index.search({ combineWith: 'OR', queries })) found.add(id as string);
    return found;
  }
}

/** The first letters of each word of a shortcut, as far as they are looked at. */
function firstsOf(shortcut: Shortcut): Set<string> {
  const words = `${writtenText(shortcut)} ${shortcut.note}`.match(WORDS) ?? [];
  return new Set(words.map((word) => matchKey(word).slice(0, FIRST)));
}

/** A finder over one state of the list. */
export function makeFinder(list: Searched): Finder {
  const finder = new Finder();
  finder.observe(list);
  return finder;
}

/** Of figures each one counts. */
function isForgiven(term: string): boolean {
  return term.length >= FORGIVEN && !/\p{N}/u.test(term);
}

/** A word with two neighbouring letters swapped, each way: the commonest slip, which an edit distance counts as two. */
function swapped(term: string): string[] {
  if (!isForgiven(term)) return [];
  const letters = Array.from(term);
  return letters
    .slice(1)
    .flatMap((letter, index) =>
      letter === letters[index]
        ? []
        : [[...letters.slice(0, index), letter, letters[index]!, ...letters.slice(index + 2)].join('')],
    );
}

function newIndex(): MiniSearch<Shortcut> {
  return new MiniSearch<Shortcut>({
    fields: ['expansion', 'note'],
    extractField: (shortcut, field) =>
      field === 'expansion' ? writtenText(shortcut) : shortcut[field as 'note' | 'id'],
    tokenize: (text) => text.match(WORDS) ?? [],
    processTerm: matchKey,
    searchOptions: {
      prefix: true,
      fuzzy: (term) => isForgiven(term) && (term.length === FORGIVEN ? 0.25 : 0.2),
      combineWith: 'AND',
    },
  });
}

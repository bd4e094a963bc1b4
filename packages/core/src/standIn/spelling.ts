import type { Corrects } from '../fire';
import { matchKey } from '../model';
import type { Speller } from '../spelling';
import type { OwnEntry } from './ownList';

/**
 * What a stand-in's keyboard corrects. What stands in its own list it knows: a code is left alone there, and so is a word of which
 * the list says that it gives itself. The app's list it does not know, so a code of that may be taken for a slip and never expands. Common
 * practice, no source.
 */
export function correctsFor(speller: Pick<Speller, 'correctionOf'>, own: readonly OwnEntry[]): Corrects {
  const known = new Set(own.map(({ code }) => matchKey(code)));
  return (word) => (known.has(matchKey(word)) ? null : speller.correctionOf(word));
}

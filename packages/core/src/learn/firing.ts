import type { FiringEvent } from '../fire';
import { matchKey, type EvidenceKind } from '../model';

/**
 * What a firing tells of how well its code is known; null: nothing, as where it was tapped without a key being typed. `code`: the
 * shortcut's; `isFormer`: it was its old code that fired. Whoever types the whole code and then takes the offer knew it.
 */
export function evidenceOf(event: FiringEvent, code: string, isFormer: boolean): EvidenceKind | null {
  if (event.type !== 'fired' || event.typed === '') return null;
  if (isFormer) return 'former';
  const isWhole = matchKey(event.typed) === matchKey(code);
  return event.by === 'offer' && !isWhole ? 'offer' : 'typed';
}

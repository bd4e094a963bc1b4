import {
  clustersOf,
  isItself,
  splitMarker,
  type ConventionFields,
  type Mark,
  type Scope,
  type Shortcut,
} from '../model';

/** What of a shortcut a convention looks at. */
export type Marked = Pick<Shortcut, 'id' | 'code' | 'kind' | 'setId' | 'content'>;

/** A code taken apart: what marks it, and the mnemonic under the mark. */
export interface Parts {
  readonly mark: Mark;
  readonly mnemonic: string;
}

/**
 * What marks a code. Null: nothing does, and nothing should, as it is all signs. A marker of more than two
 * characters, or different ones on both sides, is no mark of a convention: it is read as bare. The first
 * letter doubled before another is a mark; one letter alone again and again is a mnemonic.
 */
export function partsOf(code: string): Parts | null {
  const { before, mnemonic, after } = splitMarker(code);
  if (!/[\p{L}\p{N}]/u.test(mnemonic)) return null;
  const fits = (marker: string) => marker !== '' && Array.from(marker).length <= 2;
  if (fits(before) && after === '') return { mark: { place: 'before', marker: before }, mnemonic };
  if (fits(after) && before === '') return { mark: { place: 'after', marker: after }, mnemonic };
  if (fits(before) && before === after) return { mark: { place: 'both', marker: before }, mnemonic };
  if (before !== '' || after !== '') return { mark: BARE, mnemonic: code };
  const [first, second] = clustersOf(code.toLowerCase());
  const isDoubled =
    /^\p{L}/u.test(code) &&
    first!.text === second?.text &&
    !code
      .toLowerCase()
      .split(first!.text)
      .every((rest) => rest === '');
  return isDoubled ? { mark: DOUBLED, mnemonic: code.slice(second.index) } : { mark: BARE, mnemonic: code };
}

export const BARE: Mark = { place: 'bare', marker: '' };
export const DOUBLED: Mark = { place: 'doubled', marker: '' };

/** A mnemonic under a mark. */
export function markCode(
  mnemonic: string,
  { place, marker }: Mark,
  capitals: ConventionFields['capitals'] = 'as they are',
): string {
  const inner = capitals === 'small' ? mnemonic.toLowerCase() : mnemonic;
  switch (place) {
    case 'before':
      return marker + inner;
    case 'after':
      return inner + marker;
    case 'both':
      return marker + inner + marker;
    case 'doubled':
      return (clustersOf(inner)[0]?.text ?? '') + inner;
    case 'bare':
      return inner;
  }
}

/** What a mark puts before and after a mnemonic; null: nothing that stands for itself. */
export function markerOf({ place, marker }: Mark): { before: string; after: string } | null {
  if (place === 'doubled' || place === 'bare') return null;
  return { before: place === 'after' ? '' : marker, after: place === 'before' ? '' : marker };
}

export function isSameMark(a: Mark, b: Mark): boolean {
  return a.place === b.place && a.marker === b.marker;
}

/** Whether a mark can be told from the mnemonic by who sees the code: a letter or a digit cannot. */
export function standsApart({ marker }: Mark): boolean {
  return !/[\p{L}\p{N}]/u.test(marker);
}

/** A mark in a word: tells one from another. */
export function markKey({ place, marker }: Mark): string {
  return `${place} ${marker}`;
}

/** Whether a shortcut belongs to the part of the list that a convention is for. */
export function isInScope({ kind, setId }: Pick<Marked, 'kind' | 'setId'>, scope: Scope): boolean {
  switch (scope.of) {
    case 'list':
      return true;
    case 'set':
      return setId === scope.setId;
    case 'kind':
      return kind === scope.kind;
  }
}

export function isSameScope(a: Scope, b: Scope): boolean {
  if (a.of === 'set') return b.of === 'set' && a.setId === b.setId;
  if (a.of === 'kind') return b.of === 'kind' && a.kind === b.kind;
  return b.of === 'list';
}

/**
 * Whether a convention may mark a shortcut: it has a mnemonic, and is no correction, whose code is the
 * misspelt word itself, or a word whose capitals it sets right.
 */
export function mayBeMarked({ code, kind, content }: Pick<Marked, 'code' | 'kind' | 'content'>): boolean {
  return kind !== 'correction' && partsOf(code) !== null && !isItself(code, content.expansion);
}

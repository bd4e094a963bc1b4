/**
 * Text folded as codes are (their match key), cluster by cluster, with the way back to the places
 * it came from: what every search in a text runs on.
 */
import { clustersOf, matchKey } from '../model';
import { classAt, classBefore, ENDS, FOLDED, JOINED, unitOf } from './character';
import { hasEdgeBefore, isEdge } from './edge';

/** Set where a word's edge lies before a unit. */
export const EDGE = 1;
/** Set where a unit begins a character that ends codes by our standard. */
export const END = 2;

/** Folded units of a stretch of text: those from `first` up to `length` of larger buffers. */
export interface Folded {
  readonly units: Uint16Array;
  /** For each unit that begins a cluster, the cluster's offset in the text; -1 inside one. */
  readonly offsets: Int32Array;
  /** For each unit EDGE and END, where they apply. */
  readonly marks: Uint8Array;
  first: number;
  length: number;
}

/**
 * A whole text ready to be searched; behind its last unit stands a 0. `alone`: every unit of the text is a cluster by itself, and
 * stands here as it is, to be folded in passing; else the clusters' foldings, with their places.
 */
export type FoldedText =
  | { readonly text: string; readonly alone: true; readonly units: Uint16Array; readonly length: number }
  | ({ readonly text: string; readonly alone: false } & Readonly<Folded>);

export function foldedBuffer(size: number): Folded {
  return {
    units: new Uint16Array(size),
    offsets: new Int32Array(size),
    marks: new Uint8Array(size),
    first: 0,
    length: 0,
  };
}

// ── clusters ────────────────────────────────────────────────────────────────────────────────

/** Units before a window from which clusters are sure to be cut as in the whole text. */
const RUN_UP = 4_096;
const COMBINES = /^[\p{M}\u200d\ufe0e\ufe0f\u{1f3fb}-\u{1f3ff}\u{e0020}-\u{e007f}]/u;

/** Whether `index` lies inside a grapheme cluster of `text`. Cheap beside units that stand alone. */
export function splitsCluster(text: string, index: number): boolean {
  if (index <= 0 || index >= text.length) return false;
  if (((unitOf(text.charCodeAt(index)) | unitOf(text.charCodeAt(index - 1))) & JOINED) === 0) return false;
  if (COMBINES.test(text.slice(index, index + 2))) return true;
  const from = safeStart(text, index);
  return !clustersOf(text.slice(from, index + RUN_UP)).some((cluster) => from + cluster.index === index);
}

/** A place at or before `index` from which clusters are cut as in the whole text. */
function safeStart(text: string, index: number): number {
  let from = index;
  const limit = Math.max(0, index - RUN_UP);
  while (from > limit && text.charCodeAt(from) > 0x7e) from -= 1;
  // A character may be joined to the one before it even here, but not to one before a plain space.
  while (from > limit && COMBINES.test(text.slice(from, from + 2))) from -= 1;
  return from;
}

/** Puts a folded cluster behind what `into` holds. */
function append(into: Folded, key: string, text: string, offset: number): void {
  const edge = hasEdgeBefore(text, offset, 'word') ? EDGE : 0;
  const end = (classAt(text, offset) & ENDS) !== 0 ? END : 0;
  for (let i = 0; i < key.length; i += 1) {
    const unit = key.charCodeAt(i);
    unitOf(unit);
    into.units[into.length] = unit;
    into.offsets[into.length] = i === 0 ? offset : -1;
    into.marks[into.length] = i === 0 ? edge | end : 0;
    into.length += 1;
  }
}

// ── before a caret ──────────────────────────────────────────────────────────────────────────

/**
 * Folds what stands before `end`, into `into`: at most `longest` units of it, and nothing before
 * the last white space if `staysInToken`. Cost: linear in what it folds.
 */
export function foldBefore(
  text: string,
  end: number,
  longest: number,
  staysInToken: boolean,
  into: Folded,
): void {
  const { units, offsets, marks } = into;
  const limit = Math.max(0, end - longest);
  // Filled from its end backward: the edge of a unit is told when the one before it is known.
  let at = units.length;
  let from = end;
  let after = 0;
  for (; from > limit; from -= 1) {
    const unit = unitOf(text.charCodeAt(from - 1));
    if ((unit & JOINED) !== 0) return foldBeforeByCluster(text, end, longest, staysInToken, into);
    if (from < end) marks[at] = isEdge(unit, after, text, from) ? EDGE : 0;
    if (staysInToken && (unit & FOLDED) === 0x20) break;
    at -= 1;
    units[at] = unit;
    offsets[at] = from - 1;
    after = unit;
  }
  if (from === limit && from < end) {
    const before = classBefore(text, from);
    if ((before & JOINED) !== 0) return foldBeforeByCluster(text, end, longest, staysInToken, into);
    marks[at] = isEdge(before, after, text, from) ? EDGE : 0;
  }
  into.first = at;
  into.length = units.length;
}

function foldBeforeByCluster(
  text: string,
  end: number,
  longest: number,
  staysInToken: boolean,
  into: Folded,
): void {
  const from = safeStart(text, Math.max(0, end - longest * 4));
  const clusters = clustersOf(text.slice(from, end));
  const kept: { key: string; offset: number }[] = [];
  let length = 0;
  for (let i = clusters.length - 1; i >= 0; i -= 1) {
    const cluster = clusters[i]!;
    if (staysInToken && /^\s/u.test(cluster.text)) break;
    const key = matchKey(cluster.text);
    length += key.length;
    if (length > longest || length > into.units.length) break;
    kept.push({ key, offset: from + cluster.index });
  }
  into.first = 0;
  into.length = 0;
  for (let i = kept.length - 1; i >= 0; i -= 1) append(into, kept[i]!.key, text, kept[i]!.offset);
}

// ── a whole text ────────────────────────────────────────────────────────────────────────────

const encoder = new TextEncoder();
const bytes = new Uint8Array(0x8000);

/**
 * Makes a whole text ready. 2 bytes a unit where all stand alone, which is most text in alphabets;
 * else 7 for each unit of the foldings, and a look at clusters around each unit that is joined.
 * Linear. ASCII is read piece by piece, many times faster than unit by unit.
 */
export function foldAll(text: string): FoldedText {
  const { length } = text;
  // One more, 0, that ends every word.
  const units = new Uint16Array(length + 1);
  for (let from = 0; from < length; from += bytes.length) {
    const piece = text.slice(from, from + bytes.length);
    const { read, written } = encoder.encodeInto(piece, bytes);
    // Beyond ASCII a unit takes more than a byte.
    if (read === piece.length && written === piece.length) {
      units.set(bytes.subarray(0, written), from);
      continue;
    }
    for (let i = from; i < from + piece.length; i += 1) {
      const unit = text.charCodeAt(i);
      if ((unitOf(unit) & JOINED) !== 0) return foldByCluster(text, i);
      units[i] = unit;
    }
  }
  return { text, alone: true, units, length };
}

/** `joined`: where the first unit stands that does not stand alone. */
function foldByCluster(text: string, joined: number): FoldedText {
  // A folded cluster is at most three times as long (ﬃ, ΐ) as what it came from.
  const into = foldedBuffer(joined + (text.length - joined) * 3 + 1);
  const isJoined = (index: number) => (unitOf(text.charCodeAt(index)) & JOINED) !== 0;
  let before = classBefore(text, 0);
  let i = 0;
  while (i < text.length) {
    if (!isJoined(i) && (i + 1 === text.length || !isJoined(i + 1))) {
      const unit = unitOf(text.charCodeAt(i));
      into.units[into.length] = unit & FOLDED;
      into.offsets[into.length] = i;
      into.marks[into.length] = (isEdge(before, unit, text, i) ? EDGE : 0) | ((unit & ENDS) !== 0 ? END : 0);
      into.length += 1;
      before = unit;
      i += 1;
      continue;
    }
    let end = i + 1;
    while (end < text.length && (isJoined(end) || isJoined(end - 1))) end += 1;
    for (const cluster of clustersOf(text.slice(i, end))) {
      append(into, matchKey(cluster.text), text, i + cluster.index);
    }
    before = classBefore(text, end);
    i = end;
  }
  return { text, alone: false, ...into };
}

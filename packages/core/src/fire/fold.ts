/**
 * Text folded as codes are (their match key), cluster by cluster, with the way back to the places
 * it came from: what every search in a text runs on.
 */
import type { DeviceProfile } from '../profile';
import { matchKey } from '../model/code';
import { clustersOf } from '../model/text';
import { classAt, classBefore, ENDS, FOLDED, JOINED, unitOf } from './character';
import { hasEdgeBefore, isEdge } from './edge';
import { madeForScan, type MadeText } from './madeText';
import { unitsOf } from './units';

/** Set where a word's edge lies before a unit. */
export const EDGE = 1;
/** Set where a unit begins a character that ends codes by our standard. */
export const END = 2;

/** Folded units of a text: those up to `length` of larger buffers. */
export interface Folded {
  readonly units: Uint16Array;
  /** For each unit that begins a cluster, the cluster's offset in the text; -1 inside one. */
  readonly offsets: Int32Array;
  /** For each unit EDGE and END, where they apply. */
  readonly marks: Uint8Array;
  length: number;
}

/**
 * A whole text ready to be searched; behind its last unit stands a 0. `alone`: every unit of the text is a cluster by itself, and
 * stands here as it is, to be folded in passing; else the clusters' foldings, with their places.
 */
export type FoldedText = (
  | { readonly text: string; readonly alone: true; readonly units: Uint16Array; readonly length: number }
  | ({ readonly text: string; readonly alone: false } & Readonly<Folded>)
) & {
  /** Where `text` is what a device made of a typed one: how they go together. */
  readonly made?: MadeText;
};

function foldedBuffer(size: number): Folded {
  return {
    units: new Uint16Array(size),
    offsets: new Int32Array(size),
    marks: new Uint8Array(size),
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
 * The stretch before a caret, to be folded unit by unit as it is read: `units[first, end)`. Where every unit is a
 * cluster by itself that is the text itself; else the clusters' foldings, with their places.
 */
export interface Before {
  readonly units: string;
  readonly first: number;
  readonly end: number;
  /** For each unit that begins a cluster, the cluster's offset in the text; -1 inside one. Null: its own place. */
  readonly offsets: readonly number[] | null;
}

/**
 * What stands before `end`: at most `longest` units of it, and nothing before the last white space if `staysInToken`.
 * Cost: linear in that.
 */
export function foldBefore(text: string, end: number, longest: number, staysInToken: boolean): Before {
  const limit = Math.max(0, end - longest);
  let first = end;
  for (; first > limit; first -= 1) {
    const unit = unitOf(text.charCodeAt(first - 1));
    if ((unit & JOINED) !== 0) return foldBeforeByCluster(text, end, longest, staysInToken);
    if (staysInToken && (unit & FOLDED) === 0x20) break;
  }
  if (first === limit && first < end && (classBefore(text, first) & JOINED) !== 0)
    return foldBeforeByCluster(text, end, longest, staysInToken);
  return { units: text, first, end, offsets: null };
}

function foldBeforeByCluster(text: string, end: number, longest: number, staysInToken: boolean): Before {
  const from = safeStart(text, Math.max(0, end - longest * 4));
  const kept: { key: string; offset: number }[] = [];
  let length = 0;
  for (const cluster of clustersOf(text.slice(from, end)).reverse()) {
    if (staysInToken && /^\s/u.test(cluster.text)) break;
    const key = matchKey(cluster.text);
    length += key.length;
    if (length > longest) break;
    if (key !== '') kept.push({ key, offset: from + cluster.index });
  }
  kept.reverse();
  const units = kept.map(({ key }) => key).join('');
  for (let i = 0; i < units.length; i += 1) unitOf(units.charCodeAt(i));
  const offsets = kept.flatMap(({ key, offset }) => [offset, ...Array<number>(key.length - 1).fill(-1)]);
  return { units, first: 0, end: units.length, offsets };
}

// ── a whole text ────────────────────────────────────────────────────────────────────────────

/**
 * Makes a whole text ready. 2 bytes a unit where all stand alone, which is most text in alphabets;
 * else 7 for each unit of the foldings, and a look at clusters around each unit that is joined.
 * Linear.
 */
export function foldAll(text: string, { units, isAscii } = unitsOf(text)): FoldedText {
  const { length } = text;
  if (!isAscii) {
    for (let i = 0; i < length; i += 1)
      if (units[i]! > 0x7e && (unitOf(units[i]!) & JOINED) !== 0) return foldByCluster(text, i);
  }
  return { text, alone: true, units, length };
}

/** A text as a device makes it while it is typed, ready to be searched by `CompiledList.scanEach`. */
export function foldTyped(text: string, profile: DeviceProfile): FoldedText {
  return foldMade(text, madeForScan(text, profile));
}

/** `made`: what a device makes of `typed`; null: it changes nothing. */
export function foldMade(typed: string, made: MadeText | null): FoldedText {
  if (!made) return foldAll(typed);
  const folded = foldAll(typed, made.typed);
  const units = folded.alone ? patched(folded.units, made) : null;
  return units
    ? { text: made.text, alone: true, units, length: made.text.length, made }
    : { ...foldAll(made.text), made };
}

/** The units of the made text, from those of the typed one; null where not all stand alone. Much quicker than to fold it anew. */
function patched(typed: Uint16Array, { text, changes, shifts }: MadeText): Uint16Array | null {
  const units = new Uint16Array(text.length + 1);
  for (let i = -1; i < shifts.at.length; i += 1) {
    const from = i < 0 ? 0 : shifts.at[i]!;
    const shift = i < 0 ? 0 : shifts.by[i]!;
    const to = Math.min(shifts.at[i + 1] ?? text.length, typed.length - 1 - shift);
    units.set(typed.subarray(from + shift, to + shift), from);
  }
  for (let i = 0; i < changes.at.length; i += 1) {
    const characters = changes.characters[i]!;
    for (let j = 0; j < characters.length; j += 1) {
      const unit = characters.charCodeAt(j);
      if ((unitOf(unit) & JOINED) !== 0) return null;
      units[changes.at[i]! + j] = unit;
    }
  }
  return units;
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

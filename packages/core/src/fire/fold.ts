/**
 * Text folded as codes are (their match key), cluster by cluster, with the way back to the places
 * it came from: what every search in a text runs on.
 */
import { clustersOf, matchKey } from '../model';

/** Folded units of a stretch of text. Buffers may be larger than `length`. */
export interface Folded {
  readonly units: Uint16Array;
  /** For each unit that begins a cluster, the cluster's offset in the text; -1 inside one. */
  readonly offsets: Int32Array;
  length: number;
  /** Where the stretch ends in the text. */
  end: number;
}

const LOWER = Uint16Array.from({ length: 128 }, (_, unit) =>
  String.fromCharCode(unit).toLowerCase().charCodeAt(0),
);

export function foldedBuffer(size: number): Folded {
  return { units: new Uint16Array(size), offsets: new Int32Array(size), length: 0, end: 0 };
}

/** Units before a window from which clusters are sure to be cut as in the whole text. */
const RUN_UP = 4_096;
const COMBINES = /^[\p{M}\u200d\ufe0e\ufe0f\u{1f3fb}-\u{1f3ff}\u{e0020}-\u{e007f}]/u;

/** Whether `index` lies inside a grapheme cluster of `text`. Cheap beside ASCII. */
export function splitsCluster(text: string, index: number): boolean {
  if (index <= 0 || index >= text.length) return false;
  const after = text.charCodeAt(index);
  if (after < 0x300) return after === 0x0a && text.charCodeAt(index - 1) === 0x0d;
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
  into.end = end;
  let from = end;
  const limit = Math.max(0, end - longest);
  while (from > limit) {
    const unit = text.charCodeAt(from - 1);
    if (unit > 0x7e) {
      foldBeforeSlowly(text, end, longest, staysInToken, into);
      return;
    }
    if (staysInToken && (unit === 0x20 || (unit >= 0x09 && unit <= 0x0d))) break;
    from -= 1;
  }
  const length = end - from;
  for (let i = 0; i < length; i += 1) {
    into.units[i] = LOWER[text.charCodeAt(from + i)]!;
    into.offsets[i] = from + i;
  }
  into.length = length;
}

function foldBeforeSlowly(
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
  into.length = 0;
  for (let i = kept.length - 1; i >= 0; i -= 1) append(into, kept[i]!.key, kept[i]!.offset);
}

function append(into: Folded, key: string, offset: number): void {
  for (let i = 0; i < key.length; i += 1) {
    into.units[into.length] = key.charCodeAt(i);
    into.offsets[into.length] = i === 0 ? offset : -1;
    into.length += 1;
  }
}

const NOT_ASCII = /[^\x00-\x7e]/;

/** Folds a whole text. Linear; where it is not ASCII, cluster by cluster. */
export function foldAll(text: string): Folded {
  const isAscii = !NOT_ASCII.test(text);
  // A folded cluster is at most three times as long (ﬃ, ΐ) as what it came from.
  const into = foldedBuffer(isAscii ? text.length : text.length * 3);
  into.end = text.length;
  let i = 0;
  while (i < text.length) {
    const unit = text.charCodeAt(i);
    // An ASCII character is a cluster by itself if nothing that could join it follows.
    const next = i + 1 < text.length ? text.charCodeAt(i + 1) : 0;
    if (unit < 0x7f && next < 0x7f) {
      into.units[into.length] = LOWER[unit]!;
      into.offsets[into.length] = i;
      into.length += 1;
      i += 1;
      continue;
    }
    let end = i + 1;
    while (end < text.length && !(text.charCodeAt(end) < 0x7f && text.charCodeAt(end - 1) < 0x7f)) end += 1;
    for (const cluster of clustersOf(text.slice(i, end))) {
      append(into, matchKey(cluster.text), i + cluster.index);
    }
    i = end;
  }
  return into;
}

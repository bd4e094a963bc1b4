/**
 * The suffix array of a row of numbers by induced sorting, SA-IS (Nong, Zhang and Chan, "Two efficient algorithms for linear time
 * suffix array construction", 2009), and the longest common prefixes of neighbours in it (Kasai and others 2001). Both linear.
 */

/** `row`: numbers from 0 below `size`. Gives the places of all suffixes in their order. Memory: about 24 bytes a number at its most. */
export function suffixArray(row: Int32Array, size: number): Int32Array {
  const n = row.length;
  const array = new Int32Array(n);
  if (n === 0) return array;
  if (n === 1) return array;
  const isSmall = typesOf(row);
  const ends = bucketEnds(row, size);
  // Leftmost places of small suffixes, in any order of theirs within a bucket, sort all suffixes of that kind.
  const leftmost = placesOf(isSmall);
  array.fill(NONE);
  const tails = ends.slice();
  for (let at = leftmost.length - 1; at >= 0; at -= 1) array[--tails[row[leftmost[at]!]!]!] = leftmost[at]!;
  induce(row, array, isSmall, ends);
  // They are named by their rank; equal stretches have one name.
  const names = new Int32Array(n).fill(NONE);
  let last = NONE;
  let count = 0;
  for (const place of array) {
    if (place < 1 || !isLeftmost(isSmall, place)) continue;
    if (last !== NONE && !isSameStretch(row, isSmall, last, place)) count += 1;
    names[place] = count;
    last = place;
  }
  const named = leftmost.map((place) => names[place]!);
  const sorted = leftmost.length > 0 ? orderOf(named, leftmost.length > 0 ? count + 1 : 0) : named;
  array.fill(NONE);
  tails.set(ends);
  for (let at = sorted.length - 1; at >= 0; at -= 1) {
    const place = leftmost[sorted[at]!]!;
    array[--tails[row[place]!]!] = place;
  }
  induce(row, array, isSmall, ends);
  return array;
}

const NONE = -1;

/** Where names differ they are the order; else they are sorted the same way. */
function orderOf(named: Int32Array, size: number): Int32Array {
  if (size < named.length) return suffixArray(named, size);
  const order = new Int32Array(named.length);
  named.forEach((name, at) => {
    order[name] = at;
  });
  return order;
}

/** 1 where a suffix is smaller than the one behind it. The last is larger: nothing comes after it, which counts as smallest. */
function typesOf(row: Int32Array): Uint8Array {
  const isSmall = new Uint8Array(row.length);
  for (let at = row.length - 2; at >= 0; at -= 1)
    isSmall[at] = row[at]! < row[at + 1]! || (row[at] === row[at + 1] && isSmall[at + 1] === 1) ? 1 : 0;
  return isSmall;
}

function isLeftmost(isSmall: Uint8Array, at: number): boolean {
  return at > 0 && isSmall[at] === 1 && isSmall[at - 1] === 0;
}

function placesOf(isSmall: Uint8Array): Int32Array {
  let count = 0;
  for (let at = 1; at < isSmall.length; at += 1) if (isLeftmost(isSmall, at)) count += 1;
  const places = new Int32Array(count);
  let next = 0;
  for (let at = 1; at < isSmall.length; at += 1) if (isLeftmost(isSmall, at)) places[next++] = at;
  return places;
}

/** Where the bucket of each number ends, exclusive. */
function bucketEnds(row: Int32Array, size: number): Int32Array {
  const ends = new Int32Array(size);
  for (const number of row) ends[number]! += 1;
  for (let number = 1; number < size; number += 1) ends[number]! += ends[number - 1]!;
  return ends;
}

/** From sorted leftmost small suffixes to all: the large ones from the left, then the small ones from the right. */
function induce(row: Int32Array, array: Int32Array, isSmall: Uint8Array, ends: Int32Array): void {
  const n = row.length;
  const heads = new Int32Array(ends.length);
  for (let number = 1; number < ends.length; number += 1) heads[number] = ends[number - 1]!;
  // What follows the last is smaller than all: it comes first.
  array[heads[row[n - 1]!]!++] = n - 1;
  for (let at = 0; at < n; at += 1) {
    const place = array[at]! - 1;
    if (place >= 0 && isSmall[place] === 0) array[heads[row[place]!]!++] = place;
  }
  const tails = ends.slice();
  for (let at = n - 1; at >= 0; at -= 1) {
    const place = array[at]! - 1;
    if (place >= 0 && isSmall[place] === 1) array[--tails[row[place]!]!] = place;
  }
}

/** Whether two stretches, each from a leftmost place to the next, are equal. */
function isSameStretch(row: Int32Array, isSmall: Uint8Array, a: number, b: number): boolean {
  for (let step = 0; ; step += 1) {
    const [x, y] = [a + step, b + step];
    if (x >= row.length || y >= row.length) return false;
    if (row[x] !== row[y] || isSmall[x] !== isSmall[y]) return false;
    if (step === 0) continue;
    const [endsA, endsB] = [isLeftmost(isSmall, x), isLeftmost(isSmall, y)];
    if (endsA || endsB) return endsA && endsB;
  }
}

/** How many numbers each suffix has in common with the one before it in the array; the first has none. */
export function commonPrefixes(row: Int32Array, array: Int32Array): Int32Array {
  const n = row.length;
  const rank = new Int32Array(n);
  for (let at = 0; at < n; at += 1) rank[array[at]!] = at;
  const common = new Int32Array(n);
  let length = 0;
  for (let place = 0; place < n; place += 1) {
    if (rank[place] === 0) {
      length = 0;
      continue;
    }
    const other = array[rank[place]! - 1]!;
    while (place + length < n && other + length < n && row[place + length] === row[other + length]) length += 1;
    common[rank[place]!] = length;
    if (length > 0) length -= 1;
  }
  return common;
}

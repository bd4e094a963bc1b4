/**
 * The indices of which no other is better in one measure and as good in the other: the Pareto front of
 * two measures to be small. NaN is never on it; of equals all are. O(n log n).
 */
export function frontOf(first: ArrayLike<number>, second: ArrayLike<number>): Set<number> {
  const order = Array.from(first, (_, index) => index)
    .filter((index) => !Number.isNaN(first[index]!) && !Number.isNaN(second[index]!))
    .sort((a, b) => first[a]! - first[b]! || second[a]! - second[b]!);
  const front = new Set<number>();
  let least = Infinity;
  let at = -Infinity;
  for (const index of order) {
    const isBetter = second[index]! < least;
    const isEqual = second[index] === least && first[index] === at;
    if (!isBetter && !isEqual) continue;
    front.add(index);
    least = second[index]!;
    at = first[index]!;
  }
  return front;
}

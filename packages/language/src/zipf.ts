/**
 * Zipf's law as Mandelbrot has it: the word of rank r comes `c / (r + b) ** a` times in 10,000 words.
 * From memory of Mandelbrot 1953; the parameters are fitted to counted words in `build.ts`.
 */
export interface Zipf {
  readonly a: number;
  readonly b: number;
  readonly c: number;
}

/** The frequency of the word of rank `rank` (from 1), in 10,000 words. */
export function zipf({ a, b, c }: Zipf, rank: number): number {
  return c / (rank + b) ** a;
}

/**
 * The law nearest to counted frequencies (most frequent first, in 10,000 words): least squares of the
 * logarithms over ranks spaced evenly in the logarithm, b by search. Errors: fewer than 100 words.
 */
export function fitZipf(perTenThousand: ArrayLike<number>): Zipf {
  const count = perTenThousand.length;
  if (count < 100) throw new RangeError(`a law cannot be fitted to ${count} words`);
  const ranks: number[] = [];
  for (let rank = 1; rank <= count; rank = Math.max(rank + 1, Math.round(rank * 1.05))) ranks.push(rank);
  let best: Zipf & { error: number } = { a: 1, b: 0, c: 1, error: Infinity };
  for (let b = 0; b <= 40; b += 0.5) {
    const xs = ranks.map((rank) => Math.log(rank + b));
    const ys = ranks.map((rank) => Math.log(perTenThousand[rank - 1]!));
    const meanX = mean(xs);
    const meanY = mean(ys);
    const covariance = mean(xs.map((x, i) => (x - meanX) * (ys[i]! - meanY)));
    const slope = covariance / mean(xs.map((x) => (x - meanX) ** 2));
    const error = mean(xs.map((x, i) => (ys[i]! - meanY - slope * (x - meanX)) ** 2));
    if (error < best.error) best = { a: -slope, b, c: Math.exp(meanY - slope * meanX), error };
  }
  return { a: best.a, b: best.b, c: best.c };
}

function mean(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

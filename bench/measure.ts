/** One figure of the table. */
export interface Figure {
  name: string;
  what: string;
  ours: number;
  peer: string;
  /** The median of the pairs, where they were measured in turn. */
  ratio: number;
  /** The lowest and the highest of the pairs. */
  spread?: readonly [number, number];
  unit: string;
  bar: string;
  /** What nothing could go below, where there is such a thing: a law of nature, a published figure. */
  limit?: string;
  holds: boolean;
}

/** How many pairs are measured of what a figure and what stands beside it take. */
export const PAIRS = 7;

/** What one series is of another, pair by pair, since a machine is now fast, now slow: the median, and the lowest and the highest. */
export function ratioOf(
  over: readonly number[],
  under: readonly number[],
): { readonly ratio: number; readonly spread: readonly [number, number] } {
  if (over.length !== under.length || over.length === 0) throw new Error(`${over.length} beside ${under.length}`);
  const each = over.map((value, i) => value / under[i]!);
  return { ratio: round(median(each)), spread: [round(Math.min(...each)), round(Math.max(...each))] };
}

interface Paired {
  readonly name: string;
  readonly what: string;
  /** Times of ours and of what stands beside it, in ms, in the pairs in which they were measured. */
  readonly ours: readonly number[];
  readonly beside: readonly number[];
  /** What it stands beside, in words. */
  readonly peer: string;
  /** What the ratio may be at most. */
  readonly atMost: number;
  readonly limit?: string;
}

/** A figure of times that should be no more than so many times what stands beside them. */
export function paired({ name, what, ours, beside, peer, atMost, limit }: Paired): Figure {
  const { ratio, spread } = ratioOf(ours, beside);
  return {
    name,
    what,
    ours: round(median(ours)),
    peer: `${round(median(beside))} ms, ${peer}`,
    ratio,
    spread,
    unit: 'ms',
    bar: `≤ ${atMost}`,
    limit,
    holds: ratio <= atMost,
  };
}

/** The median time of `rounds` runs of `work`, in ms, after one to warm up. */
export function medianTime(rounds: number, work: () => void): number {
  return medianTimes(rounds, [work])[0]!;
}

/** The median times of several works, run in turn so that a noisy moment meets them all. */
export function medianTimes(rounds: number, works: (() => void)[]): number[] {
  return timesInTurn(rounds, works).map(median);
}

/** The times of several works in each round, in ms, after one round to warm up. */
export function timesInTurn(rounds: number, works: (() => void)[]): number[][] {
  const times = works.map((): number[] => []);
  works.forEach((work) => work());
  for (let round = 0; round < rounds; round += 1) {
    works.forEach((work, index) => {
      const start = performance.now();
      work();
      times[index]!.push(performance.now() - start);
    });
  }
  return times;
}

export function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[values.length >> 1]!;
}

/** The value that so many of a hundred do not exceed. */
export function percentile(values: readonly number[], percent: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.ceil((sorted.length * percent) / 100) - 1)]!;
}

export function round(value: number, digits = 2): number {
  return Number(value.toPrecision(digits + 1));
}

/** Heap and buffers in use after a full collection, in bytes. */
export function memoryInUse(): number {
  if (!globalThis.gc) throw new Error('run with --expose-gc');
  globalThis.gc();
  globalThis.gc();
  const { heapUsed, arrayBuffers } = process.memoryUsage();
  return heapUsed + arrayBuffers;
}

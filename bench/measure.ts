/** One figure of the table. */
export interface Figure {
  name: string;
  what: string;
  ours: number;
  peer: string;
  ratio: number;
  unit: string;
  bar: string;
  holds: boolean;
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

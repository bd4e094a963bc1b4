/**
 * The power law of practice: the nth time something is done takes first × n ^ −rate seconds (Newell and Rosenbloom, "Mechanisms of
 * skill acquisition and the law of practice", 1981, from memory).
 */
export interface PracticeLaw {
  /** Seconds that the first time takes. */
  readonly first: number;
  readonly rate: number;
}

/** Fewer times tell nothing. */
const LEAST_TIMES = 5;
/** Nobody is faster, in s; so that no time is 0. */
const FASTEST = 0.01;

/** One time that something was done: the nth, from 1, and how long it took; s. */
export interface PracticeTime {
  readonly nth: number;
  readonly seconds: number;
}

/**
 * The law that fits times best: a straight line through their logarithms by least squares, which is the likeliest where times scatter
 * by a factor, as people's do. Null: too few times, or all of them the first. Linear.
 */
export function fitPracticeLaw(times: readonly PracticeTime[]): PracticeLaw | null {
  if (times.length < LEAST_TIMES || times.every(({ nth }) => nth === times[0]!.nth)) return null;
  const points = times.map(({ nth, seconds }) => [Math.log(nth), Math.log(Math.max(FASTEST, seconds))] as const);
  const meanOf = (of: 0 | 1) => points.reduce((sum, point) => sum + point[of], 0) / points.length;
  const [x, y] = [meanOf(0), meanOf(1)];
  let covariance = 0;
  let variance = 0;
  for (const point of points) {
    covariance += (point[0] - x) * (point[1] - y);
    variance += (point[0] - x) ** 2;
  }
  const slope = covariance / variance;
  return { first: Math.exp(y - slope * x), rate: -slope };
}

/** Seconds that the nth time takes, from 1. */
export function secondsAfter({ first, rate }: PracticeLaw, times: number): number {
  return first * times ** -rate;
}

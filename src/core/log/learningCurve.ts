/**
 * Minutes of the n-th time that something is done, where each doubling of how often it was done takes the same share of
 * the time before: T_n = T₁ · n^(log₂ r) (Wright 1936).
 * @param first minutes of the first time
 * @param rate the share r, 0.8 to 0.95 by hand as a rule; 1 where nothing is learned
 * @param n from 1 on
 * @example 60 minutes at 0.9 → 54 the second time, 48.6 the fourth
 * @throws RangeError for a time before the first, or a rate that is none
 */
export function repeatMinutes(first: number, rate: number, n: number): number {
  if (!Number.isInteger(n) || n < 1) throw new RangeError(`the ${n}. time; accepted: 1 and more`);
  if (!(rate > 0)) throw new RangeError(`a rate of ${rate}; accepted: more than 0`);
  return first * n ** Math.log2(rate);
}

/** Minutes of so many times together; 0 for none. */
export function repeatedMinutes(first: number, rate: number, times: number): number {
  let sum = 0;
  for (let n = 1; n <= times; n += 1) sum += repeatMinutes(first, rate, n);
  return sum;
}

/** Fewer times than this say nothing of a trend. */
const LEAST_TIMES = 6;

/**
 * The rate at which somebody learns: the line of least squares through the logarithms of what each time took against what
 * was expected of it, over the logarithm of which time it was.
 * @param times what each took and what was expected, the first one first
 * @returns the share that a doubling takes; null for fewer than six usable times
 */
export function learningRateOf(times: readonly { expected: number; actual: number }[]): number | null {
  const usable = times.filter(({ expected, actual }) => expected > 0 && actual > 0);
  if (usable.length < LEAST_TIMES) return null;
  const points = usable.map(({ expected, actual }, n) => ({ x: Math.log2(n + 1), y: Math.log2(actual / expected) }));
  const mean = (pick: (point: { x: number; y: number }) => number) =>
    points.reduce((sum, point) => sum + pick(point), 0) / points.length;
  const [x, y] = [mean((point) => point.x), mean((point) => point.y)];
  const covariance = points.reduce((sum, point) => sum + (point.x - x) * (point.y - y), 0);
  const variance = points.reduce((sum, point) => sum + (point.x - x) ** 2, 0);
  return 2 ** (covariance / variance);
}

/** Ranks of a list, from 1; equal values share the mean of their ranks. */
export function ranksOf(values: ArrayLike<number>): Float64Array {
  const order = Uint32Array.from({ length: values.length }, (_entry, n) => n).sort(
    (a, b) => (values[a] ?? 0) - (values[b] ?? 0),
  );
  const ranks = new Float64Array(values.length);
  for (let from = 0; from < order.length; ) {
    let to = from;
    while (to + 1 < order.length && values[order[to + 1] ?? 0] === values[order[from] ?? 0]) to += 1;
    for (let n = from; n <= to; n += 1) ranks[order[n] ?? 0] = (from + to) / 2 + 1;
    from = to + 1;
  }
  return ranks;
}

/**
 * How far two lists rise and fall together, from −1 to 1: Spearman's rank correlation, the correlation of their ranks.
 * @param a ranks, by {@link ranksOf}; both of one length
 * @returns 0 where one of them never changes
 */
export function correlationOfRanks(a: Float64Array, b: Float64Array): number {
  const mean = (a.length + 1) / 2;
  let [both, own, other] = [0, 0, 0];
  for (let n = 0; n < a.length; n += 1) {
    const [x, y] = [(a[n] ?? 0) - mean, (b[n] ?? 0) - mean];
    both += x * y;
    own += x * x;
    other += y * y;
  }
  return own === 0 || other === 0 ? 0 : both / Math.sqrt(own * other);
}

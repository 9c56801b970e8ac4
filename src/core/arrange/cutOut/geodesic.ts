/** Steps from a pixel to its eight neighbors, and how long each is. */
const steps = [-1, 0, 1].flatMap((down) =>
  [-1, 0, 1].flatMap((across) =>
    down === 0 && across === 0 ? [] : [{ down, across, long: Math.hypot(down, across) }],
  ),
);
/** What a step costs where nothing changes, so that of two ways over even ground the shorter is nearer. */
const EVEN = 0.002;
/** Distances are kept in buckets so wide, for a queue that needs no sorting. */
const BUCKET = 0.004;

/**
 * How far each pixel is from the nearest seed, where a step costs as much as a field changes on it (geodesic distance,
 * Bai and Sapiro 2007; Dijkstra's algorithm over the eight neighbors).
 * @param field a value for each pixel, 0 to 1, row by row
 * @param seeds 1 where the distance is nothing
 * @returns infinite everywhere where there is no seed
 */
export function geodesicDistance(field: Float64Array, seeds: Uint8Array, widthPx: number): Float64Array {
  const heightPx = Math.floor(field.length / Math.max(1, widthPx));
  const distance = new Float64Array(field.length).fill(Number.POSITIVE_INFINITY);
  const buckets: number[][] = [];
  const put = (index: number, far: number) => {
    distance[index] = far;
    const bucket = Math.floor(far / BUCKET);
    let kept = buckets[bucket];
    if (!kept) {
      kept = [];
      buckets[bucket] = kept;
    }
    kept.push(index);
  };
  seeds.forEach((seed, index) => {
    if (seed === 1) put(index, 0);
  });
  for (let bucket = 0; bucket < buckets.length; bucket += 1) {
    const waiting = buckets[bucket];
    if (!waiting) continue;
    // What a step adds may fall into the bucket that is being emptied: it grows while it is walked.
    for (let n = 0; n < waiting.length; n += 1) {
      const index = waiting[n] ?? 0;
      const here = distance[index] ?? 0;
      if (Math.floor(here / BUCKET) < bucket) continue;
      const row = Math.floor(index / widthPx);
      const column = index - row * widthPx;
      for (const { down, across, long } of steps) {
        const y = row + down;
        const x = column + across;
        if (y < 0 || y >= heightPx || x < 0 || x >= widthPx) continue;
        const next = y * widthPx + x;
        const far = here + long * EVEN + Math.abs((field[next] ?? 0) - (field[index] ?? 0));
        if (far < (distance[next] ?? 0)) put(next, far);
      }
    }
    buckets[bucket] = [];
  }
  return distance;
}

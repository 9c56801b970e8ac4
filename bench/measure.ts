/** Median, least and most of some milliseconds. */
export interface Timing {
  median: number;
  least: number;
  most: number;
}

/** Times a piece of work: a few rounds to warm up, then `rounds` that count. */
export async function timing(rounds: number, work: () => unknown | Promise<unknown>): Promise<Timing> {
  for (let n = 0; n < Math.min(10, rounds); n += 1) await work();
  const times: number[] = [];
  for (let n = 0; n < rounds; n += 1) {
    const start = performance.now();
    await work();
    times.push(performance.now() - start);
  }
  times.sort((a, b) => a - b);
  return { median: times[Math.floor(times.length / 2)] ?? 0, least: times[0] ?? 0, most: times.at(-1) ?? 0 };
}

/** The fixed loop that other times are put in ratio to: two million steps of a linear congruence, in doubles. */
export function calibrationLoop(): number {
  let x = 1;
  for (let n = 0; n < 2_000_000; n += 1) x = (x * 16_807) % 2_147_483_647;
  return x;
}

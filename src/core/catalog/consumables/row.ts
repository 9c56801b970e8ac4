import type { PackSize } from '../coating';

/** The same pack in both markets; rough shelf prices in whole dollars, euros or pounds, from memory. */
export function packs(...sizes: [name: string, size: number, low: number, likely: number, high: number][]): PackSize[] {
  return (['us', 'metric'] as const).flatMap((market) =>
    sizes.map(([name, size, low, likely, high], n) => ({
      id: `${n}${market}`,
      name,
      size,
      market,
      estimate: { low, likely, high },
    })),
  );
}

/** Packs of one market each: what is 12 in wide here is 30 cm wide there. */
export function packsOf(
  market: 'us' | 'metric',
  ...sizes: [name: string, size: number, low: number, likely: number, high: number][]
): PackSize[] {
  return sizes.map(([name, size, low, likely, high], n) => ({
    id: `${n}${market}`,
    name,
    size,
    market,
    estimate: { low, likely, high },
  }));
}

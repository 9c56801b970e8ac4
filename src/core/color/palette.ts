import { seededRandom } from '../kernel/seededRandom';
import { ciede2000 } from './ciede2000';
import { type Lab, labFromRgb } from './lab';

/** A color drawn from a picture with the share of the picture it stands for, 0 to 1. */
export interface Swatch {
  lab: Lab;
  share: number;
}

interface Bin {
  L: number;
  a: number;
  b: number;
  weight: number;
}

/** Size of a histogram cell in Lab units: fine enough that no two cells in one look alike. */
const CELL = 3;
/** Swatches closer than this (ΔE00) are one color to the eye that picks paint. */
const SAME_COLOR = 6;
const ROUNDS = 40;
const STARTS = 6;

/** Pixels gathered into cells of Lab, each with its mean and weight; transparent pixels are left out. */
export function labHistogram(pixels: ArrayLike<number>): Bin[] {
  const byRgb = new Map<number, number>();
  // Five bits a channel: the eye cannot tell these apart in a photo, and conversion runs at most 32768 times.
  for (let i = 0; i + 3 < pixels.length; i += 4) {
    if ((pixels[i + 3] ?? 0) < 128) continue;
    const key = (((pixels[i] ?? 0) >> 3) << 10) | (((pixels[i + 1] ?? 0) >> 3) << 5) | ((pixels[i + 2] ?? 0) >> 3);
    byRgb.set(key, (byRgb.get(key) ?? 0) + 1);
  }
  const cells = new Map<string, Bin>();
  for (const [key, weight] of byRgb) {
    const { L, a, b } = labFromRgb(((key >> 10) & 31) * 8 + 4, ((key >> 5) & 31) * 8 + 4, (key & 31) * 8 + 4);
    const cell = `${Math.round(L / CELL)},${Math.round(a / CELL)},${Math.round(b / CELL)}`;
    const known = cells.get(cell);
    if (known) {
      const total = known.weight + weight;
      known.L += ((L - known.L) * weight) / total;
      known.a += ((a - known.a) * weight) / total;
      known.b += ((b - known.b) * weight) / total;
      known.weight = total;
    } else cells.set(cell, { L, a, b, weight });
  }
  return [...cells.values()];
}

const squared = (a: Lab, b: Lab) => (a.L - b.L) ** 2 + (a.a - b.a) ** 2 + (a.b - b.b) ** 2;

/** One run of Lloyd's algorithm from k-means++ seeds: means with their weights, and the spread that is left. */
function clusterOnce(
  points: readonly Bin[],
  count: number,
  random: () => number,
): { centers: Lab[]; weights: number[]; spread: number } {
  const draw = (weights: readonly number[]): number => {
    let left = random() * weights.reduce((sum, weight) => sum + weight, 0);
    for (let n = 0; n < weights.length; n += 1) {
      left -= weights[n] ?? 0;
      if (left <= 0) return n;
    }
    return weights.length - 1;
  };
  const centers: Lab[] = [];
  const nearest = points.map(() => Number.POSITIVE_INFINITY);
  while (centers.length < Math.min(count, points.length)) {
    const weights = points.map((point, n) => point.weight * (centers.length === 0 ? 1 : (nearest[n] ?? 0)));
    const chosen = points[draw(weights)];
    if (!chosen) break;
    const center = { L: chosen.L, a: chosen.a, b: chosen.b };
    centers.push(center);
    points.forEach((point, n) => {
      nearest[n] = Math.min(nearest[n] ?? 0, squared(point, center));
    });
    if (nearest.every((distance) => distance < 1e-9)) break;
  }
  let weights: number[] = [];
  let spread = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const sums: Bin[] = centers.map(() => ({ L: 0, a: 0, b: 0, weight: 0 }));
    spread = 0;
    for (const point of points) {
      let best = 0;
      let distance = Number.POSITIVE_INFINITY;
      for (let n = 0; n < centers.length; n += 1) {
        const to = squared(point, centers[n] as Lab);
        if (to < distance) {
          distance = to;
          best = n;
        }
      }
      const sum = sums[best] as Bin;
      sum.L += point.L * point.weight;
      sum.a += point.a * point.weight;
      sum.b += point.b * point.weight;
      sum.weight += point.weight;
      spread += distance * point.weight;
    }
    let moved = 0;
    sums.forEach((sum, n) => {
      if (sum.weight === 0) return;
      const mean = { L: sum.L / sum.weight, a: sum.a / sum.weight, b: sum.b / sum.weight };
      moved = Math.max(moved, squared(mean, centers[n] as Lab));
      centers[n] = mean;
    });
    weights = sums.map((sum) => sum.weight);
    if (moved < 1e-6) break;
  }
  return { centers, weights, spread };
}

/**
 * Weighted k-means in CIELAB (Lloyd's algorithm with k-means++ seeds, Arthur and Vassilvitskii 2007): the best of a few
 * starts, since one start may end in a poor place. Deterministic for a seed.
 * @returns at most `count` means with their shares, fewer when there are fewer distinct points; largest first
 */
export function clusterLab(points: readonly Bin[], count: number, seed: number): Swatch[] {
  const total = points.reduce((sum, point) => sum + point.weight, 0);
  if (points.length === 0 || total <= 0 || count < 1) return [];
  const random = seededRandom(seed);
  let best = clusterOnce(points, count, random);
  for (let start = 1; start < STARTS; start += 1) {
    const other = clusterOnce(points, count, random);
    if (other.spread < best.spread) best = other;
  }
  return best.centers
    .map((lab, n) => ({ lab, share: (best.weights[n] ?? 0) / total }))
    .filter((swatch) => swatch.share > 0)
    .sort((a, b) => b.share - a.share);
}

/** Two swatches as one: their mean by share. */
export function mergeSwatches(a: Swatch, b: Swatch): Swatch {
  const share = a.share + b.share;
  const part = share > 0 ? b.share / share : 0.5;
  return {
    share,
    lab: {
      L: a.lab.L + (b.lab.L - a.lab.L) * part,
      a: a.lab.a + (b.lab.a - a.lab.a) * part,
      b: a.lab.b + (b.lab.b - a.lab.b) * part,
    },
  };
}

/**
 * The palette of a picture: colors that stand for it, largest share first. Small but strong colors (an accent in a
 * quiet room) are kept by clustering finer first and joining what looks alike afterwards.
 * @param pixels RGBA, eight bits a channel
 * @param count how many colors at most, 1 to 12
 */
export function paletteOf(pixels: ArrayLike<number>, count: number, seed = 1): Swatch[] {
  const fine = clusterLab(labHistogram(pixels), Math.min(24, count * 3), seed);
  const kept: Swatch[] = [...fine];
  const closest = (): [number, number, number] => {
    let best: [number, number, number] = [0, 0, Number.POSITIVE_INFINITY];
    for (let i = 0; i < kept.length; i += 1)
      for (let j = i + 1; j < kept.length; j += 1) {
        const [a, b] = [kept[i] as Swatch, kept[j] as Swatch];
        // What is rare gives way sooner, but not when it is far from everything else.
        const distance = ciede2000(a.lab, b.lab) * (0.35 + Math.sqrt(Math.min(a.share, b.share)));
        if (distance < best[2]) best = [i, j, distance];
      }
    return best;
  };
  for (;;) {
    if (kept.length < 2) break;
    const [i, j] = closest();
    const [a, b] = [kept[i] as Swatch, kept[j] as Swatch];
    if (kept.length <= count && ciede2000(a.lab, b.lab) >= SAME_COLOR) break;
    kept.splice(j, 1);
    kept.splice(i, 1, mergeSwatches(a, b));
  }
  return kept.sort((a, b) => b.share - a.share);
}

import { type Lab, labFromRgb } from '../../color/lab';
import { clusterLab } from '../../color/palette';

/** A picture as its pixels: red, green, blue and opacity, 0 to 255 each, row by row. */
export interface Picture {
  pixels: ArrayLike<number>;
  widthPx: number;
  heightPx: number;
}

/** A picture made small, each pixel in Lab, row by row. */
export interface LabPicture {
  colors: readonly Lab[];
  widthPx: number;
  heightPx: number;
}

/**
 * A picture with its longest side brought down to `longestPx`, each pixel the mean of what lies under it. A picture that
 * is small already keeps its size.
 */
export function labPicture({ pixels, widthPx, heightPx }: Picture, longestPx: number): LabPicture {
  const scale = Math.min(1, longestPx / Math.max(widthPx, heightPx));
  const wide = Math.max(1, Math.round(widthPx * scale));
  const high = Math.max(1, Math.round(heightPx * scale));
  const colors: Lab[] = [];
  for (let row = 0; row < high; row += 1) {
    const top = Math.floor((row * heightPx) / high);
    const bottom = Math.max(top + 1, Math.floor(((row + 1) * heightPx) / high));
    for (let column = 0; column < wide; column += 1) {
      const left = Math.floor((column * widthPx) / wide);
      const right = Math.max(left + 1, Math.floor(((column + 1) * widthPx) / wide));
      const sum = [0, 0, 0] as [number, number, number];
      for (let y = top; y < bottom; y += 1)
        for (let x = left; x < right; x += 1)
          for (const channel of [0, 1, 2] as const) sum[channel] += pixels[(y * widthPx + x) * 4 + channel] ?? 0;
      const count = (bottom - top) * (right - left);
      colors.push(labFromRgb(sum[0] / count, sum[1] / count, sum[2] / count));
    }
  }
  return { colors, widthPx: wide, heightPx: high };
}

/** How many colors stand for a background or for a piece: a wall, its shadow, a floor, a rug, and two more. */
const CLUSTERS = 6;
const SEED = 1;

/** The main colors of some pixels of a picture. */
export function mainColors(colors: readonly Lab[], chosen: (index: number) => boolean): Lab[] {
  const bins = colors.flatMap((color, index) => (chosen(index) ? [{ ...color, weight: 1 }] : []));
  return clusterLab(gathered(bins), CLUSTERS, SEED).map(({ lab }) => lab);
}

/** Colors gathered into cells, so that a whole border is clustered as fast as a few colors. */
function gathered(bins: readonly (Lab & { weight: number })[]): (Lab & { weight: number })[] {
  const cells = new Map<string, Lab & { weight: number }>();
  for (const { L, a, b } of bins) {
    const key = `${Math.round(L / CELL)},${Math.round(a / CELL)},${Math.round(b / CELL)}`;
    const cell = cells.get(key);
    if (!cell) cells.set(key, { L, a, b, weight: 1 });
    else {
      cell.weight += 1;
      cell.L += (L - cell.L) / cell.weight;
      cell.a += (a - cell.a) / cell.weight;
      cell.b += (b - cell.b) / cell.weight;
    }
  }
  return [...cells.values()];
}
const CELL = 4;

/** How far a color is from the nearest of some, ΔE of 1976; infinite where there are none. */
export const distanceTo = (color: Lab, others: readonly Lab[]): number =>
  others.reduce(
    (least, other) => Math.min(least, Math.hypot(color.L - other.L, color.a - other.a, color.b - other.b)),
    Number.POSITIVE_INFINITY,
  );

import { type Lab, labFromRgb, rgbFromLab } from './lab';

/** Lightness is counted in so many steps for its median. */
const STEPS = 1000;

type Point = readonly [x: number, y: number];

/**
 * Which pixels of a picture lie inside a closed line, by the middles of the pixels; even-odd.
 * @param points px
 * @returns 1 for a pixel inside, row by row
 */
export function maskOf(points: readonly Point[], widthPx: number, heightPx: number): Uint8Array {
  const mask = new Uint8Array(widthPx * heightPx);
  if (points.length < 3) return mask;
  const least = Math.max(0, Math.floor(Math.min(...points.map(([, y]) => y))));
  const most = Math.min(heightPx - 1, Math.ceil(Math.max(...points.map(([, y]) => y))));
  for (let row = least; row <= most; row++) {
    const y = row + 0.5;
    const crossings: number[] = [];
    let [ax, ay] = points[points.length - 1] ?? [0, 0];
    for (const [bx, by] of points) {
      if (ay <= y !== by <= y) crossings.push(ax + ((y - ay) / (by - ay)) * (bx - ax));
      [ax, ay] = [bx, by];
    }
    crossings.sort((a, b) => a - b);
    for (let n = 1; n < crossings.length; n += 2) {
      const from = Math.max(0, Math.ceil((crossings[n - 1] ?? 0) - 0.5));
      const to = Math.min(widthPx - 1, Math.ceil((crossings[n] ?? 0) - 0.5) - 1);
      if (to >= from) mask.fill(1, row * widthPx + from, row * widthPx + to + 1);
    }
  }
  return mask;
}

/** Packs a pixel's color into one number. */
const packed = (pixels: Uint8ClampedArray, n: number) =>
  ((pixels[n * 4] ?? 0) << 16) | ((pixels[n * 4 + 1] ?? 0) << 8) | (pixels[n * 4 + 2] ?? 0);

/**
 * Gives what lies inside a mask another color and leaves its shading: L' = L of the new color + (L − the median L inside),
 * a' and b' the new color's; clipped into the gamut. Pixels are changed in place.
 * @param pixels red, green, blue and opacity, 0 to 255 each, row by row
 * @example a chair in even brown becomes teal throughout; its shadows stay as much darker as they were
 */
export function recolorArea(pixels: Uint8ClampedArray, mask: Uint8Array, to: Lab): void {
  const lightness = new Map<number, number>();
  const counts = new Uint32Array(STEPS + 1);
  let inside = 0;
  for (let n = 0; n < mask.length; n++) {
    if (mask[n] === 0) continue;
    const key = packed(pixels, n);
    let L = lightness.get(key);
    if (L === undefined) {
      L = labFromRgb(key >> 16, (key >> 8) & 255, key & 255).L;
      lightness.set(key, L);
    }
    const step = Math.min(STEPS, Math.max(0, Math.round((L / 100) * STEPS)));
    counts[step] = (counts[step] ?? 0) + 1;
    inside += 1;
  }
  if (inside === 0) return;
  const median = medianOf(counts, inside);
  const made = new Map<number, number>();
  for (let n = 0; n < mask.length; n++) {
    if (mask[n] === 0) continue;
    const key = packed(pixels, n);
    let color = made.get(key);
    if (color === undefined) {
      const L = Math.min(100, Math.max(0, to.L + (lightness.get(key) ?? median) - median));
      const [red, green, blue] = rgbFromLab({ L, a: to.a, b: to.b }).map((value) =>
        Math.round(Math.min(255, Math.max(0, value))),
      );
      color = ((red ?? 0) << 16) | ((green ?? 0) << 8) | (blue ?? 0);
      made.set(key, color);
    }
    pixels[n * 4] = color >> 16;
    pixels[n * 4 + 1] = (color >> 8) & 255;
    pixels[n * 4 + 2] = color & 255;
  }
}

/** The middle of the counted steps, as a lightness. */
function medianOf(counts: Uint32Array, inside: number): number {
  let below = 0;
  for (let step = 0; step <= STEPS; step++) {
    below += counts[step] ?? 0;
    if (below * 2 >= inside) return (step / STEPS) * 100;
  }
  return 100;
}

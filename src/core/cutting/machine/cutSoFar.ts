import type { Point } from '../../surface/outline';
import type { BladePath } from './bladePath';

/**
 * What is cut once the blade has gone so far.
 * @param cutMm length with the blade down, mm; beyond the whole path it changes nothing
 * @returns a line for each cut of the path, in their order; without points where the blade has not been yet
 */
export function cutSoFar({ cuts }: Pick<BladePath, 'cuts'>, cutMm: number): Point[][] {
  let left = cutMm;
  return cuts.map(({ points }) => {
    const shown: Point[] = points.slice(0, 1);
    for (let n = 1; n < points.length && left > 0; n += 1) {
      const [x0, y0] = points[n - 1] ?? [0, 0];
      const [x1, y1] = points[n] ?? [0, 0];
      const length = Math.hypot(x1 - x0, y1 - y0);
      const share = length > left ? left / length : 1;
      shown.push([x0 + (x1 - x0) * share, y0 + (y1 - y0) * share]);
      left = Math.max(0, left - length);
    }
    return shown.length > 1 ? shown : [];
  });
}

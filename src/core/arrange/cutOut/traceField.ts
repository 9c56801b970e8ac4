import { contours } from 'd3-contour';
import simplify from 'simplify-js';
import { doubleArea, type Point } from '../../surface/outline';

/**
 * The lines around where a field is at least a half, in pixels of the field: the outer line first, then the holes in it.
 * Only its largest part is taken.
 * @param field a value for each pixel, row by row; the middle of a pixel has its value
 * @param tolerancePx how far a line may be from the true one, so that it has few points
 */
export function traceField(field: Float64Array, widthPx: number, tolerancePx: number): Point[][] {
  const heightPx = Math.floor(field.length / Math.max(1, widthPx));
  const [found] = contours().size([widthPx, heightPx]).thresholds([0.5])([...field]);
  const parts = (found?.coordinates ?? []).map((rings) => rings.map(ringOf));
  const [largest] = parts.sort((a, b) => areaOf(b) - areaOf(a));
  return (largest ?? []).map((ring) => fewer(ring, tolerancePx)).filter((ring) => ring.length >= 3);
}

/** A ring without the point that closes it. */
const ringOf = (ring: readonly (readonly number[])[]): Point[] =>
  ring.slice(0, -1).map(([x = 0, y = 0]): Point => [x, y]);

const areaOf = ([outer]: readonly Point[][]): number => (outer ? Math.abs(doubleArea(outer)) : 0);

/** A closed line with fewer points. It is cut at two far points, since the ends of a line always stay. */
function fewer(ring: readonly Point[], tolerancePx: number): Point[] {
  const half = Math.floor(ring.length / 2);
  const part = (from: readonly Point[]) =>
    simplify(
      from.map(([x, y]) => ({ x, y })),
      tolerancePx,
      true,
    ).map(({ x, y }): Point => [x, y]);
  const first = part(ring.slice(0, half + 1));
  const second = part([...ring.slice(half), ...ring.slice(0, 1)]);
  return [...first.slice(0, -1), ...second.slice(0, -1)];
}

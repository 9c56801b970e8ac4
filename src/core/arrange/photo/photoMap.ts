import type { PhotoPlane } from '../../model/entities/look';
import type { PhotoPoint } from '../../model/values/photoPoint';
import type { Point } from '../../surface/outline';
import { applied, type FourPoints, type Homography, homographyOf, inverse } from './homography';

/** The size of a picture in pixels. */
export interface PhotoSize {
  widthPx: number;
  heightPx: number;
}

/** The marked rectangle in the spot: its corners from the upper left one clockwise, x to the right and y up, mm. */
export function rectangleOf({ xMm, heightAtMm, widthMm, heightMm }: PhotoPlane): FourPoints {
  return [
    [xMm, heightAtMm + heightMm],
    [xMm + widthMm, heightAtMm + heightMm],
    [xMm + widthMm, heightAtMm],
    [xMm, heightAtMm],
  ];
}

/** The marked corners in a picture, px. */
export function cornersOf({ corners: [a, b, c, d] }: PhotoPlane, { widthPx, heightPx }: PhotoSize): FourPoints {
  const at = ({ x, y }: PhotoPoint): Point => [x * widthPx, y * heightPx];
  return [at(a), at(b), at(c), at(d)];
}

/** Corners whose sides turn by less than this (the sine of the angle) are as good as in a line. */
const LEAST_TURN = 0.02;

/** Whether four corners go around once and turn at each: a rectangle cannot look otherwise to a camera before it. */
function isSeenRectangle(corners: FourPoints): boolean {
  const turns = corners.map((here, n) => {
    const before = corners[(n + 3) % 4] ?? here;
    const after = corners[(n + 1) % 4] ?? here;
    const [ax, ay] = [here[0] - before[0], here[1] - before[1]];
    const [bx, by] = [after[0] - here[0], after[1] - here[1]];
    return (ax * by - ay * bx) / Math.max(1e-9, Math.hypot(ax, ay) * Math.hypot(bx, by));
  });
  return turns.every((turn) => turn > LEAST_TURN);
}

/**
 * The map from a spot (mm, y up from its base) to a picture (px, y down).
 * @returns null where three of the corners lie almost in a line, or where they do not go around clockwise
 */
export function photoMap(plane: PhotoPlane, size: PhotoSize): Homography | null {
  const corners = cornersOf(plane, size);
  return isSeenRectangle(corners) ? homographyOf(rectangleOf(plane), corners) : null;
}

/**
 * How far one pixel goes on the wall at a place in the picture, mm: by so much a tap that is one pixel off moves things.
 * @returns null beyond the horizon of the wall
 */
export function mmPerPixel(map: Homography, [x, y]: Point): number | null {
  const back = inverse(map);
  if (!back) return null;
  const at = applied(back, [x, y]);
  const steps = [applied(back, [x + 1, y]), applied(back, [x, y + 1])].map((other) =>
    Math.hypot(other[0] - at[0], other[1] - at[1]),
  );
  const most = Math.max(...steps);
  return Number.isFinite(most) ? most : null;
}

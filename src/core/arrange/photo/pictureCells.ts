import type { Point } from '../../surface/outline';

/** A part of a picture with the map that takes it to where it is shown. */
export interface PictureCell {
  /** The part, in shares of the whole picture. */
  x: number;
  y: number;
  width: number;
  height: number;
  /** From the whole picture as a square of one by one to pixels: x' = a·x + c·y + e, y' = b·x + d·y + f. */
  matrix: readonly [a: number, b: number, c: number, d: number, e: number, f: number];
}

/** How far a cell may show a point beside its true place, px: less than one sees. */
const TOLERANCE_PX = 0.3;
const MOST_ACROSS = 12;

/**
 * A picture in perspective, in parts so small that each is as good as a parallelogram: what draws can turn, scale and
 * shear, but cannot draw a plane that recedes.
 * @param at where a point of the picture is shown, px; the picture is a square of one by one
 * @returns one cell for a plane seen straight on, more for a steep one
 */
export function pictureCells(at: (x: number, y: number) => Point): PictureCell[] {
  for (let across = 1; ; across += 1) {
    const cells = split(at, across);
    if (across >= MOST_ACROSS || cells.every(({ error }) => error <= TOLERANCE_PX))
      return cells.map(({ cell }) => cell);
  }
}

function split(at: (x: number, y: number) => Point, across: number): { cell: PictureCell; error: number }[] {
  const side = 1 / across;
  return Array.from({ length: across * across }, (_, n) => {
    const [x, y] = [(n % across) * side, Math.floor(n / across) * side];
    const corners = [at(x, y), at(x + side, y), at(x, y + side), at(x + side, y + side)] as const;
    const [first, right, below, far] = corners;
    // The parallelogram that is nearest to four corners: its sides are the means of the opposite ones.
    const along = ([0, 1] as const).map((axis) => (right[axis] - first[axis] + far[axis] - below[axis]) / 2 / side);
    const down = ([0, 1] as const).map((axis) => (below[axis] - first[axis] + far[axis] - right[axis]) / 2 / side);
    const middle = ([0, 1] as const).map((axis) => corners.reduce((sum, corner) => sum + corner[axis], 0) / 4);
    const [a = 0, b = 0] = along;
    const [c = 0, d = 0] = down;
    const [centerX, centerY] = [x + side / 2, y + side / 2];
    const e = (middle[0] ?? 0) - a * centerX - c * centerY;
    const f = (middle[1] ?? 0) - b * centerX - d * centerY;
    const error = Math.hypot(first[0] + far[0] - right[0] - below[0], first[1] + far[1] - right[1] - below[1]) / 4;
    return { cell: { x, y, width: side, height: side, matrix: [a, b, c, d, e, f] }, error };
  });
}

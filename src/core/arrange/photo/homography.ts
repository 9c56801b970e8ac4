import type { Point } from '../../surface/outline';

/** A projective map of a plane, row by row: nine numbers, the last one scales. */
export type Homography = readonly [number, number, number, number, number, number, number, number, number];

/** A determinant that is this small a share of what it could be is none: rounding alone makes as much. */
const FLAT = 1e-13;

/** Four corners, in the same order in both places. */
export type FourPoints = readonly [Point, Point, Point, Point];

/**
 * The map that takes four points of a known rectangle to where they lie in a photo: the normalized direct linear
 * transform (Hartley & Zisserman, from memory), which moves both sets to their middle and to a mean distance of √2 first, so
 * that pixels and millimeters weigh alike.
 * @returns null where three of the four lie in a line, in either place
 */
export function homographyOf(from: FourPoints, to: FourPoints): Homography | null {
  const source = normalizing(from);
  const target = normalizing(to);
  if (!source || !target) return null;
  const rows: number[][] = [];
  from.forEach((point, n) => {
    const [x, y] = applied(source, point);
    const [u, v] = applied(target, to[n] as Point);
    rows.push([x, y, 1, 0, 0, 0, -u * x, -u * y, u], [0, 0, 0, x, y, 1, -v * x, -v * y, v]);
  });
  const solved = solve(rows);
  if (!solved) return null;
  const [a = 0, b = 0, c = 0, d = 0, e = 0, f = 0, g = 0, h = 0] = solved;
  const back = inverse(target);
  if (!back) return null;
  const found = times(back, times([a, b, c, d, e, f, g, h, 1], source));
  return inverse(found) ? found : null;
}

/** A point through a map; far away where the map takes it to infinity. */
export function applied([a, b, c, d, e, f, g, h, i]: Homography, [x, y]: Point): Point {
  const w = g * x + h * y + i;
  return [(a * x + b * y + c) / w, (d * x + e * y + f) / w];
}

/** The map back; null where a map is flat, so that there is no way back. */
export function inverse([a, b, c, d, e, f, g, h, i]: Homography): Homography | null {
  const [first, second, third] = [e * i - f * h, f * g - d * i, d * h - e * g];
  const determinant = a * first + b * second + c * third;
  // What it comes to at the most, for rows of such a length.
  const most = Math.hypot(a, b, c) * Math.hypot(d, e, f) * Math.hypot(g, h, i);
  if (Math.abs(determinant) <= FLAT * most) return null;
  const share = (minor: number) => minor / determinant;
  return [
    share(first),
    share(c * h - b * i),
    share(b * f - c * e),
    share(second),
    share(a * i - c * g),
    share(c * d - a * f),
    share(third),
    share(b * g - a * h),
    share(a * e - b * d),
  ];
}

/** One map after another: the second one first. */
export function times(second: Homography, first: Homography): Homography {
  const [a, b, c, d, e, f, g, h, i] = first;
  const row = (x: number, y: number, z: number) =>
    [x * a + y * d + z * g, x * b + y * e + z * h, x * c + y * f + z * i] as const;
  const [p, q, r, s, t, u, v, w, x] = second;
  return [...row(p, q, r), ...row(s, t, u), ...row(v, w, x)];
}

/** How far off a map takes points, at the most: the reprojection error, in the units of where they should lie. */
export const reprojectionError = (map: Homography, from: readonly Point[], to: readonly Point[]): number =>
  Math.max(
    0,
    ...from.map((point, n) => {
      const [x, y] = applied(map, point);
      const [u, v] = to[n] ?? [x, y];
      return Math.hypot(x - u, y - v);
    }),
  );

/** Moves points to their middle and to a mean distance of √2; null where three of them lie in a line. */
function normalizing(points: FourPoints): Homography | null {
  for (let n = 0; n < 4; n += 1) {
    const [a, b, c] = [points[n], points[(n + 1) % 4], points[(n + 2) % 4]] as [Point, Point, Point];
    const cross = (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
    const sides = Math.hypot(b[0] - a[0], b[1] - a[1]) * Math.hypot(c[0] - a[0], c[1] - a[1]);
    if (Math.abs(cross) <= 1e-6 * sides || sides === 0) return null;
  }
  const middle = [0, 1].map((axis) => points.reduce((sum, point) => sum + (point[axis] ?? 0), 0) / 4) as [
    number,
    number,
  ];
  const mean = points.reduce((sum, [x, y]) => sum + Math.hypot(x - middle[0], y - middle[1]), 0) / 4;
  const scale = Math.SQRT2 / mean;
  return [scale, 0, -scale * middle[0], 0, scale, -scale * middle[1], 0, 0, 1];
}

/** Eight equations with their right sides, solved by elimination with the largest pivot; null where they are not apart. */
function solve(rows: number[][]): number[] | null {
  const size = rows.length;
  for (let column = 0; column < size; column += 1) {
    let best = column;
    for (let row = column + 1; row < size; row += 1)
      if (Math.abs(rows[row]?.[column] ?? 0) > Math.abs(rows[best]?.[column] ?? 0)) best = row;
    const pivot = rows[best] as number[];
    if (Math.abs(pivot[column] ?? 0) < 1e-12) return null;
    [rows[column], rows[best]] = [pivot, rows[column] as number[]];
    for (let row = 0; row < size; row += 1) {
      const other = rows[row] as number[];
      if (row === column || other[column] === 0) continue;
      const factor = (other[column] ?? 0) / (pivot[column] ?? 1);
      for (let k = column; k <= size; k += 1) other[k] = (other[k] ?? 0) - factor * (pivot[k] ?? 0);
    }
  }
  return rows.map((row, n) => (row[size] ?? 0) / (row[n] ?? 1));
}

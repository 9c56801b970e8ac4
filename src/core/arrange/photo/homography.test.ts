import fc from 'fast-check';
import { jStat } from 'jstat';
import { describe, expect, it } from 'vitest';
import type { Point } from '../../surface/outline';
import {
  applied,
  type FourPoints,
  type Homography,
  homographyOf,
  inverse,
  reprojectionError,
  times,
} from './homography';

const unit: FourPoints = [
  [0, 0],
  [1, 0],
  [1, 1],
  [0, 1],
];
const rectangle = (width: number, height: number): FourPoints => [
  [0, 0],
  [width, 0],
  [width, height],
  [0, height],
];

/** Where a pinhole camera sees a point of a wall: focal length px, turned by an angle about the upright, so far away. */
function seen(point: Point, of: { focal: number; turn: number; awayMm: number; center: Point }): Point {
  const [x, y] = point;
  const z = of.awayMm + x * Math.sin(of.turn);
  return [of.center[0] + (of.focal * x * Math.cos(of.turn)) / z, of.center[1] - (of.focal * y) / z];
}

describe('four points of a wall in a photo', () => {
  it('give the map of a square to a trapezoid that Heckbert works out (from memory)', () => {
    // Unit square to (0,0), (10,0), (8,4), (2,4): Σ = (0, 0) + … gives g and h by the closed form for quadrilaterals.
    const to: FourPoints = [
      [0, 0],
      [10, 0],
      [8, 4],
      [2, 4],
    ];
    const map = homographyOf(unit, to) as Homography;
    const [dx1, dx2, sx] = [10 - 8, 2 - 8, 0 - 10 + 8 - 2];
    const [dy1, dy2, sy] = [0 - 4, 4 - 4, 0 - 0 + 4 - 4];
    const determinant = dx1 * dy2 - dx2 * dy1;
    const g = (sx * dy2 - dx2 * sy) / determinant;
    const h = (dx1 * sy - sx * dy1) / determinant;
    expect(map[6] / map[8]).toBeCloseTo(g, 9);
    expect(map[7] / map[8]).toBeCloseTo(h, 9);
    expect(reprojectionError(map, unit, to)).toBeLessThan(1e-9);
  });

  it('say where everything else on the wall is seen, as a pinhole camera does, from any side', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -1, max: 1, noNaN: true }),
        fc.integer({ min: 1500, max: 6000 }),
        fc.integer({ min: 600, max: 4000 }),
        fc.integer({ min: 300, max: 1200 }),
        fc.integer({ min: 300, max: 1200 }),
        (turn, awayMm, focal, width, height) => {
          const camera = { focal, turn, awayMm, center: [2000, 1500] as Point };
          const from = rectangle(width, height);
          const [a, b, c, d] = from;
          const to: FourPoints = [seen(a, camera), seen(b, camera), seen(c, camera), seen(d, camera)];
          const map = homographyOf(from, to);
          expect(map).not.toBeNull();
          if (!map) return;
          for (const point of [
            [width / 2, height / 3],
            [-200, 400],
            [width + 300, -100],
          ] as Point[]) {
            const [u, v] = applied(map, point);
            const [x, y] = seen(point, camera);
            expect(Math.hypot(u - x, v - y)).toBeLessThan(1e-3);
            const back = applied(inverse(map) as Homography, [u, v]);
            expect(Math.hypot(back[0] - point[0], back[1] - point[1])).toBeLessThan(1e-3);
          }
        },
      ),
    );
  });

  it('give the same map as the eight equations solved by a package for linear algebra (jstat)', () => {
    const corner = (x: number, y: number) =>
      fc.tuple(fc.integer({ min: x - 300, max: x + 300 }), fc.integer({ min: y - 300, max: y + 300 }));
    fc.assert(
      fc.property(
        fc.tuple(corner(1000, 800), corner(3000, 800), corner(3000, 2200), corner(1000, 2200)),
        fc.integer({ min: 300, max: 2400 }),
        fc.integer({ min: 300, max: 2400 }),
        (to, width, height) => {
          const from = rectangle(width, height);
          const map = homographyOf(from, to);
          expect(map).not.toBeNull();
          if (!map) return;
          // u (g x + h y + 1) = a x + b y + c, and the same for v; the ninth number is 1.
          const rows = from.flatMap(([x, y], n) => {
            const [u, v] = to[n] ?? [0, 0];
            return [
              [x, y, 1, 0, 0, 0, -u * x, -u * y],
              [0, 0, 0, x, y, 1, -v * x, -v * y],
            ];
          });
          const solved = jStat.multiply(
            jStat.inv(rows),
            to.flatMap(([u, v]) => [[u], [v]]),
          );
          const other = [...solved.flat(), 1];
          for (const [x, y] of [
            [width / 2, height / 2],
            [width * 0.1, height * 0.9],
            [width * 1.2, -height * 0.2],
          ] as const) {
            const w = (other[6] ?? 0) * x + (other[7] ?? 0) * y + 1;
            const u = ((other[0] ?? 0) * x + (other[1] ?? 0) * y + (other[2] ?? 0)) / w;
            const v = ((other[3] ?? 0) * x + (other[4] ?? 0) * y + (other[5] ?? 0)) / w;
            const [ownU, ownV] = applied(map, [x, y]);
            // A millionth of how far it is: near the horizon points are far away.
            expect(Math.hypot(ownU - u, ownV - v)).toBeLessThan(1e-6 * Math.max(1, Math.hypot(u, v)));
          }
        },
      ),
      { numRuns: 200 },
    );
  });

  it('of the wall itself are the map that moves nothing', () => {
    const map = homographyOf(rectangle(500, 700), rectangle(500, 700)) as Homography;
    const point: Point = [123, 456];
    const [x, y] = applied(map, point);
    expect(Math.hypot(x - 123, y - 456)).toBeLessThan(1e-9);
    const twice = times(map, map).map((value, _, all) => value / (all[8] ?? 1));
    [1, 0, 0, 0, 1, 0, 0, 0, 1].forEach((value, n) => {
      expect(twice[n]).toBeCloseTo(value, 6);
    });
  });

  it('three in a line, or two in one place, say nothing of a plane', () => {
    const flat: FourPoints = [
      [0, 0],
      [5, 0],
      [10, 0],
      [0, 5],
    ];
    expect(homographyOf(unit, flat)).toBeNull();
    expect(homographyOf(flat, unit)).toBeNull();
    expect(homographyOf(unit, [unit[0], unit[0], unit[2], unit[3]])).toBeNull();
    expect(inverse([1, 2, 3, 2, 4, 6, 0, 0, 1])).toBeNull();
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isInside, type Outline, type Point, rectangleOutline } from '../../surface/outline';
import { perimeterMm } from '../../surface/polygons';
import { bladePath, offMat, usualMachine } from './bladePath';
import { cutSoFar } from './cutSoFar';

const box = (x: number, y: number, size: number): Outline => rectangleOutline(x, y, size, size);
/** Small squares apart from each other on a grid, in any order; some with a hole. */
const scattered = fc.uniqueArray(fc.nat(35), { minLength: 1, maxLength: 9 }).map(
  (cells): Outline =>
    cells.flatMap((cell) => {
      const [x, y] = [(cell % 6) * 45, Math.floor(cell / 6) * 45];
      return [...box(x, y, 30), ...(cell % 3 === 0 ? box(x + 10, y + 10, 10) : [])];
    }),
);

describe('the way of the blade', () => {
  it('cuts every ring once, closed, whole', () => {
    fc.assert(
      fc.property(scattered, (rings) => {
        const path = bladePath(rings, usualMachine);
        expect(path.cuts.map(({ ring }) => ring).sort((a, b) => a - b)).toEqual(rings.map((_ring, n) => n));
        for (const { points, ring } of path.cuts) {
          expect(points[0]).toEqual(points.at(-1));
          expect(points.length).toBe((rings[ring]?.length ?? 0) + 1);
        }
        expect(path.cutMm).toBeCloseTo(perimeterMm(rings), 6);
        expect(path.lifts).toBe(rings.length);
      }),
    );
  });

  it('cuts what lies inside before what is around it', () => {
    fc.assert(
      fc.property(scattered, (rings) => {
        const order = bladePath(rings, usualMachine).cuts.map(({ ring }) => ring);
        order.forEach((outer, n) => {
          const around = rings[outer] ?? [];
          for (const later of order.slice(n + 1)) expect(isInside(rings[later]?.[0] ?? [-1, -1], [around])).toBe(false);
        });
      }),
    );
  });

  it('is the same for the same rings, and never longer than the file’s own', () => {
    fc.assert(
      fc.property(scattered, (rings) => {
        const path = bladePath(rings, usualMachine);
        expect(bladePath(rings, usualMachine)).toEqual(path);
        const hasHoles = rings.some((ring, n) =>
          rings.some((other, m) => n !== m && isInside(ring[0] ?? [0, 0], [other])),
        );
        if (!hasHoles) expect(path.travelMm).toBeLessThanOrEqual(path.fileTravelMm + 1e-6);
      }),
    );
  });

  it('of few single points is as short as the shortest of all orders', () => {
    // Tiny squares stand for points: where they are begun matters little.
    const points = fc.uniqueArray(fc.nat(99), { minLength: 2, maxLength: 6 });
    fc.assert(
      fc.property(points, (cells) => {
        const rings = cells.flatMap((cell) => box((cell % 10) * 28, Math.floor(cell / 10) * 28, 0.01));
        const path = bladePath(rings, usualMachine);
        expect(path.travelMm).toBeLessThanOrEqual(shortest(rings) + 0.2);
      }),
      { numRuns: 60 },
    );
  });

  it('takes its time: cutting, travelling, lifting', () => {
    const path = bladePath(box(0, 0, 75), usualMachine);
    // 300 mm at 150 a second, no travel, one lift.
    expect(path.minutes * 60).toBeCloseTo(2 + 0.2, 6);
  });

  it('stops where it is told to', () => {
    let told = 0;
    const rings = Array.from({ length: 40 }, (_, n) => box((n % 8) * 30, Math.floor(n / 8) * 30, 20)).flat();
    const path = bladePath(rings, usualMachine, () => {
      told += 1;
      return told < 3;
    });
    expect(told).toBe(3);
    expect(path.cuts).toHaveLength(40);
  });
});

describe('the mat', () => {
  it('is refused what lies off it, by the edge and how far', () => {
    expect(offMat(box(0, 0, 292), usualMachine)).toEqual([]);
    expect(offMat(box(10, 0, 292.1), usualMachine)).toEqual([
      { ring: 0, edge: 'right', beyondMm: expect.closeTo(10, 6) },
    ]);
    expect(offMat(box(-3, 0, 20), usualMachine)).toEqual([{ ring: 0, edge: 'left', beyondMm: 3 }]);
  });
});

/** The shortest way through all rings and back, by trying every order. */
function shortest(rings: Outline): number {
  const points = rings.map((ring) => ring[0] ?? ([0, 0] as const));
  const visit = (at: readonly [number, number], left: readonly (readonly [number, number])[]): number =>
    left.length === 0
      ? Math.hypot(at[0], at[1])
      : Math.min(
          ...left.map(
            (point, n) =>
              Math.hypot(at[0] - point[0], at[1] - point[1]) +
              visit(
                point,
                left.filter((_entry, m) => m !== n),
              ),
          ),
        );
  return visit([0, 0], points);
}

describe('a cut that is under way', () => {
  const square = rectangleOutline(10, 10, 40, 20);
  const path = bladePath([...square, ...rectangleOutline(80, 10, 10, 10)], usualMachine, () => true);
  const lengthOf = (lines: readonly (readonly Point[])[]) =>
    lines.reduce(
      (sum, line) =>
        sum +
        line.slice(1).reduce((own, [x, y], n) => own + Math.hypot(x - (line[n]?.[0] ?? 0), y - (line[n]?.[1] ?? 0)), 0),
      0,
    );
  it('shows as much as the blade has cut, from its beginning, and all of it at the end', () => {
    for (const share of [0, 0.1, 0.37, 0.8, 1, 2]) {
      const shown = cutSoFar(path, path.cutMm * share);
      expect(lengthOf(shown)).toBeCloseTo(path.cutMm * Math.min(1, share), 6);
      expect(shown).toHaveLength(path.cuts.length);
    }
    expect(cutSoFar(path, path.cutMm)).toEqual(path.cuts.map(({ points }) => points));
    expect(cutSoFar(path, 0)).toEqual(path.cuts.map(() => []));
  });
});

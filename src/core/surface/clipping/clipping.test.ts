import ClipperLib from 'clipper-lib';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { combined } from './combined';
import { partedAtCrossings } from './crossings';
import { type Edge, edgesOf, isSame, type Spot, sideOf, type WholeRing } from './edge';
import { type Corners, offset } from './offset';
import { ringsOf } from './rings';
import { onTheRight, type Windings, windingsOf } from './windings';

// Held against a general library for polygons that the application itself does not bring (clipper-lib, Vatti's way).

const doubled = (ring: WholeRing): number =>
  ring.reduce((sum, { x, y }, n) => {
    const next = ring[(n + 1) % ring.length] ?? { x, y };
    return sum + x * next.y - next.x * y;
  }, 0);
const areaOf = (rings: readonly WholeRing[]): number => rings.reduce((sum, ring) => sum + doubled(ring) / 2, 0);
const linesOf = (rings: readonly WholeRing[]): number =>
  rings.reduce(
    (sum, ring) =>
      sum +
      ring.reduce((own, { x, y }, n) => {
        const next = ring[(n + 1) % ring.length] ?? { x, y };
        return own + Math.hypot(next.x - x, next.y - y);
      }, 0),
    0,
  );
const theirs = (ring: WholeRing) => ring.map(({ x, y }) => ({ X: x, Y: y }));
const ours = (path: readonly { X: number; Y: number }[]): WholeRing => path.map(({ X, Y }) => ({ x: X, y: Y }));

const { ctUnion, ctIntersection, ctDifference, ctXor } = ClipperLib.ClipType;
const { pftEvenOdd, pftNonZero, pftPositive } = ClipperLib.PolyFillType;

/** What the library makes of two shapes. */
function byLibrary(type: number, first: readonly WholeRing[], second: readonly WholeRing[], fill: number): WholeRing[] {
  const clipper = new ClipperLib.Clipper();
  clipper.AddPaths(first.map(theirs), ClipperLib.PolyType.ptSubject, true);
  if (second.length > 0) clipper.AddPaths(second.map(theirs), ClipperLib.PolyType.ptClip, true);
  const solution: { X: number; Y: number }[][] = [];
  clipper.Execute(type, solution, fill, fill);
  return solution.map(ours);
}

function grownByLibrary(rings: readonly WholeRing[], by: number, corners: Corners): WholeRing[] {
  const clipper = new ClipperLib.ClipperOffset(2, 20);
  const join = corners === 'round' ? ClipperLib.JoinType.jtRound : ClipperLib.JoinType.jtMiter;
  clipper.AddPaths(rings.map(theirs), join, ClipperLib.EndType.etClosedPolygon);
  const solution: { X: number; Y: number }[][] = [];
  clipper.Execute(solution, by);
  return solution.map(ours);
}

/** What of two shapes belongs to one of them only: as the library sees it. */
const differenceOf = (a: readonly WholeRing[], b: readonly WholeRing[]): number =>
  Math.abs(areaOf(byLibrary(ctXor, a, b, pftNonZero)));

const odd = (windings: number): boolean => windings % 2 !== 0;
const rules: [name: string, type: number, fill: number, isTaken: (windings: Windings) => boolean][] = [
  ['all that any takes in', ctUnion, pftNonZero, ({ first, second }) => first !== 0 || second !== 0],
  ['by even and odd', ctUnion, pftEvenOdd, ({ first, second }) => odd(first) || odd(second)],
  ['what is gone around clockwise', ctUnion, pftPositive, ({ first, second }) => first > 0 || second > 0],
  ['in common', ctIntersection, pftEvenOdd, ({ first, second }) => odd(first) && odd(second)],
  ['what lies outside the other', ctDifference, pftEvenOdd, ({ first, second }) => odd(first) && !odd(second)],
  ['in one only', ctXor, pftNonZero, ({ first, second }) => (first !== 0) !== (second !== 0)],
];

const spot = (most: number, step = 1) =>
  fc.record({
    x: fc.integer({ min: 0, max: most }).map((n) => n * step),
    y: fc.integer({ min: 0, max: most }).map((n) => n * step),
  });
/** Rings that cross themselves and each other as they like. */
const tangled = fc.array(fc.array(spot(100_000), { minLength: 3, maxLength: 8 }), { minLength: 1, maxLength: 4 });
/** Rings on a coarse grid: edges on edges, corners on edges, points said twice, rings without any area. */
const gridded = fc.array(fc.array(spot(6, 10_000), { minLength: 1, maxLength: 9 }), { minLength: 1, maxLength: 5 });
/** Rings on so fine a grid that nearly every crossing has to be rounded onto something. */
const crowded = fc.array(fc.array(spot(7), { minLength: 3, maxLength: 12 }), { minLength: 1, maxLength: 4 });
const anyShapes = fc.oneof(tangled, gridded);
const anyRings = fc.oneof(tangled, gridded, crowded);
/** A place that no coordinate of the grid comes to. */
const place = fc.record({
  x: fc.integer({ min: 0, max: 100_000 }).map((n) => n + 0.37),
  y: fc.integer({ min: 0, max: 100_000 }).map((n) => n + 0.61),
});

/**
 * How often rings go clockwise around a place: each edge that crosses its height counts one way or the other where it
 * passes to the right (the winding number as textbooks have it; Sunday 2001, from memory).
 */
const windingOf = (at: Spot, rings: readonly WholeRing[]): number =>
  rings.reduce(
    (sum, ring) =>
      sum +
      ring.reduce((own, from, n) => {
        const to = ring[(n + 1) % ring.length] ?? from;
        const side = sideOf(from, to, at);
        if (from.y <= at.y && to.y > at.y && side > 0) return own + 1;
        return to.y <= at.y && from.y > at.y && side < 0 ? own - 1 : own;
      }, 0),
    0,
  );

/** Whether a place is as good as on a line of a ring. */
const isBeside = (at: Spot, ring: WholeRing): boolean =>
  ring.some((from, n) => {
    const to = ring[(n + 1) % ring.length] ?? from;
    return Math.abs(sideOf(from, to, at)) <= 3 * Math.hypot(to.x - from.x, to.y - from.y);
  });

describe('parting edges where they meet', () => {
  it('leaves none that have more than an end in common', () => {
    fc.assert(
      fc.property(anyRings, (rings) => {
        const edges = partedAtCrossings(edgesOf(rings, 'first'));
        expect(edges.some((a, n) => edges.slice(n + 1).some((b) => doMeet(a, b)))).toBe(false);
      }),
      { numRuns: 300 },
    );
  });

  it('bends an edge by less than a point for each crossing on it', () => {
    const [edge] = edgesOf(
      [
        [
          { x: 0, y: 0 },
          { x: 10, y: 3 },
        ],
      ],
      'first',
    );
    const cross: WholeRing = [
      { x: 5, y: -10 },
      { x: 5, y: 10 },
      { x: 20, y: 10 },
    ];
    const parts = partedAtCrossings([...(edge ? [edge] : []), ...edgesOf([cross], 'second')]);
    expect(parts.some(({ from }) => isSame(from, { x: 5, y: 2 }))).toBe(true);
  });
});

/** Whether two edges cross, lie on each other, or one ends on the other. */
function doMeet(a: Edge, b: Edge): boolean {
  const ends = [sideOf(a.from, a.to, b.from), sideOf(a.from, a.to, b.to)].map(Math.sign);
  const others = [sideOf(b.from, b.to, a.from), sideOf(b.from, b.to, a.to)].map(Math.sign);
  if ((ends[0] ?? 0) * (ends[1] ?? 0) < 0 && (others[0] ?? 0) * (others[1] ?? 0) < 0) return true;
  const on = (edge: Edge, point: Spot): boolean =>
    sideOf(edge.from, edge.to, point) === 0 &&
    !isSame(edge.from, point) &&
    !isSame(edge.to, point) &&
    (point.x - edge.from.x) * (point.x - edge.to.x) <= 0 &&
    (point.y - edge.from.y) * (point.y - edge.to.y) <= 0;
  return on(a, b.from) || on(a, b.to) || on(b, a.from) || on(b, a.to);
}

describe('counting how often rings go around', () => {
  it('comes to what a ray from the place counts', () => {
    fc.assert(
      fc.property(anyRings, anyRings, (first, second) => {
        const edges = partedAtCrossings([...edgesOf(first, 'first'), ...edgesOf(second, 'second')]);
        const windings = windingsOf(edges);
        expect(windings.size).toBe(edges.length);
        for (const [edge, left] of windings) expect(left).toEqual(countedFrom(edge, edges));
      }),
      { numRuns: 300 },
    );
  });

  it('counts a square twice that is drawn twice, and not one that is drawn there and back', () => {
    const square: WholeRing = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ];
    const back = [...square].reverse();
    const [top] = windingsOf(partedAtCrossings(edgesOf([square, square], 'first')));
    expect(top && [top[1], onTheRight(...top)]).toEqual([
      { first: 0, second: 0 },
      { first: 2, second: 0 },
    ]);
    expect(partedAtCrossings(edgesOf([square, back], 'first'))).toEqual([]);
  });
});

/** The same by all edges that lie above the middle of one, a hair to the right of it. */
function countedFrom(edge: Edge, edges: readonly Edge[]): Windings {
  const x = edge.from.x === edge.to.x ? edge.from.x : (edge.from.x + edge.to.x) / 2;
  const middle = { x, y: (edge.from.y + edge.to.y) / 2 };
  const over = edges.filter(
    (other) => other !== edge && other.from.x <= x && other.to.x > x && sideOf(other.from, other.to, middle) > 0,
  );
  return {
    first: over.reduce((sum, other) => sum + other.first, 0),
    second: over.reduce((sum, other) => sum + other.second, 0),
  };
}

describe('clipping', () => {
  for (const [name, , , isTaken] of rules)
    it(`takes in every place that belongs to it, and no other: ${name}`, () => {
      fc.assert(
        fc.property(
          anyShapes,
          anyShapes,
          fc.array(place, { minLength: 20, maxLength: 20 }),
          (first, second, places) => {
            const own = combined(first, second, isTaken);
            for (const at of places) {
              // Crossings are rounded: right beside a line either may be.
              if ([...first, ...second].some((ring) => isBeside(at, ring))) continue;
              const windings = { first: windingOf(at, first), second: windingOf(at, second) };
              expect(windingOf(at, own)).toBe(isTaken(windings) ? 1 : 0);
            }
          },
        ),
        { numRuns: 150 },
      );
    });

  for (const [name, type, fill, isTaken] of rules)
    it(`has the area that the library has: ${name}`, () => {
      fc.assert(
        fc.property(tangled, tangled, (first, second) => {
          const own = areaOf(combined(first, second, isTaken));
          const off = Math.abs(own - areaOf(byLibrary(type, first, second, fill)));
          // Either rounds crossings: a strip of a point's width along all lines.
          expect(off).toBeLessThanOrEqual(linesOf([...first, ...second]));
        }),
        { numRuns: 150 },
      );
    });

  it('has rings clockwise, holes against it, no point twice in one, none in the middle of a line', () => {
    fc.assert(
      fc.property(anyRings, anyRings, (first, second) => {
        for (const [, , , isTaken] of rules) {
          const rings = combined(first, second, isTaken);
          expect(areaOf(rings)).toBeGreaterThanOrEqual(0);
          for (const ring of rings) {
            expect(new Set(ring.map(({ x, y }) => `${x} ${y}`)).size).toBe(ring.length);
            ring.forEach((point, n) => {
              const [before, after] = [ring.at(n - 1) ?? point, ring[(n + 1) % ring.length] ?? point];
              expect(sideOf(before, after, point)).not.toBe(0);
            });
          }
        }
      }),
      { numRuns: 150 },
    );
  });

  it('changes next to nothing a second time', () => {
    fc.assert(
      fc.property(anyRings, (rings) => {
        const once = combined(rings, [], ({ first }) => odd(first));
        const twice = combined(once, [], ({ first }) => odd(first));
        // An end beside a line may bend it by half a point.
        expect(Math.abs(areaOf(twice) - areaOf(once))).toBeLessThanOrEqual(linesOf(once) / 2);
      }),
      { numRuns: 200 },
    );
  });

  it('parts what is in common, and what is not, without anything left over', () => {
    fc.assert(
      fc.property(gridded, gridded, (first, second) => {
        const of = (isTaken: (windings: Windings) => boolean) => areaOf(combined(first, second, isTaken));
        const [a, b] = [of(({ first: n }) => odd(n)), of(({ second: n }) => odd(n))];
        const both = of(({ first: n, second: m }) => odd(n) && odd(m));
        const any = of(({ first: n, second: m }) => odd(n) || odd(m));
        expect(any).toBe(a + b - both);
      }),
    );
  });

  it('makes two rings of squares that touch at a corner, and a hole of a ring that touches its rim', () => {
    const square = (x: number, y: number, side: number): WholeRing => [
      { x, y },
      { x: x + side, y },
      { x: x + side, y: y + side },
      { x, y: y + side },
    ];
    expect(combined([square(0, 0, 10), square(10, 10, 10)], [], ({ first }) => first !== 0)).toHaveLength(2);
    const rim: WholeRing = [
      { x: 0, y: 5 },
      { x: 5, y: 2 },
      { x: 8, y: 5 },
      { x: 5, y: 8 },
    ];
    const holed = combined([square(0, 0, 10)], [rim], ({ first, second }) => first !== 0 && second === 0);
    expect(holed.map((ring) => Math.sign(doubled(ring))).sort()).toEqual([-1, 1]);
  });

  it('has no ring for no edges', () => {
    expect(combined([], [], () => true)).toEqual([]);
    expect(
      combined(
        [
          [],
          [{ x: 1, y: 1 }],
          [
            { x: 1, y: 1 },
            { x: 5, y: 5 },
          ],
        ],
        [],
        ({ first }) => first !== 0,
      ),
    ).toEqual([]);
    expect(ringsOf([])).toEqual([]);
  });
});

describe('growing and shrinking', () => {
  const shape = tangled.map((rings) => combined(rings, [], ({ first }) => odd(first)));
  for (const corners of ['round', 'sharp'] as const)
    it(`gives what the library gives, with ${corners} corners`, () => {
      fc.assert(
        fc.property(shape, fc.integer({ min: -20_000, max: 20_000 }), (rings, by) => {
          fc.pre(rings.length > 0 && Math.abs(by) >= 50);
          const own = offset(rings, by, corners);
          const other = grownByLibrary(rings, by, corners);
          // A rounded corner may lie beside its arc by 20 in both; every line may be a point off.
          const lines = linesOf(own) + linesOf(other) + linesOf(rings);
          expect(differenceOf(own, other)).toBeLessThanOrEqual(10 + lines * (corners === 'round' ? 12 : 2));
        }),
        { numRuns: 200 },
      );
    });

  it('leaves a hole open as long as there is one', () => {
    const frame: WholeRing[] = [
      [
        { x: 0, y: 0 },
        { x: 1000, y: 0 },
        { x: 1000, y: 1000 },
        { x: 0, y: 1000 },
      ],
      [
        { x: 400, y: 400 },
        { x: 400, y: 600 },
        { x: 600, y: 600 },
        { x: 600, y: 400 },
      ],
    ];
    expect(areaOf(offset(frame, 50, 'sharp'))).toBe(1100 * 1100 - 100 * 100);
    expect(areaOf(offset(frame, 101, 'sharp'))).toBe(1202 * 1202);
    expect(areaOf(offset(frame, -50, 'sharp'))).toBe(900 * 900 - (300 * 300 - 0));
    expect(offset(frame, -201, 'sharp')).toEqual([]);
  });
});

import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { type Lab, labFromHex } from '../../color/lab';
import { type Point, type Ring, rectangleOutline, roundRing } from '../../surface/outline';
import { accentEcho } from './accentEcho';
import { leastAir, lookAir } from './lookAir';
import { lookBalance } from './lookBalance';
import { boundsOf, type SeenPiece } from './seenPiece';
import { visualWeight } from './visualWeight';

const gray = (L: number): Lab => ({ L, a: 0, b: 0 });
let made = 0;
/** A box that stands in a look. */
function box(xMm: number, footMm: number, widthMm: number, heightMm: number, L = 50): SeenPiece {
  made += 1;
  return { id: `p${made}`, name: 'box', outline: rectangleOutline(xMm, footMm, widthMm, heightMm), color: gray(L) };
}

describe('how much a piece weighs to the eye', () => {
  it('is its area, a black one whole, a white one six tenths', () => {
    expect(visualWeight(box(0, 0, 500, 400, 0))).toBeCloseTo(0.2, 12);
    expect(visualWeight(box(0, 0, 500, 400, 100))).toBeCloseTo(0.12, 12);
    expect(visualWeight(box(0, 0, 500, 400, 30))).toBeCloseTo(0.176, 12);
  });

  it('counts what is seen: a round mirror less than its square, a frame without its hole', () => {
    const round = { ...box(0, 0, 1, 1, 0), outline: [roundRing(200, 200, 200)] };
    expect(visualWeight(round)).toBeLessThan(visualWeight(box(0, 0, 400, 400, 0)));
    expect(visualWeight(round)).toBeCloseTo(Math.PI * 0.04, 3);
  });
});

describe('the balance of a look', () => {
  it('is that of the definitions: 0.0880 against 0.0924 is +0.02', () => {
    // 0.20 m², L* 30, half a meter to the left of the middle; 0.35 m², L* 85, 0.4 m to the right.
    const found = lookBalance([box(1000 - 500 - 250, 0, 500, 400, 30), box(1000 + 400 - 350, 0, 700, 500, 85)], 1000);
    expect(found?.balance).toBeCloseTo((0.0924 - 0.088) / (0.0924 + 0.088), 6);
    expect(found?.balance.toFixed(2)).toBe('0.02');
    expect(found?.verdict).toBe('mirrored');
  });

  it('is uneven on purpose from 0.15 on, and leans from 0.45 on', () => {
    const beside = (rightWidth: number) => lookBalance([box(0, 0, 100, 100), box(1900, 0, 100, rightWidth)], 1000);
    expect(beside(100)?.verdict).toBe('mirrored');
    expect(beside(150)?.verdict).toBe('uneven');
    expect(beside(300)?.verdict).toBe('leans');
  });

  it('says nothing of an empty look, or of one thing in the middle', () => {
    expect(lookBalance([], 1000)).toBeNull();
    expect(lookBalance([box(900, 0, 200, 200)], 1000)).toBeNull();
  });

  it('turns its sign when the look is mirrored, and stays when everything is twice as large', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(
            fc.integer({ min: 0, max: 1900 }),
            fc.integer({ min: 20, max: 400 }),
            fc.integer({ min: 5, max: 95 }),
          ),
          { minLength: 2, maxLength: 8 },
        ),
        (entries) => {
          const look = entries.map(([x, width, L]) => box(x, 0, width, 300, L));
          const mirrored = entries.map(([x, width, L]) => box(2000 - x - width, 0, width, 300, L));
          const doubled = entries.map(([x, width, L]) => box(2 * x, 0, 2 * width, 600, L));
          const own = lookBalance(look, 1000);
          const other = lookBalance(mirrored, 1000);
          expect((other?.balance ?? 0) + (own?.balance ?? 0)).toBeCloseTo(0, 9);
          expect(lookBalance(doubled, 2000)?.balance ?? 0).toBeCloseTo(own?.balance ?? 0, 9);
          expect(Math.abs(own?.balance ?? 0)).toBeLessThanOrEqual(1 + 1e-12);
        },
      ),
    );
  });
});

describe('the air of a look', () => {
  it('is what no silhouette covers below the tallest top; what lies behind counts once', () => {
    expect(lookAir([box(0, 0, 500, 1000)], 1000)).toBeCloseTo(0.5, 9);
    expect(lookAir([box(0, 0, 500, 1000), box(100, 100, 300, 300)], 1000)).toBeCloseTo(0.5, 9);
    expect(lookAir([box(0, 0, 500, 500), box(500, 0, 100, 1000)], 1000)).toBeCloseTo(1 - 0.25 - 0.1, 9);
    expect(lookAir([], 1000)).toBe(1);
    expect(leastAir).toEqual({ pareBack: 0.45, layerUp: 0.25 });
  });

  it('agrees with a package that clips polygons, for any crowd of boxes and rounds', () => {
    const ring = (points: Ring): [number, number][] => points.map(([x, y]: Point) => [x, y]);
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            x: fc.integer({ min: 0, max: 800 }),
            y: fc.integer({ min: 0, max: 500 }),
            width: fc.integer({ min: 10, max: 400 }),
            isRound: fc.boolean(),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (shapes) => {
          const look = shapes.map(({ x, y, width, isRound }): SeenPiece => {
            const piece = box(x, y, width, width);
            return isRound ? { ...piece, outline: [roundRing(x + width / 2, y + width / 2, width / 2)] } : piece;
          });
          const [first, ...rest] = look.map(({ outline }) => outline.map(ring));
          const union = polygonClipping.union(first as [number, number][][], ...(rest as [number, number][][][]));
          const area = union.reduce(
            (sum, polygon) => sum + polygon.reduce((all, part, n) => all + (n === 0 ? 1 : -1) * shoelace(part), 0),
            0,
          );
          const top = Math.max(...look.map((piece) => boundsOf(piece)?.topMm ?? 0));
          // The strips are exact for boxes, and within a thousandth for what is round.
          expect(Math.abs(lookAir(look, 1200) - Math.max(0, 1 - area / (1200 * top)))).toBeLessThan(1e-3);
        },
      ),
      { numRuns: 60 },
    );
  });
});

function shoelace(points: readonly (readonly [number, number])[]): number {
  let sum = 0;
  points.forEach(([x, y], n) => {
    const [nextX, nextY] = points[(n + 1) % points.length] ?? [0, 0];
    sum += x * nextY - nextX * y;
  });
  return Math.abs(sum) / 2;
}

describe('the echo of an accent', () => {
  const teal = labFromHex('#2f5d62');
  const white = labFromHex('#f1efe6');
  const at = (spotId: string, color: Lab) => ({ spotId, color });

  it('stands on two pieces or in two spots, and on no more than six of ten', () => {
    expect(accentEcho(teal, [at('a', teal), at('a', white), at('a', teal), at('b', white)])).toEqual({
      pieces: 2,
      spots: 1,
      share: 0.5,
      verdict: 'echoes',
    });
    expect(accentEcho(teal, [at('a', teal), at('b', white), at('b', white)]).verdict).toBe('alone');
    expect(accentEcho(teal, [at('a', teal), at('b', teal), at('b', teal)]).verdict).toBe('everywhere');
    expect(accentEcho(teal, [at('a', white)]).verdict).toBe('absent');
    expect(accentEcho(teal, []).verdict).toBe('absent');
  });

  it('takes a color that is nearly the accent, and not its neighbor', () => {
    const near = { ...teal, L: teal.L + 6 };
    expect(accentEcho(teal, [at('a', near), at('b', teal)]).pieces).toBe(2);
    expect(accentEcho(teal, [at('a', { ...teal, L: teal.L + 25 }), at('b', teal)]).pieces).toBe(1);
  });
});

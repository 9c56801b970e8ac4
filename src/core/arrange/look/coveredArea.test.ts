import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { type Outline, rectangleOutline, roundRing } from '../../surface/outline';
import { coveredArea } from './coveredArea';

describe('what outlines cover together', () => {
  it('is the area of one, the sum of two apart, and once what lies over each other', () => {
    const box = rectangleOutline(0, 0, 300, 200);
    expect(coveredArea([box])).toBeCloseTo(60_000, 6);
    expect(coveredArea([box, rectangleOutline(500, 0, 100, 100)])).toBeCloseTo(70_000, 6);
    expect(coveredArea([box, rectangleOutline(200, 100, 200, 200)])).toBeCloseTo(60_000 + 40_000 - 10_000, 6);
    expect(coveredArea([])).toBe(0);
  });

  it('leaves a hole open: a frame around a picture that is not there', () => {
    const frame: Outline = [...rectangleOutline(0, 0, 400, 300), ...rectangleOutline(100, 50, 200, 200)];
    expect(coveredArea([frame])).toBeCloseTo(400 * 300 - 200 * 200, 6);
  });

  it('of a round is π r², less what the corners of its ring cut off', () => {
    const area = coveredArea([[roundRing(500, 500, 400)]]);
    expect(Math.abs(area / (Math.PI * 400 ** 2) - 1)).toBeLessThan(0.006);
  });

  it('is exact for any boxes, as a package that clips polygons has it', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            x: fc.integer({ min: 0, max: 900 }),
            y: fc.integer({ min: 0, max: 900 }),
            w: fc.integer({ min: 5, max: 400 }),
            h: fc.integer({ min: 5, max: 400 }),
          }),
          { minLength: 1, maxLength: 14 },
        ),
        (boxes) => {
          const outlines = boxes.map(({ x, y, w, h }) => rectangleOutline(x, y, w, h));
          const [first, ...rest] = outlines.map((outline) =>
            outline.map((ring) => ring.map(([x, y]): [number, number] => [x, y])),
          );
          const union = polygonClipping.union(first as [number, number][][], ...(rest as [number, number][][][]));
          const shoelace = (ring: readonly (readonly [number, number])[]) =>
            Math.abs(
              ring.reduce((sum, [x, y], n) => {
                const [nextX, nextY] = ring[(n + 1) % ring.length] ?? [0, 0];
                return sum + x * nextY - nextX * y;
              }, 0),
            ) / 2;
          const area = union.reduce(
            (sum, polygon) => sum + polygon.reduce((all, ring, n) => all + (n === 0 ? 1 : -1) * shoelace(ring), 0),
            0,
          );
          expect(coveredArea(outlines)).toBeCloseTo(area, 3);
        },
      ),
      { numRuns: 80 },
    );
  });
});

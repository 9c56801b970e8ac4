import fc from 'fast-check';
import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { doubleArea, type Outline, outlineAreaMm2, type Ring, rectangleOutline } from './outline';
import { common, grown, perimeterMm, welded, without } from './polygons';

/** A rectangle somewhere, turned by some angle; its ring runs clockwise as it is seen. */
const turnedBox = fc
  .record({
    x: fc.integer({ min: 0, max: 200 }),
    y: fc.integer({ min: 0, max: 200 }),
    w: fc.integer({ min: 5, max: 120 }),
    h: fc.integer({ min: 5, max: 120 }),
    angle: fc.double({ min: 0, max: Math.PI, noNaN: true }),
  })
  .map(
    ({ x, y, w, h, angle }): Ring =>
      (
        [
          [0, 0],
          [w, 0],
          [w, h],
          [0, h],
        ] as const
      ).map(
        ([a, b]) =>
          [
            Math.round((x + a * Math.cos(angle) - b * Math.sin(angle)) * 1000) / 1000,
            Math.round((y + a * Math.sin(angle) + b * Math.cos(angle)) * 1000) / 1000,
          ] as const,
      ),
  );
const boxes = fc.array(turnedBox, { minLength: 1, maxLength: 10 });

const asPolygon = (ring: Ring): Polygon => [ring.map(([x, y]): [number, number] => [x, y])];
/** Area by the other library's own rings: outer ones less their holes. */
const areaOf = (polygons: MultiPolygon): number =>
  polygons.reduce(
    (sum, rings) =>
      sum + rings.reduce((own, ring, n) => own + (n === 0 ? 1 : -1) * Math.abs(doubleArea(ring.slice(0, -1)) / 2), 0),
    0,
  );
const union = (rings: readonly Ring[]): MultiPolygon =>
  polygonClipping.union([asPolygon(rings[0] ?? [])], ...rings.slice(1).map((ring) => [asPolygon(ring)]));

describe('welding, held against another library for polygons', () => {
  it('covers the same area', () => {
    fc.assert(
      fc.property(boxes, (rings) => {
        const expected = areaOf(union(rings));
        expect(Math.abs(outlineAreaMm2(welded(rings)) - expected)).toBeLessThan(0.5 + expected * 1e-4);
      }),
      { numRuns: 150 },
    );
  });

  it('cuts away and keeps in common what that library does', () => {
    fc.assert(
      fc.property(boxes, boxes, (first, second) => {
        const [a, b] = [welded(first), welded(second)];
        const [unionA, unionB] = [union(first), union(second)];
        const less = areaOf(polygonClipping.difference(unionA, unionB));
        const both = areaOf(polygonClipping.intersection(unionA, unionB));
        expect(Math.abs(outlineAreaMm2(without(a, b)) - less)).toBeLessThan(1 + less * 1e-3);
        expect(Math.abs(outlineAreaMm2(common(a, b)) - both)).toBeLessThan(1 + both * 1e-3);
      }),
      { numRuns: 100 },
    );
  });

  it('leaves a hole where rings leave one', () => {
    const frame: Outline = [
      ...rectangleOutline(0, 0, 100, 100),
      ...rectangleOutline(20, 20, 60, 60).map((ring) => [...ring].reverse()),
    ];
    const whole = welded(frame);
    expect(whole).toHaveLength(2);
    expect(outlineAreaMm2(whole)).toBeCloseTo(100 * 100 - 60 * 60, 6);
  });
});

describe('a drawing larger than a house', () => {
  it('is clipped as one of the size of a hand is', () => {
    fc.assert(
      fc.property(boxes, boxes, fc.constantFrom(1e3, 1e6, 1e12), (first, second, times) => {
        const larger = (rings: readonly Ring[]): Outline =>
          rings.map((ring) => ring.map(([x, y]) => [x * times, y * times] as const));
        for (const work of [
          (a: Outline, b: Outline) => common(welded(a), welded(b)),
          (a: Outline, b: Outline) => without(welded(a), welded(b)),
        ]) {
          const area = outlineAreaMm2(work(first, second));
          const large = outlineAreaMm2(work(larger(first), larger(second))) / (times * times);
          expect(Math.abs(large - area)).toBeLessThan(0.5 + area * 1e-4);
        }
        const by = outlineAreaMm2(grown(first, 7, 'sharp'));
        expect(Math.abs(outlineAreaMm2(grown(larger(first), 7 * times, 'sharp')) / (times * times) - by)).toBeLessThan(
          1 + by * 1e-3,
        );
      }),
      { numRuns: 60 },
    );
  });
});

describe('the area of an outline', () => {
  it('counts rings that touch at a corner or along a side both', () => {
    expect(outlineAreaMm2([...rectangleOutline(0, 0, 5, 5), ...rectangleOutline(5, 5, 5, 5)])).toBe(50);
    expect(outlineAreaMm2([...rectangleOutline(0, 0, 5, 5), ...rectangleOutline(5, 0, 5, 5)])).toBe(50);
    // A corner in the middle of the other's side.
    const tip: Outline = [
      [
        [5, 2.5],
        [10, 0],
        [10, 5],
      ],
    ];
    expect(outlineAreaMm2([...rectangleOutline(0, 0, 5, 5), ...tip])).toBe(25 + 12.5);
  });
  it('takes out a hole that touches its rim', () => {
    expect(outlineAreaMm2([...rectangleOutline(0, 0, 10, 10), ...rectangleOutline(0, 0, 4, 4)])).toBe(84);
  });
});

describe('growing', () => {
  it('of a convex outline adds its perimeter and a circle: Steiner’s formula', () => {
    fc.assert(
      fc.property(turnedBox, fc.double({ min: 0.5, max: 30, noNaN: true }), (ring, by) => {
        const before = outlineAreaMm2([ring]);
        const expected = before + perimeterMm([ring]) * by + Math.PI * by * by;
        expect(Math.abs(outlineAreaMm2(grown([ring], by)) - expected)).toBeLessThan(0.6 + expected * 2e-3);
      }),
    );
  });

  it('shrinks a rectangle by as much on every side, until nothing is left', () => {
    const shrunk = grown(rectangleOutline(0, 0, 40, 20), -3);
    expect(outlineAreaMm2(shrunk)).toBeCloseTo(34 * 14, 3);
    expect(grown(rectangleOutline(0, 0, 40, 20), -10.01)).toEqual([]);
  });
});

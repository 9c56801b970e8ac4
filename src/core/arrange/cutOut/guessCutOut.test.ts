import fc from 'fast-check';
import polygonClipping from 'polygon-clipping';
import { describe, expect, it } from 'vitest';
import { maskOf } from '../../color/recolorArea';
import { seededRandom } from '../../kernel/seededRandom';
import { type Outline, type Point, roundRing } from '../../surface/outline';
import { geodesicDistance } from './geodesic';
import { guessCutOut, otsu } from './guessCutOut';
import type { Picture } from './pictureColors';
import { cleaned, eroded, partsOf } from './pixelMask';
import { traceField } from './traceField';

type Rgb = readonly [number, number, number];
const WIDE = 360;
const HIGH = 270;

/** A picture whose true edge is known: rings (even-odd, px) in a color before a background, lit from one side, with noise. */
function painted(
  rings: Outline,
  color: Rgb,
  background: (x: number, y: number) => Rgb,
  { noise = 6, seed = 1, light = 0.25 } = {},
): Picture {
  const random = seededRandom(seed);
  const inside = new Uint8Array(WIDE * HIGH);
  for (const ring of rings)
    maskOf(ring, WIDE, HIGH).forEach((value, n) => {
      inside[n] = (inside[n] ?? 0) ^ value;
    });
  const pixels = new Uint8ClampedArray(WIDE * HIGH * 4);
  for (let n = 0; n < inside.length; n += 1) {
    const [x, y] = [n % WIDE, Math.floor(n / WIDE)];
    const of = inside[n] === 1 ? color : background(x, y);
    const lit = 1 - light / 2 + (light * x) / WIDE;
    for (const channel of [0, 1, 2] as const)
      pixels[n * 4 + channel] = of[channel] * lit + (random() + random() - 1) * noise;
    pixels[n * 4 + 3] = 255;
  }
  return { pixels, widthPx: WIDE, heightPx: HIGH };
}

const closed = (ring: readonly Point[]): [number, number][] =>
  [...ring, ...ring.slice(0, 1)].map(([x, y]) => [x, y] as [number, number]);
const areaOf = (shape: polygonClipping.MultiPolygon): number =>
  shape.flat().reduce(
    (sum, ring) =>
      sum +
      ring.slice(1).reduce((part, [x, y], n) => {
        const [px, py] = ring[n] ?? [0, 0];
        return part + (px * y - x * py) / 2;
      }, 0),
    0,
  );

/** What two shapes have in common over what they cover together, by a clipping package: 1 where they are the same. */
function overlap(found: Outline, truth: Outline): number {
  const a = polygonClipping.xor(...(found.map((ring) => [closed(ring)]) as [polygonClipping.Polygon]));
  const b = polygonClipping.xor(...(truth.map((ring) => [closed(ring)]) as [polygonClipping.Polygon]));
  return areaOf(polygonClipping.intersection(a, b)) / areaOf(polygonClipping.union(a, b));
}

const inPixels = (found: Outline | null): Outline =>
  (found ?? []).map((ring) => ring.map(([x, y]): Point => [x * WIDE, y * HIGH]));

const wall = (): Rgb => [206, 204, 198];
const wallAndFloor = (_x: number, y: number): Rgb => (y > 200 ? [128, 98, 70] : [206, 204, 198]);
/** Boards with dark gaps. */
const boards = (x: number): Rgb => (x % 40 < 4 ? [70, 52, 40] : [164, 132, 98]);

const vase: Outline = [
  [
    [150, 60],
    [210, 60],
    [205, 90],
    [240, 150],
    [225, 220],
    [135, 220],
    [120, 150],
    [155, 90],
  ],
];
const wreath: Outline = [
  roundRing(180, 135, 100).map(([x, y]): Point => [x, y]),
  roundRing(180, 135, 55).map(([x, y]): Point => [x, y]),
];
const stool: Outline = [
  [
    [110, 100],
    [250, 100],
    [250, 120],
    [240, 120],
    [250, 240],
    [235, 240],
    [222, 120],
    [138, 120],
    [125, 240],
    [110, 240],
    [120, 120],
    [110, 120],
  ],
];

describe('the guessed edge of a piece', () => {
  it.each([
    ['a teal vase before a wall', vase, [32, 110, 118], wall, 0.96],
    ['a white vase before a gray wall and a brown floor', vase, [250, 249, 245], wallAndFloor, 0.9],
    ['a green wreath, open in its middle', wreath, [60, 98, 56], wall, 0.95],
    ['a dark stool with thin legs on a floor', stool, [40, 34, 32], wallAndFloor, 0.85],
    ['a blue vase before boards', vase, [44, 70, 130], boards, 0.94],
  ] as [string, Outline, Rgb, (x: number, y: number) => Rgb, number][])(
    'is found: %s',
    (_name, truth, color, background, least) => {
      const found = inPixels(guessCutOut(painted(truth, color, background)));
      expect(found.length).toBe(truth.length);
      expect(overlap(found, truth)).toBeGreaterThan(least);
    },
  );

  it('is found from a few taps where the colors of the border do not tell it', () => {
    // Half of the wall behind has the color of the vase: nothing but the taps can say which is which.
    const background = (x: number): Rgb => (x < 60 ? [32, 110, 118] : [206, 204, 198]);
    const picture = painted(vase, [40, 120, 126], background);
    const taps: Point[] = [
      [146, 54],
      [215, 56],
      [246, 150],
      [228, 226],
      [130, 224],
      [115, 150],
    ].map(([x = 0, y = 0]): Point => [x / WIDE, y / HIGH]);
    const found = inPixels(guessCutOut(picture, taps));
    expect(overlap(found, vase)).toBeGreaterThan(0.95);
    // Better than what was tapped.
    expect(overlap(found, vase)).toBeGreaterThan(overlap(inPixels([taps]), vase));
  });

  it('is none where nothing stands out, and none in a picture of nothing', () => {
    expect(guessCutOut(painted([], [0, 0, 0], wall))).toBeNull();
    expect(guessCutOut({ pixels: new Uint8ClampedArray(4), widthPx: 1, heightPx: 1 })).toBeNull();
    const flat = new Uint8ClampedArray(WIDE * HIGH * 4).fill(255);
    expect(guessCutOut({ pixels: flat, widthPx: WIDE, heightPx: HIGH })).toBeNull();
  });

  it('is none from taps that enclose nothing, or everything', () => {
    const picture = painted(vase, [32, 110, 118], wall);
    const at = (...points: [number, number][]) => guessCutOut(picture, points);
    expect(at([0.5, 0.5], [0.5, 0.5], [0.5, 0.5])).toBeNull();
    expect(at([0, 0], [1, 0], [1, 1], [0, 1])).toBeNull();
  });

  it('is the same each time, has few points, and lies within the picture', () => {
    fc.assert(
      fc.property(
        fc.record({
          cx: fc.integer({ min: 110, max: 250 }),
          cy: fc.integer({ min: 90, max: 180 }),
          radius: fc.integer({ min: 25, max: 75 }),
          seed: fc.integer({ min: 1, max: 1000 }),
        }),
        ({ cx, cy, radius, seed }) => {
          const truth = [roundRing(cx, cy, radius)];
          const picture = painted(truth, [150, 50, 44], wall, { seed });
          const found = guessCutOut(picture);
          expect(found).toEqual(guessCutOut(picture));
          expect(overlap(inPixels(found), truth)).toBeGreaterThan(0.93);
          for (const ring of found ?? []) {
            expect(ring.length).toBeLessThan(120);
            for (const [x, y] of ring) expect(Math.min(x, y, 1 - x, 1 - y)).toBeGreaterThanOrEqual(0);
          }
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('geodesic distance', () => {
  /** The same by the textbook's shortest paths, without a queue. */
  function plainly(field: Float64Array, seeds: Uint8Array, wide: number): number[] {
    const far = [...seeds].map((seed) => (seed === 1 ? 0 : Number.POSITIVE_INFINITY));
    for (let changed = true; changed; ) {
      changed = false;
      for (let a = 0; a < far.length; a += 1)
        for (let b = 0; b < far.length; b += 1) {
          const across = Math.abs((a % wide) - (b % wide));
          const down = Math.abs(Math.floor(a / wide) - Math.floor(b / wide));
          if (a === b || across > 1 || down > 1) continue;
          const way = (far[a] ?? 0) + Math.hypot(across, down) * 0.002 + Math.abs((field[a] ?? 0) - (field[b] ?? 0));
          if (way < (far[b] ?? 0) - 1e-12) {
            far[b] = way;
            changed = true;
          }
        }
    }
    return far;
  }

  it('is the cost of the cheapest way, as the textbook finds it', () => {
    const value = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(fc.array(value, { minLength: 20, maxLength: 20 }), fc.nat(19), (values, seed) => {
        const field = Float64Array.from(values);
        const seeds = new Uint8Array(20);
        seeds[seed] = 1;
        const found = geodesicDistance(field, seeds, 5);
        plainly(field, seeds, 5).forEach((far, n) => expect(found[n]).toBeCloseTo(far, 9));
      }),
    );
  });

  it('is infinite without a seed', () => {
    expect([...geodesicDistance(new Float64Array(4), new Uint8Array(4), 2)]).toEqual(new Array(4).fill(Infinity));
  });
});

describe('masks and lines', () => {
  const mask = (...rows: string[]) => Uint8Array.from(rows.join(''), (letter) => (letter === '#' ? 1 : 0));

  it('parts are connected by their sides, the largest first', () => {
    const parts = partsOf(mask('##..', '..#.', '##..'), 4);
    expect(parts.map((part) => part.length)).toEqual([2, 2, 1]);
  });

  it('specks go, small holes close, large ones and those at the edge stay', () => {
    const before = mask('.......', '.#####.', '.#...#.', '.#####.', '.....#.', '#......');
    expect(cleaned(before, 7, 0.1)).toEqual(mask('.......', '.#####.', '.#...#.', '.#####.', '.....#.', '.......'));
    expect(cleaned(before, 7, 0.5)).toEqual(mask('.......', '.#####.', '.#####.', '.#####.', '.....#.', '.......'));
    expect(cleaned(new Uint8Array(4), 2, 0.5)).toEqual(new Uint8Array(4));
  });

  it('erosion takes a layer, and leaves what leans on the edge of the picture', () => {
    expect(eroded(mask('####', '####', '####', '....'), 4, 1)).toEqual(mask('####', '####', '....', '....'));
  });

  it('a field is traced along its half, to a part of a pixel', () => {
    const wide = 40;
    const field = Float64Array.from({ length: wide * wide }, (_, n) => {
      const [x, y] = [(n % wide) + 0.5, Math.floor(n / wide) + 0.5];
      return Math.max(0, Math.min(1, 0.5 + (12.3 - Math.hypot(x - 20, y - 20)) / 4));
    });
    const [ring] = traceField(field, wide, 0.1);
    for (const [x, y] of ring ?? []) expect(Math.hypot(x - 20, y - 20)).toBeCloseTo(12.3, 0);
    const area = areaOf([[closed(ring ?? [])]]);
    expect(Math.abs(area)).toBeGreaterThan(Math.PI * 12.3 ** 2 * 0.98);
    expect(Math.abs(area)).toBeLessThan(Math.PI * 12.3 ** 2 * 1.02);
  });

  it('a traced line encloses as much as was in the mask, and its holes what was not, for any blocks', () => {
    const block = fc.record({
      x: fc.integer({ min: 2, max: 18 }),
      y: fc.integer({ min: 2, max: 18 }),
      wide: fc.integer({ min: 3, max: 8 }),
      high: fc.integer({ min: 3, max: 8 }),
    });
    fc.assert(
      fc.property(fc.array(block, { minLength: 1, maxLength: 5 }), (blocks) => {
        const wide = 30;
        const whole = new Uint8Array(wide * wide);
        for (const { x, y, wide: w, high } of blocks)
          for (let row = y; row < y + high; row += 1) whole.fill(1, row * wide + x, row * wide + x + w);
        const clean = cleaned(whole, wide, 0);
        const [outer, ...holes] = traceField(Float64Array.from(clean), wide, 0);
        const areaIn = (ring: readonly Point[]) => Math.abs(areaOf([[closed(ring)]]));
        const traced = areaIn(outer ?? []) - holes.reduce((sum, ring) => sum + areaIn(ring), 0);
        const count = clean.reduce((sum, value) => sum + value, 0);
        // Corners are cut by an eighth of a pixel each.
        expect(Math.abs(traced - count)).toBeLessThan(0.05 * count + 4);
      }),
    );
  });

  it('Otsu parts two heaps between them', () => {
    const at = otsu([1, 2, 1.5, 2, 1, 20, 21, 22]);
    expect(at).toBeGreaterThan(2);
    expect(at).toBeLessThan(20);
    expect(otsu([0, 0])).toBe(0);
  });
});

import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { Assumptions } from '../catalog/assumptions';
import { aroundCorner } from './aroundCorner';
import { passages } from './passages';

const size = (width: number | null, depth: number | null, height: number | null) => ({ width, depth, height });
const usual = new Assumptions([]);
const goes = (...of: Parameters<typeof size>) =>
  Object.fromEntries(passages(size(...of), usual).map(({ id, goes: does }) => [id, does]));

describe('around a corner', () => {
  it('takes a ladder as long as the textbook says: (a^⅔ + b^⅔)^1.5', () => {
    // The ladder problem of calculus textbooks; 27 and 64 are the numbers that come out whole: 9 + 16 = 25, 25^1.5 = 125.
    expect(aroundCorner(125, 0, 27, 64)).toBeCloseTo(0, 6);
    expect(aroundCorner(124.9, 0, 27, 64)).toBeGreaterThan(0);
    expect(aroundCorner(125.1, 0, 27, 64)).toBeLessThan(0);
    fc.assert(
      fc.property(fc.integer({ min: 300, max: 2000 }), fc.integer({ min: 300, max: 2000 }), (a, b) => {
        expect(aroundCorner((a ** (2 / 3) + b ** (2 / 3)) ** 1.5, 0, a, b)).toBeCloseTo(0, 3);
      }),
    );
  });

  it('is the same from either side, and never easier for what is larger', () => {
    const side = fc.integer({ min: 100, max: 3000 });
    fc.assert(
      fc.property(side, side, side, side, (length, width, a, b) => {
        const room = aroundCorner(length, width, a, b);
        expect(aroundCorner(length, width, b, a)).toBeCloseTo(room, 4);
        expect(aroundCorner(length + 50, width, a, b)).toBeLessThanOrEqual(room + 1e-6);
        expect(aroundCorner(length, width + 50, a, b)).toBeLessThanOrEqual(room + 1e-6);
      }),
    );
  });

  it('need not be turned when it is short', () => {
    // As tight as can be on both ways: pushed straight on it goes, turned it would not.
    expect(aroundCorner(800, 700, 700, 800)).toBe(0);
    expect(aroundCorner(801, 700, 700, 800)).toBeLessThan(0);
  });
});

describe('what a piece has to go through', () => {
  it('goes through a door with its two smaller sides, however it stands', () => {
    // A door of 762 × 2000: a wardrobe 900 wide and 600 deep goes through on its side, one of 800 × 900 does not.
    expect(goes(900, 600, 1900).door).toBe(true);
    expect(goes(800, 900, 2100).door).toBe(false);
    expect(goes(2400, 600, 2100).door).toBe(false);
  });

  it('lies in the hold in any way that it goes in: 1000 × 700 × 1600', () => {
    expect(goes(690, 1590, 990).car).toBe(true);
    expect(passages(size(690, 1640, 990), usual)[0]).toEqual({ id: 'car', goes: false, spareMm: -40 });
  });

  it('is carried up the stairs on its smallest side', () => {
    expect(goes(900, 860, 2000).stairs).toBe(false);
    expect(goes(900, 840, 2000).stairs).toBe(true);
  });

  it('takes what has no depth as flat, and says nothing of what nobody measured', () => {
    expect(goes(700, null, 900)).toEqual({ car: true, door: true, stairs: true, landing: true });
    expect(passages(size(null, 100, 100), usual)).toEqual([]);
  });

  it('is carried around the turn of the stairs with one side upright', () => {
    // 850 and 850 wide, no thickness: (850^⅔ + 850^⅔)^1.5 = 2404 long; upright it would not pass under 2032.
    expect(goes(2400, 0, 2400).landing).toBe(false);
    expect(goes(2400, 0, 2000).landing).toBe(true);
    // A sofa of 1900 × 850 × 800: on its end it is 1900 high, and 850 × 800 turn easily; one of 2100 does not stand, nor turn.
    expect(goes(1900, 850, 800)).toMatchObject({ landing: true, stairs: true });
    expect(goes(2100, 850, 800)).toMatchObject({ landing: false, stairs: true });
  });

  it('asks nothing of stairs and cars that there are none of', () => {
    const none = new Assumptions(
      ['passage.stairWidthMm', 'passage.carWidthMm'].map((key) => ({
        id: key,
        version: 1,
        key,
        scope: 'project',
        value: 0,
        note: '',
      })),
    );
    expect(passages(size(3000, 900, 900), none).map(({ id }) => id)).toEqual(['door']);
  });

  it('goes by what the project says of its own door', () => {
    const own = new Assumptions([
      { id: 'o', version: 1, key: 'passage.doorWidthMm', scope: 'project', value: 500, note: '' },
    ]);
    expect(passages(size(600, 600, 600), own).find(({ id }) => id === 'door')?.spareMm).toBe(-100);
  });
});

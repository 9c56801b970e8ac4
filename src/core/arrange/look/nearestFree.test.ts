import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { nearestFree, type Rect } from './nearestFree';

const field: Rect = { left: 0, right: 120, low: 0, high: 80 };
const rect = fc
  .record({
    left: fc.integer({ min: 0, max: 100 }),
    low: fc.integer({ min: 0, max: 60 }),
    wide: fc.integer({ min: 10, max: 60 }),
    tall: fc.integer({ min: 10, max: 60 }),
  })
  .map(({ left, low, wide, tall }): Rect => ({ left, right: left + wide, low, high: low + tall }));
const overlap = (a: Rect, b: Rect) =>
  Math.min(a.right, b.right) - Math.max(a.left, b.left) > 1 && Math.min(a.high, b.high) - Math.max(a.low, b.low) > 1;

describe('the nearest free place', () => {
  it('is the wanted one where that is free', () => {
    expect(nearestFree({ within: field, wide: 10, tall: 10, taken: [], wanted: { x: 31, y: 7 } })).toEqual({
      x: 31,
      y: 7,
    });
  });

  it('keeps the air that is asked for', () => {
    const taken = [{ left: 50, right: 70, low: 30, high: 50 }];
    const at = nearestFree({ within: field, wide: 20, tall: 20, taken, wanted: { x: 50, y: 30 }, gap: 5 });
    expect([at, at && Math.max(Math.abs(at.x - 50), Math.abs(at.y - 30))]).toEqual([expect.anything(), 25]);
  });

  it('meets nothing, and is found wherever a search of every millimeter finds one', () => {
    const size = fc.integer({ min: 10, max: 70 });
    fc.assert(
      fc.property(fc.array(rect, { maxLength: 5 }), size, size, (taken, wide, tall) => {
        const at = nearestFree({ within: field, wide, tall, taken, wanted: { x: 40, y: 20 } });
        const isFree = (x: number, y: number) =>
          !taken.some((one) => overlap(one, { left: x, right: x + wide, low: y, high: y + tall }));
        if (at) {
          expect(isFree(at.x, at.y)).toBe(true);
          expect(at.x >= -1 && at.y >= -1 && at.x + wide <= 121 && at.y + tall <= 81).toBe(true);
          return;
        }
        for (let x = 0; x <= 120 - wide; x += 1)
          for (let y = 0; y <= 80 - tall; y += 1)
            // What fits only by less than the slack counts as full.
            expect(
              taken.some((one) => overlap(one, { left: x - 1, right: x + wide + 1, low: y - 1, high: y + tall + 1 })),
            ).toBe(true);
      }),
      { numRuns: 100 },
    );
  });
});

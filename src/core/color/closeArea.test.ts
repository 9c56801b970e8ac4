import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closeArea } from './closeArea';
import { maskOf } from './recolorArea';

const WIDE = 96;
const HIGH = 72;

/** A picture from a function of x and y, with a mask, closed over; gives how far the closed pixels are from the function. */
function worst(value: (x: number, y: number) => number, mask: Uint8Array): number {
  const pixels = new Uint8ClampedArray(WIDE * HIGH * 4);
  for (let n = 0; n < WIDE * HIGH; n += 1) {
    const [x, y] = [n % WIDE, Math.floor(n / WIDE)];
    const of = mask[n] === 1 ? 0 : value(x, y);
    pixels.set([of, of / 2, 255 - of, 200], n * 4);
  }
  const before = pixels.slice();
  closeArea(pixels, mask, WIDE);
  let most = 0;
  for (let n = 0; n < WIDE * HIGH; n += 1) {
    expect(pixels[n * 4 + 3]).toBe(200);
    if (mask[n] !== 1) {
      expect(pixels[n * 4]).toBe(before[n * 4]);
      continue;
    }
    most = Math.max(most, Math.abs((pixels[n * 4] ?? 0) - value(n % WIDE, Math.floor(n / WIDE))));
  }
  return most;
}

const frame = maskOf(
  [
    [30, 20],
    [70, 20],
    [70, 50],
    [30, 50],
  ],
  WIDE,
  HIGH,
);

describe('an area that is closed over', () => {
  it('has the color of an even wall', () => {
    expect(worst(() => 140, frame)).toBeLessThanOrEqual(1);
  });

  it('goes on with a wall that is lit from one side', () => {
    expect(worst((x, y) => 40 + x + y / 2, frame)).toBeLessThanOrEqual(3);
  });

  it('is the solution of Laplace’s equation: x² − y² is one, and comes back', () => {
    const harmonic = (x: number, y: number) => 128 + ((x - 48) ** 2 - (y - 36) ** 2) / 22;
    expect(worst(harmonic, frame)).toBeLessThanOrEqual(4);
  });

  it('stays within what is around it (the maximum principle)', () => {
    const byte = fc.integer({ min: 0, max: 255 });
    fc.assert(
      fc.property(byte, byte, fc.integer({ min: 3, max: 30 }), (a, b, side) => {
        const mask = maskOf(
          [
            [10, 10],
            [10 + side, 10],
            [10 + side, 12 + side],
            [10, 12 + side],
          ],
          WIDE,
          HIGH,
        );
        const pixels = new Uint8ClampedArray(WIDE * HIGH * 4);
        for (let n = 0; n < WIDE * HIGH; n += 1) pixels.fill(n % WIDE < 25 ? a : b, n * 4, n * 4 + 4);
        closeArea(pixels, mask, WIDE);
        mask.forEach((inside, n) => {
          if (inside !== 1) return;
          expect(pixels[n * 4]).toBeGreaterThanOrEqual(Math.min(a, b) - 1);
          expect(pixels[n * 4]).toBeLessThanOrEqual(Math.max(a, b) + 1);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('changes nothing where there is no area, or nothing around it', () => {
    const pixels = new Uint8ClampedArray(WIDE * HIGH * 4).fill(90);
    const before = pixels.slice();
    closeArea(pixels, new Uint8Array(WIDE * HIGH), WIDE);
    closeArea(pixels, new Uint8Array(WIDE * HIGH).fill(1), WIDE);
    expect(pixels).toEqual(before);
  });
});

import Color from 'colorjs.io';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labFromHex, labFromRgb } from './lab';
import { maskOf, recolorArea } from './recolorArea';

const picture = (colors: readonly (readonly [number, number, number])[]) =>
  new Uint8ClampedArray(colors.flatMap(([red, green, blue]) => [red, green, blue, 255]));
const pixel = (pixels: Uint8ClampedArray, n: number) => [...pixels.slice(n * 4, n * 4 + 3)] as [number, number, number];
/** The color of a pixel by the reference library colorjs.io (CIELAB, D65). */
const labOf = ([red, green, blue]: readonly [number, number, number]) => {
  const [L = 0, a = 0, b = 0] = new Color('srgb', [red / 255, green / 255, blue / 255])
    .to('lab-d65')
    .coords.map(Number);
  return { L, a, b };
};

describe('recoloring a marked piece', () => {
  const teal = labFromHex('#2f5d62');

  it('gives an even surface just the new color', () => {
    const pixels = picture(Array.from({ length: 9 }, () => [150, 110, 70] as const));
    recolorArea(pixels, new Uint8Array(9).fill(1), teal);
    const found = labOf(pixel(pixels, 4));
    expect(found.L).toBeCloseTo(teal.L, 0);
    expect(found.a).toBeCloseTo(teal.a, 0);
    expect(found.b).toBeCloseTo(teal.b, 0);
  });

  it('leaves what is outside of the mark, and opacity, alone', () => {
    const pixels = picture([
      [150, 110, 70],
      [200, 30, 30],
    ]);
    recolorArea(pixels, new Uint8Array([1, 0]), teal);
    expect(pixel(pixels, 1)).toEqual([200, 30, 30]);
    expect(pixels[3]).toBe(255);
  });

  it('keeps the shading: lightness is as far from the middle one as before (colorjs.io)', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 70, max: 190 }), { minLength: 3, maxLength: 40 }), (grays) => {
        const before = grays.map((gray) => [gray, gray, gray] as const);
        const pixels = picture(before);
        const to = { L: 50, a: 8, b: -6 };
        recolorArea(pixels, new Uint8Array(grays.length).fill(1), to);
        const sorted = before.map((color) => labOf(color).L).sort((a, b) => a - b);
        const median = sorted[Math.ceil(sorted.length / 2) - 1] ?? 0;
        before.forEach((color, n) => {
          const found = labOf(pixel(pixels, n));
          // Eight bits and steps of a tenth leave a lightness about half a step off.
          expect(Math.abs(found.L - (to.L + labOf(color).L - median))).toBeLessThan(0.6);
          expect(Math.abs(found.a - to.a)).toBeLessThan(1);
          expect(Math.abs(found.b - to.b)).toBeLessThan(1);
        });
      }),
      { numRuns: 40 },
    );
  });

  it('agrees with our own conversion', () => {
    const own = labFromRgb(47, 93, 98);
    const reference = labOf([47, 93, 98]);
    expect(own.L).toBeCloseTo(reference.L, 2);
  });
});

describe('the pixels inside a line', () => {
  it('are those whose middles lie inside', () => {
    const mask = maskOf(
      [
        [1, 1],
        [4, 1],
        [4, 3],
        [1, 3],
      ],
      6,
      5,
    );
    expect([...mask].reduce((sum, one) => sum + one, 0)).toBe(6);
    expect(mask[1 * 6 + 1]).toBe(1);
    expect(mask[0]).toBe(0);
  });

  it('are none for fewer than three points, and stay within the picture', () => {
    expect(maskOf([[0, 0]], 3, 3).some((one) => one === 1)).toBe(false);
    const all = maskOf(
      [
        [-50, -50],
        [50, -50],
        [50, 50],
        [-50, 50],
      ],
      4,
      4,
    );
    expect([...all]).toEqual(new Array(16).fill(1));
  });

  it('cover as much as the line encloses, within a pixel along its edge', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 5, max: 45, noNaN: true }),
        fc.double({ min: 5, max: 45, noNaN: true }),
        (wide, high) => {
          const mask = maskOf(
            [
              [2, 2],
              [2 + wide, 2],
              [2 + wide, 2 + high],
              [2, 2 + high],
            ],
            50,
            50,
          );
          const covered = [...mask].reduce((sum, one) => sum + one, 0);
          expect(Math.abs(covered - wide * high)).toBeLessThanOrEqual(wide + high + 1);
        },
      ),
    );
  });
});

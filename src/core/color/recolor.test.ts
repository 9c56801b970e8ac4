import Color from 'colorjs.io';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { labFromRgb } from './lab';
import { asItIs, croppedTo, Recolorer, recoloredLab } from './recolor';

const byte = fc.integer({ min: 0, max: 255 });
const pixel = fc.tuple(byte, byte, byte, byte);
const worked = (pixels: number[], how: Partial<typeof asItIs>): number[] => {
  const array = new Uint8ClampedArray(pixels);
  new Recolorer({ ...asItIs, ...how }).recolor(array);
  return [...array];
};

describe('recoloring', () => {
  it('by nothing changes nothing, and never the opacity', () => {
    fc.assert(
      fc.property(fc.array(pixel, { minLength: 1, maxLength: 20 }), (pixels) => {
        expect(worked(pixels.flat(), {})).toEqual(pixels.flat());
        const changed = worked(pixels.flat(), { hueDeg: 90, brightness: 20, warmth: 10 });
        pixels.forEach(([, , , opacity], n) => {
          expect(changed[n * 4 + 3]).toBe(opacity);
        });
      }),
    );
  });

  it('turns the hue as the reference library colorjs.io turns it in CIE LCh', () => {
    fc.assert(
      fc.property(byte, byte, byte, fc.integer({ min: -180, max: 180 }), (red, green, blue, hueDeg) => {
        const lab = recoloredLab(labFromRgb(red, green, blue), { ...asItIs, hueDeg });
        const theirs = new Color('lab-d65', Object.values(labFromRgb(red, green, blue)) as [number, number, number]);
        const [l, a, b] = theirs.coords.map(Number) as [number, number, number];
        const chroma = Math.hypot(a, b);
        const hue = Math.atan2(b, a) + (hueDeg * Math.PI) / 180;
        expect(lab.L).toBeCloseTo(l, 6);
        expect(lab.a).toBeCloseTo(chroma * Math.cos(hue), 6);
        expect(lab.b).toBeCloseTo(chroma * Math.sin(hue), 6);
      }),
    );
  });

  it('takes all color out at −100 percent, and keeps black and white as they are', () => {
    fc.assert(
      fc.property(byte, byte, byte, (red, green, blue) => {
        const [r = 0, g = 0, b = 0] = worked([red, green, blue, 255], { saturationPercent: -100 });
        expect(Math.max(r, g, b) - Math.min(r, g, b)).toBeLessThanOrEqual(1);
      }),
    );
    const how = { brightness: 50, warmth: 50 };
    expect(worked([0, 0, 0, 255, 255, 255, 255, 255], how)).toEqual([0, 0, 0, 255, 255, 255, 255, 255]);
  });

  it('makes lighter what shall be lighter, in the same order of lightness', () => {
    fc.assert(
      fc.property(byte, byte, fc.integer({ min: -50, max: 50 }), (first, second, brightness) => {
        const light = (gray: number) => recoloredLab(labFromRgb(gray, gray, gray), { ...asItIs, brightness }).L;
        if (first !== second) expect(Math.sign(light(first) - light(second))).not.toBe(-Math.sign(first - second));
        expect(Math.sign(light(128) - labFromRgb(128, 128, 128).L)).toBe(Math.sign(brightness));
      }),
    );
  });

  it('in stretches gives what it gives at once', () => {
    const pixels = Array.from({ length: 400 }, (_, n) => (n * 37) % 256);
    const array = new Uint8ClampedArray(pixels);
    const recolorer = new Recolorer({ ...asItIs, hueDeg: 40 });
    recolorer.recolor(array, 0, 30);
    recolorer.recolor(array, 30, 100);
    expect([...array]).toEqual(worked(pixels, { hueDeg: 40 }));
  });
});

describe('cropping', () => {
  it('keeps the proportions, the middle, and as much as there is', () => {
    expect(croppedTo(3000, 2000, { width: 5, height: 7 })).toEqual({ x: 785, y: 0, width: 1429, height: 2000 });
    expect(croppedTo(3000, 2000, null)).toEqual({ x: 0, y: 0, width: 3000, height: 2000 });
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9000 }),
        fc.integer({ min: 1, max: 9000 }),
        fc.integer({ min: 1, max: 99 }),
        fc.integer({ min: 1, max: 99 }),
        (wide, high, width, height) => {
          const box = croppedTo(wide, high, { width, height });
          expect(box.x).toBeGreaterThanOrEqual(0);
          expect(box.x + box.width).toBeLessThanOrEqual(wide);
          expect(box.y + box.height).toBeLessThanOrEqual(high);
          expect(box.width === wide || box.height === high).toBe(true);
        },
      ),
    );
  });
});

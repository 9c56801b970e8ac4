import Color from 'colorjs.io';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { coatings } from '../catalog/coatings';
import { ciede2000 } from './ciede2000';
import { coatsUntilHidden, hidingThresholds } from './coatsUntilHidden';
import { hexFromLab, type Lab, labFromHex, rgbFromLab } from './lab';

const lab = (L: number, a: number, b: number): Lab => ({ L, a, b });

/** The 34 published pairs. Source: Sharma, Wu and Dalal 2005, Color Research and Application 30, 21–30, table 1. */
const pairs: [number[], number[], number][] = [
  [[50, 2.6772, -79.7751], [50, 0, -82.7485], 2.0425],
  [[50, 3.1571, -77.2803], [50, 0, -82.7485], 2.8615],
  [[50, 2.8361, -74.02], [50, 0, -82.7485], 3.4412],
  [[50, -1.3802, -84.2814], [50, 0, -82.7485], 1],
  [[50, -1.1848, -84.8006], [50, 0, -82.7485], 1],
  [[50, -0.9009, -85.5211], [50, 0, -82.7485], 1],
  [[50, 0, 0], [50, -1, 2], 2.3669],
  [[50, -1, 2], [50, 0, 0], 2.3669],
  [[50, 2.49, -0.001], [50, -2.49, 0.0009], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.001], 7.1792],
  [[50, 2.49, -0.001], [50, -2.49, 0.0011], 7.2195],
  [[50, 2.49, -0.001], [50, -2.49, 0.0012], 7.2195],
  [[50, -0.001, 2.49], [50, 0.0009, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.001, -2.49], 4.8045],
  [[50, -0.001, 2.49], [50, 0.0011, -2.49], 4.7461],
  [[50, 2.5, 0], [50, 0, -2.5], 4.3065],
  [[50, 2.5, 0], [73, 25, -18], 27.1492],
  [[50, 2.5, 0], [61, -5, 29], 22.8977],
  [[50, 2.5, 0], [56, -27, -3], 31.903],
  [[50, 2.5, 0], [58, 24, 15], 19.4535],
  [[50, 2.5, 0], [50, 3.1736, 0.5854], 1],
  [[50, 2.5, 0], [50, 3.2972, 0], 1],
  [[50, 2.5, 0], [50, 1.8634, 0.5757], 1],
  [[50, 2.5, 0], [50, 3.2592, 0.335], 1],
  [[60.2574, -34.0099, 36.2677], [60.4626, -34.1751, 39.4387], 1.2644],
  [[63.0109, -31.0961, -5.8663], [62.8187, -29.7946, -4.0864], 1.263],
  [[61.2901, 3.7196, -5.3901], [61.4292, 2.248, -4.962], 1.8731],
  [[35.0831, -44.1164, 3.7933], [35.0232, -40.0716, 1.5901], 1.8645],
  [[22.7233, 20.0904, -46.694], [23.0331, 14.973, -42.5619], 2.0373],
  [[36.4612, 47.858, 18.3852], [36.2715, 50.5065, 21.2231], 1.4146],
  [[90.8027, -2.0831, 1.441], [91.1528, -1.6435, 0.0447], 1.4441],
  [[90.9257, -0.5406, -0.9208], [88.6381, -0.8985, -0.7239], 1.5381],
  [[6.7747, -0.2908, -2.4247], [5.8714, -0.0985, -2.2286], 0.6377],
  [[2.0776, 0.0795, -1.135], [0.9033, -0.0636, -0.5514], 0.9082],
];
const point = (v: number[]) => lab(v[0] ?? 0, v[1] ?? 0, v[2] ?? 0);

describe('ciede2000', () => {
  it.each(pairs)('%j to %j is %d', (first, second, expected) =>
    expect(ciede2000(point(first), point(second))).toBeCloseTo(expected, 4),
  );
  const anyLab = fc.record({
    L: fc.double({ min: 0, max: 100, noNaN: true }),
    a: fc.double({ min: -100, max: 100, noNaN: true }),
    b: fc.double({ min: -100, max: 100, noNaN: true }),
  });
  it('agrees with the reference library colorjs.io, is symmetric and zero only for the same color', () => {
    fc.assert(
      fc.property(anyLab, anyLab, (first, second) => {
        const ours = ciede2000(first, second);
        const theirs = new Color('lab', [first.L, first.a, first.b]).deltaE(
          new Color('lab', [second.L, second.a, second.b]),
          '2000',
        );
        expect(ours).toBeCloseTo(theirs, 6);
        expect(ours).toBeCloseTo(ciede2000(second, first), 9);
        expect(ciede2000(first, first)).toBe(0);
      }),
      { numRuns: 300 },
    );
  });
});

describe('lab', () => {
  // Values for the D65 white and 7-digit matrix; IEC 61966-2-1 (from memory), recomputed independently.
  it.each([
    ['#ffffff', 100, 0, 0],
    ['#000000', 0, 0, 0],
    ['#808080', 53.585, 0, 0],
    ['#ff0000', 53.2408, 80.0925, 67.2032],
    ['#00ff00', 87.7347, -86.1827, 83.1793],
    ['#0000ff', 32.297, 79.1875, -107.8602],
    ['#808000', 51.8689, -12.9295, 56.6746],
    ['#800000', 25.5355, 48.0451, 38.0573],
  ])('%s is %d, %d, %d', (hex, L, a, b) => {
    const got = labFromHex(hex);
    expect([got.L, got.a, got.b].map((n, i) => Math.abs(n - ([L, a, b][i] ?? 0)) < 0.05)).toEqual([true, true, true]);
  });
  it('goes back to the published unrounded channels', () => {
    const [r, g, b] = rgbFromLab(lab(70, 20, 30));
    expect(r).toBeCloseTo(222.04, 1);
    expect(g).toBeCloseTo(156.4, 1);
    expect(b).toBeCloseTo(117.7, 1);
    expect(rgbFromLab(lab(50, 0, 0))[0]).toBeCloseTo(118.91, 1);
  });
  it('keeps every hex color through Lab and back', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        const hex = n.toString(16).padStart(6, '0');
        expect(hexFromLab(labFromHex(hex))).toBe(`#${hex}`);
      }),
    );
  });
  it('refuses what is no color', () => expect(() => labFromHex('teal')).toThrow('teal'));
});

describe('coatsUntilHidden', () => {
  const coats = (coatingId: string, under: Lab, target: Lab) =>
    coatsUntilHidden(under, target, coatings.get(coatingId).hiding, hidingThresholds.ordinary).coats;
  const black = labFromHex('#1a1a1a');
  const white = labFromHex('#ffffff');
  const navy = labFromHex('#1f2a4d');
  // The checks that the definition of the figure itself gives.
  it('covers cream with cream in one coat, two by aerosol', () => {
    for (const id of ['wallAcrylic', 'chalk', 'waterborneEnamel'])
      expect(coats(id, lab(90, 1, 10), lab(92, 1, 12))).toBe(1);
    expect(coats('aerosolEnamel', lab(90, 1, 10), lab(92, 1, 12))).toBe(2);
  });
  it('covers black with white in three coats of wall acrylic, four by aerosol, two or three of chalk-type', () => {
    expect(coats('wallAcrylic', labFromHex('#000000'), white)).toBe(3);
    expect(coats('aerosolEnamel', labFromHex('#000000'), white)).toBe(4);
    expect(coats('chalk', black, white)).toBeLessThanOrEqual(3);
    expect(coats('chalk', labFromHex('#000000'), white)).toBeGreaterThanOrEqual(2);
  });
  it('covers white with navy and with black in two coats, three by aerosol for black', () => {
    expect(coats('wallAcrylic', white, navy)).toBe(2);
    expect(coats('wallAcrylic', white, labFromHex('#000000'))).toBe(2);
    expect(coats('aerosolEnamel', white, labFromHex('#000000'))).toBe(3);
  });
  it('asks four coats of wall acrylic for strong yellow over charcoal: weak pigments hide less', () => {
    const yellow = lab(85, 5, 80);
    const result = coatsUntilHidden(lab(25, 0, 0), yellow, coatings.get('wallAcrylic').hiding, 2);
    expect(result.weakPigment).toBe(true);
    expect(result.coats).toBe(4);
  });
  it('shows less with every coat, and says when the table cuts it short', () => {
    const result = coatsUntilHidden(
      labFromHex('#000000'),
      white,
      coatings.get('wallAcrylic').hiding,
      hidingThresholds.strict,
    );
    for (let i = 1; i < result.showing.length; i += 1)
      expect(result.showing[i]).toBeLessThan(result.showing[i - 1] ?? 0);
    const hard = coatsUntilHidden(
      labFromHex('#000000'),
      lab(90, 20, 90),
      coatings.get('chalk').hiding,
      hidingThresholds.strict,
    );
    expect(hard.cutShort).toBe(true);
    expect(hard.coats).toBe(3);
  });
  it('never asks fewer coats of a stricter eye', () => {
    const anyLab = fc.record({
      L: fc.integer({ min: 5, max: 98 }),
      a: fc.integer({ min: -60, max: 60 }),
      b: fc.integer({ min: -60, max: 60 }),
    });
    fc.assert(
      fc.property(
        anyLab,
        anyLab,
        fc.constantFrom(...coatings.all.filter((row) => row.role === 'paint')),
        (under, target, row) => {
          const of = (eye: keyof typeof hidingThresholds) =>
            coatsUntilHidden(under, target, row.hiding, hidingThresholds[eye]).coats;
          expect(of('strict')).toBeGreaterThanOrEqual(of('ordinary'));
          expect(of('ordinary')).toBeGreaterThanOrEqual(of('rustic'));
        },
      ),
    );
  });
});

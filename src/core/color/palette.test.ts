import fc from 'fast-check';
import { kmeans } from 'ml-kmeans';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../kernel/seededRandom';
import { ciede2000 } from './ciede2000';
import { colorName } from './colorName';
import { hexFromLab, labFromHex } from './lab';
import { clusterLab, labHistogram, mergeSwatches, paletteOf } from './palette';

/** A generated picture: colors with shares and a little noise, RGBA. */
function picture(colors: readonly [string, number][], pixels: number, noise: number, seed: number): Uint8ClampedArray {
  const random = seededRandom(seed);
  const data = new Uint8ClampedArray(pixels * 4);
  for (let n = 0; n < pixels; n += 1) {
    let left = random();
    const [hex] = colors.find(([, share]) => {
      left -= share;
      return left <= 0;
    }) ??
      colors[colors.length - 1] ?? ['#000000'];
    const value = Number.parseInt(hex.slice(1), 16);
    for (let channel = 0; channel < 3; channel += 1)
      data[n * 4 + channel] = ((value >> (16 - 8 * channel)) & 255) + (random() + random() - 1) * noise;
    data[n * 4 + 3] = 255;
  }
  return data;
}

const room: [string, number][] = [
  ['#e8e2d4', 0.55],
  ['#2f5d62', 0.28],
  ['#9b6b43', 0.13],
  ['#c8402a', 0.04],
];

describe('the palette of a picture', () => {
  it('finds the colors it was made of with their shares, a small accent too', () => {
    const found = paletteOf(picture(room, 20_000, 18, 5), 4);
    expect(found).toHaveLength(4);
    for (const [hex, share] of room) {
      const nearest = found
        .map((swatch) => ({ swatch, distance: ciede2000(swatch.lab, labFromHex(hex)) }))
        .sort((a, b) => a.distance - b.distance)[0];
      expect(nearest?.distance).toBeLessThan(4);
      expect(Math.abs((nearest?.swatch.share ?? 0) - share)).toBeLessThan(0.03);
    }
  });

  it('gives one color for a plain picture, and none for a transparent one', () => {
    const plain = paletteOf(picture([['#2f5d62', 1]], 2000, 0, 1), 5);
    expect(plain).toHaveLength(1);
    expect(ciede2000(plain[0]?.lab ?? labFromHex('#000000'), labFromHex('#2f5d62'))).toBeLessThan(3);
    expect(paletteOf(new Uint8ClampedArray(400), 5)).toEqual([]);
  });

  it('is the same for the same picture, and its shares add up to one', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9999 }), fc.integer({ min: 1, max: 8 }), (seed, count) => {
        const data = picture(room, 600, 60, seed);
        const found = paletteOf(data, count);
        expect(found).toEqual(paletteOf(data, count));
        expect(found.length).toBeLessThanOrEqual(count);
        expect(found.reduce((sum, swatch) => sum + swatch.share, 0)).toBeCloseTo(1, 6);
      }),
      { numRuns: 25 },
    );
  });

  it('merges by share', () => {
    const merged = mergeSwatches(
      { lab: { L: 20, a: 0, b: 0 }, share: 0.3 },
      { lab: { L: 80, a: 10, b: -10 }, share: 0.1 },
    );
    expect(merged).toEqual({ share: 0.4, lab: { L: 35, a: 2.5, b: -2.5 } });
  });
});

describe('a proposed name', () => {
  it.each([
    ['#ffffff', 'white'],
    ['#e8e2d4', 'cream'],
    ['#2f5d62', 'deep teal'],
    ['#9b6b43', 'wood brown'],
    ['#c9a23a', 'ochre'],
    ['#1a1a1a', 'black'],
    ['#808080', 'gray'],
    ['#2b5d8a', 'blue'],
    ['#1f2a4d', 'deep blue'],
    ['#c8402a', 'bright red'],
    ['#a33b2b', 'red'],
    ['#8a5a34', 'wood brown'],
  ])('of %s is “%s”', (hex, name) => expect(colorName(labFromHex(hex))).toBe(name));

  it('is never empty', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 0xffffff }), (n) => {
        expect(colorName(labFromHex(n.toString(16).padStart(6, '0')))).toMatch(/^[a-z ]{3,}$/);
      }),
    );
  });
});

describe('clustering against the reference library ml-kmeans', () => {
  it.each([3, 11, 29])('leaves no more spread than the best of its five starts (seed %d)', (seed) => {
    const bins = labHistogram(picture(room, 4000, 14, seed));
    // The library takes no weights: each cell is repeated by its weight.
    const points = bins.flatMap((bin) => Array.from({ length: bin.weight }, () => [bin.L, bin.a, bin.b]));
    const spread = (means: readonly { L: number; a: number; b: number }[]) =>
      points.reduce(
        (sum, [L = 0, a = 0, b = 0]) =>
          sum + Math.min(...means.map((mean) => (mean.L - L) ** 2 + (mean.a - a) ** 2 + (mean.b - b) ** 2)),
        0,
      );
    const library = [1, 2, 3, 4, 5]
      .map((start) =>
        kmeans(points, 4, { seed: start, initialization: 'kmeans++', maxIterations: 200 }).centroids.map(
          ([L = 0, a = 0, b = 0]) => ({ L, a, b }),
        ),
      )
      .sort((a, b) => spread(a) - spread(b));
    const means = library[0] ?? [];
    const ours = clusterLab(bins, 4, seed);
    expect(spread(ours.map((swatch) => swatch.lab))).toBeLessThanOrEqual(spread(means) * 1.001);
    for (const swatch of ours)
      expect(
        Math.min(...means.map((m) => Math.hypot(m.L - swatch.lab.L, m.a - swatch.lab.a, m.b - swatch.lab.b))),
      ).toBeLessThan(0.5);
  });

  it('never leaves more spread than one mean alone would, on any colors', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 0, max: 0xffffff }), { minLength: 4, maxLength: 40 }), (numbers) => {
        const bins = numbers.map((n) => ({ ...labFromHex(n.toString(16).padStart(6, '0')), weight: 1 }));
        const within = (means: readonly { L: number; a: number; b: number }[]) =>
          bins.reduce(
            (sum, bin) =>
              sum + Math.min(...means.map((m) => (m.L - bin.L) ** 2 + (m.a - bin.a) ** 2 + (m.b - bin.b) ** 2)),
            0,
          );
        const ours = within(clusterLab(bins, 3, 7).map((swatch) => swatch.lab));
        const spread = within([
          {
            L: bins.reduce((sum, bin) => sum + bin.L, 0) / bins.length,
            a: bins.reduce((sum, bin) => sum + bin.a, 0) / bins.length,
            b: bins.reduce((sum, bin) => sum + bin.b, 0) / bins.length,
          },
        ]);
        expect(ours).toBeLessThanOrEqual(spread + 1e-6);
        expect(clusterLab(bins, 3, 7).every((swatch) => /^#[0-9a-f]{6}$/.test(hexFromLab(swatch.lab)))).toBe(true);
      }),
      { numRuns: 40 },
    );
  });
});

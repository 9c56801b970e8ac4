import { describe, expect, it } from 'vitest';
import { labFromHex, labFromRgb } from '../../color/lab';
import { distanceTo, labPicture, mainColors } from './pictureColors';

/** A picture of rows of letters: each letter is a color. */
function drawn(rows: readonly string[], colors: Readonly<Record<string, readonly [number, number, number]>>) {
  const widthPx = rows[0]?.length ?? 0;
  const pixels = new Uint8ClampedArray(widthPx * rows.length * 4);
  rows.forEach((row, y) =>
    [...row].forEach((letter, x) => pixels.set([...(colors[letter] ?? [0, 0, 0]), 255], (y * widthPx + x) * 4)),
  );
  return { pixels, widthPx, heightPx: rows.length };
}
const colors = { r: [200, 40, 40], w: [255, 255, 255], k: [0, 0, 0], b: [40, 60, 200] } as const;

describe('a picture made small', () => {
  it('keeps its size where it is small already, each pixel its own color', () => {
    const small = labPicture(drawn(['rw', 'kb'], colors), 10);
    expect([small.widthPx, small.heightPx]).toEqual([2, 2]);
    expect(small.colors[0]).toEqual(labFromRgb(200, 40, 40));
    expect(small.colors[3]).toEqual(labFromRgb(40, 60, 200));
  });

  it('has each pixel the mean of what lies under it', () => {
    const [only, ...more] = labPicture(drawn(['wk', 'kw'], colors), 1).colors;
    expect(more).toEqual([]);
    expect(only).toEqual(labFromRgb(127.5, 127.5, 127.5));
  });

  it('keeps its proportions, and is never without a pixel', () => {
    const wide = labPicture({ pixels: new Uint8ClampedArray(4 * 400 * 3), widthPx: 400, heightPx: 3 }, 100);
    expect([wide.widthPx, wide.heightPx]).toEqual([100, 1]);
    expect(wide.colors).toHaveLength(100);
  });
});

describe('main colors', () => {
  const picture = labPicture(drawn(['rrrrww', 'rrrrww', 'kkkkww'], colors), 10);

  it('are those of what was chosen, the largest first', () => {
    const found = mainColors(picture.colors, () => true);
    expect(found[0]).toMatchObject({ L: expect.closeTo(labFromRgb(200, 40, 40).L, 0) });
    expect(found.length).toBeGreaterThanOrEqual(3);
    const left = mainColors(picture.colors, (index) => index % 6 >= 4);
    expect(left).toHaveLength(1);
    expect(left[0]?.L).toBeCloseTo(100, 3);
  });

  it('are none where nothing was chosen, and then everything is far from them', () => {
    expect(mainColors(picture.colors, () => false)).toEqual([]);
    expect(distanceTo(labFromHex('#ffffff'), [])).toBe(Number.POSITIVE_INFINITY);
  });

  it('are as far away as the nearest of them', () => {
    const gray = { L: 50, a: 0, b: 0 };
    expect(
      distanceTo(gray, [
        { L: 53, a: 4, b: 0 },
        { L: 50, a: 0, b: 9 },
      ]),
    ).toBeCloseTo(5, 9);
  });
});

import { lookRows, thing, thingsOf } from '@core/fixtures/lookRows';
import type { PhotoPlane } from '@core/model/entities/look';
import { describe, expect, it } from 'vitest';
import { mmPerPixel, photoMap } from './photoMap';
import { photoShapes } from './photoShapes';
import { roomCamera } from './roomCamera';

const size = { widthPx: 1600, heightPx: 1200 };
/** A wall seen straight on: a rectangle of 1000 by 500 mm over 1000 by 500 px. */
const straight: PhotoPlane = {
  photoId: null,
  corners: [
    { x: 300 / 1600, y: 200 / 1200 },
    { x: 1300 / 1600, y: 200 / 1200 },
    { x: 1300 / 1600, y: 700 / 1200 },
    { x: 300 / 1600, y: 700 / 1200 },
  ],
  widthMm: 1000,
  heightMm: 500,
  xMm: 0,
  heightAtMm: 0,
  recolored: [],
};

describe('a look in a picture', () => {
  it('stands at true size: a millimeter is a pixel here', () => {
    const camera = roomCamera(straight, size);
    if (!camera) throw new Error('no camera');
    const rows = lookRows({ kind: 'console', widthMm: 1000, depthMm: 300, heightMm: 500 }, [
      thing('Box', 'freeBox', [200, 300, 100], [100]),
    ]);
    const fills = photoShapes(thingsOf(rows), camera, 0).flatMap((shape) => (shape.kind === 'fill' ? shape.rings : []));
    const xs = fills.flatMap((ring) => ring.map(([x]) => x));
    const ys = fills.flatMap((ring) => ring.map(([, y]) => y));
    expect(Math.min(...xs)).toBeCloseTo(400, 6);
    expect(Math.max(...xs)).toBeCloseTo(600, 6);
    expect(Math.max(...ys)).toBeCloseTo(700, 6);
    expect(Math.min(...ys)).toBeCloseTo(400, 6);
    expect(mmPerPixel(camera.wall, [800, 450])).toBeCloseTo(1, 6);
  });

  it('has a soft shadow at each foot, and behind what hangs', () => {
    const camera = roomCamera(straight, size);
    if (!camera) throw new Error('no camera');
    const rows = lookRows({ kind: 'console', widthMm: 1000, depthMm: 300, heightMm: 500 }, [
      thing('Vase', 'vase', [100, 200, 100], [100]),
      thing('Frame', 'pictureFrame', [200, 200, 20], [500, 250], { stance: 'hangs' }),
    ]);
    const shadows = photoShapes(thingsOf(rows), camera, 300).flatMap((shape) =>
      shape.kind === 'shadow' ? shape.widthPx : [],
    );
    expect(shadows).toHaveLength(2);
    for (const widthPx of shadows) expect(widthPx).toBeGreaterThan(0);
  });

  it('has no place where two corners have changed places, or the rectangle is seen from behind', () => {
    const [a, b, c, d] = straight.corners;
    for (const corners of [
      [b, a, c, d],
      [a, c, b, d],
      [b, a, d, c],
      [a, b, { x: (a.x + b.x) / 2, y: a.y + 0.001 }, d],
    ] as PhotoPlane['corners'][])
      expect(photoMap({ ...straight, corners }, size)).toBeNull();
    expect(photoMap(straight, size)).not.toBeNull();
  });

  it('has no place where three corners lie in a line', () => {
    const [first, second] = straight.corners;
    const flat: PhotoPlane = {
      ...straight,
      corners: [first, second, { x: (first.x + second.x) / 2, y: first.y }, { x: 0.2, y: 0.6 }],
    };
    expect(photoMap(flat, size)).toBeNull();
  });
});

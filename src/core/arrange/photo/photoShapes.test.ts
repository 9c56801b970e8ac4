import { lookRows, thing, thingsOf } from '@core/fixtures/lookRows';
import type { PhotoPlane } from '@core/model/entities/look';
import { describe, expect, it } from 'vitest';
import { uuid } from '../../fixtures/following';
import { newPiece } from '../../sourcing/newPiece';
import { applied } from './homography';
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

  it('is larger the farther it stands before the wall, and keeps its foot on the surface', () => {
    const camera = roomCamera(straight, size);
    if (!camera) throw new Error('no camera');
    const wideAt = (frontMm: number) => {
      const rows = lookRows({ kind: 'console', widthMm: 1000, depthMm: 400, heightMm: 500 }, [
        thing('Box', 'freeBox', [200, 300, 100], [400, 0, frontMm]),
      ]);
      const xs = photoShapes(thingsOf(rows), camera, 400).flatMap((shape) =>
        shape.kind === 'fill' ? shape.rings.flatMap((ring) => ring.map(([x]) => x)) : [],
      );
      return Math.max(...xs) - Math.min(...xs);
    };
    const [atWall, middle, front] = [wideAt(400), wideAt(200), wideAt(0)];
    expect(atWall).toBeCloseTo(200, 3);
    expect(middle).toBeGreaterThan(atWall);
    expect(front).toBeGreaterThan(middle);
  });

  it('shows a round thing where it is widest, and what hangs by its own depth before the wall', () => {
    const camera = roomCamera(straight, size);
    if (!camera) throw new Error('no camera');
    const rows = lookRows({ kind: 'console', widthMm: 1000, depthMm: 400, heightMm: 500 }, [
      thing('Frame', 'pictureFrame', [200, 200, 20], [100, 250], { stance: 'hangs' }),
      thing('Vase', 'vase', [100, 200, 100], [600, 0, 150]),
    ]);
    const shapes = photoShapes(thingsOf(rows), camera, 400);
    const points = shapes.flatMap((shape) => (shape.kind === 'fill' ? shape.rings.flat() : []));
    const widest = (from: number, to: number) => {
      const xs = points.map(([x]) => x).filter((x) => x > from && x < to);
      return Math.max(...xs) - Math.min(...xs);
    };
    // The lens of the straight picture: a thing so far before the wall is wider by distance ÷ (distance − so far).
    const larger = (mm: number) => {
      const map = camera.planeBefore(mm);
      return (applied(map, [1000, 0])[0] - applied(map, [0, 0])[0]) / 1000;
    };
    expect(widest(350, 700)).toBeCloseTo(200 * larger(20), 1);
    expect(widest(850, 1150)).toBeCloseTo(100 * larger(200), 0);
  });

  it('shows a piece that was cut out as its picture, in cells, and its shadow beneath', () => {
    const camera = roomCamera(straight, size);
    if (!camera) throw new Error('no camera');
    const photoId = uuid(70);
    const piece = {
      ...newPiece(uuid(71), 'Jug', { units: 'us', currency: 'USD', today: '2026-06-01' }),
      templateId: 'vase',
      widthMm: 200,
      heightMm: 300,
      photoId,
      cutOut: {
        photoId,
        rings: [
          [
            { x: 0.1, y: 0.1 },
            { x: 0.9, y: 0.1 },
            { x: 0.5, y: 0.9 },
          ],
        ],
      },
    };
    const rows = lookRows(
      { kind: 'console', widthMm: 1000, depthMm: 300, heightMm: 500 },
      [{ pieceId: piece.id, xMm: 100, frontMm: 300 }],
      { rows: { pieces: [piece] } },
    );
    const shapes = photoShapes(thingsOf(rows), camera, 300);
    expect(shapes.map(({ kind }) => kind)).toEqual(['shadow', 'picture']);
    const [, picture] = shapes;
    if (picture?.kind !== 'picture') throw new Error('no picture');
    expect(picture.picture).toEqual({ photoId, rings: piece.cutOut.rings, recoloredTo: null });
    const [cell] = picture.cells;
    // Seen straight on it is one parallelogram of 200 by 300 px with its foot at the base.
    expect(picture.cells).toHaveLength(1);
    expect(cell?.matrix[0]).toBeCloseTo(200, 3);
    expect(cell?.matrix[3]).toBeCloseTo(300, 3);
    expect((cell?.matrix[5] ?? 0) + 300).toBeCloseTo(700, 3);
  });
});

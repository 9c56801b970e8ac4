import type { PhotoPlane } from '@core/model/entities/look';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { applied } from './homography';
import { pictureCells } from './pictureCells';
import { roomCamera } from './roomCamera';

const size = { widthPx: 1600, heightPx: 1200 };
type Vector = readonly [number, number, number];

/**
 * A pinhole camera (the textbook's projection, x = f·X/Z): turned about the upright and the level axis, with the wall's
 * lower left corner somewhere before it; x to the right and y up on the wall, z out of it.
 */
function pinhole(focal: number, yawDegrees: number, pitchDegrees: number, at: Vector) {
  const [yaw, pitch] = [(yawDegrees * Math.PI) / 180, (pitchDegrees * Math.PI) / 180];
  return (x: number, y: number, z: number): [number, number] => {
    // The wall's own axes before the camera: y of the picture runs down, and depth runs away.
    const [X, Y, Z] = [x, -y, -z];
    const [x1, z1] = [X * Math.cos(yaw) + Z * Math.sin(yaw), -X * Math.sin(yaw) + Z * Math.cos(yaw)];
    const [y2, z2] = [Y * Math.cos(pitch) - z1 * Math.sin(pitch), Y * Math.sin(pitch) + z1 * Math.cos(pitch)];
    const [cx, cy, cz] = [x1 + at[0], y2 + at[1], z2 + at[2]];
    return [size.widthPx / 2 + (focal * cx) / cz, size.heightPx / 2 + (focal * cy) / cz];
  };
}

/** The plane that somebody marks on a rectangle of the wall, exactly. */
function marked(
  project: (x: number, y: number, z: number) => [number, number],
  wide: number,
  high: number,
): PhotoPlane {
  const corner = (x: number, y: number) => {
    const [px, py] = project(x, y, 0);
    return { x: px / size.widthPx, y: py / size.heightPx };
  };
  return {
    photoId: null,
    corners: [corner(0, high), corner(wide, high), corner(wide, 0), corner(0, 0)],
    widthMm: wide,
    heightMm: high,
    xMm: 0,
    heightAtMm: 0,
    recolored: [],
  };
}

describe('the camera of a picture', () => {
  it('puts things before the wall where a pinhole camera sees them', () => {
    fc.assert(
      fc.property(
        fc.record({
          focal: fc.integer({ min: 900, max: 2400 }),
          yaw: fc.oneof(fc.integer({ min: 8, max: 40 }), fc.integer({ min: -40, max: -8 })),
          pitch: fc.integer({ min: -12, max: 12 }),
          far: fc.integer({ min: 2500, max: 4500 }),
        }),
        ({ focal, yaw, pitch, far }) => {
          const project = pinhole(focal, yaw, pitch, [-500, 300, far]);
          const camera = roomCamera(marked(project, 1200, 800), size);
          if (!camera) throw new Error('no camera');
          for (const [x, y, z] of [
            [100, 0, 300],
            [900, 500, 150],
            [600, 200, 400],
            [0, 0, 0],
          ] as const) {
            const seen = applied(camera.planeBefore(z), [x, y]);
            const true_ = project(x, y, z);
            expect(Math.hypot(seen[0] - true_[0], seen[1] - true_[1])).toBeLessThan(0.05);
          }
        },
      ),
    );
  });

  it('takes a usual lens for a wall that is seen straight on, and things before it are larger there', () => {
    const focal = (26 / 36) * 1600;
    const project = pinhole(focal, 0, 0, [-600, 400, 3000]);
    const camera = roomCamera(marked(project, 1200, 800), size);
    if (!camera) throw new Error('no camera');
    const seen = applied(camera.planeBefore(400), [300, 100]);
    const [x, y] = project(300, 100, 400);
    expect(seen[0]).toBeCloseTo(x, 3);
    expect(seen[1]).toBeCloseTo(y, 3);
    const wide = (mm: number) =>
      applied(camera.planeBefore(mm), [1000, 0])[0] - applied(camera.planeBefore(mm), [0, 0])[0];
    expect(wide(400) / wide(0)).toBeCloseTo(3000 / 2600, 6);
  });

  it('is steady where taps are a pixel off: a thing before the wall moves by a few pixels only', () => {
    const project = pinhole(1150, 18, 4, [-500, 300, 3200]);
    const plane = marked(project, 1200, 800);
    const [a, b, c, d] = plane.corners;
    const off = { ...plane, corners: [{ x: a.x + 1 / 1600, y: a.y - 1 / 1200 }, b, c, d] } as PhotoPlane;
    const camera = roomCamera(off, size);
    if (!camera) throw new Error('no camera');
    const seen = applied(camera.planeBefore(300), [600, 0]);
    const [x, y] = project(600, 0, 300);
    expect(Math.hypot(seen[0] - x, seen[1] - y)).toBeLessThan(12);
  });

  it('is none where three corners lie in a line', () => {
    const flat = marked((x) => [x, 10], 100, 50);
    expect(roomCamera(flat, size)).toBeNull();
  });
});

describe('a picture in perspective', () => {
  it('is one parallelogram straight on, and more the steeper it is, each point within a third of a pixel', () => {
    expect(pictureCells((x, y) => [10 + 200 * x + 30 * y, 20 + 100 * y])).toHaveLength(1);
    const steep = pinhole(1150, 35, 5, [-200, 300, 1800]);
    const at = (x: number, y: number) => steep(600 * x, 500 * (1 - y), 0);
    const cells = pictureCells(at);
    expect(cells.length).toBeGreaterThan(4);
    expect(cells.reduce((sum, { width, height }) => sum + width * height, 0)).toBeCloseTo(1, 9);
    for (const { x, y, width, height, matrix } of cells)
      for (const [u, v] of [
        [x, y],
        [x + width / 2, y + height / 2],
        [x + width, y + height],
      ] as const) {
        const [a, b, c, d, e, f] = matrix;
        const [trueX, trueY] = at(u, v);
        expect(Math.hypot(a * u + c * v + e - trueX, b * u + d * v + f - trueY)).toBeLessThan(0.6);
      }
  });
});

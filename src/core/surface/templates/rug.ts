import { type DrawnShape, drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A rug on the floor: its face can be stenciled or dyed. From the front only its edge is seen. */
export const rug: FurnitureTemplate = {
  id: 'rug',
  name: 'Rug or mat',
  words: ['area rug', 'door mat', 'doormat', 'bath mat', 'jute rug', 'rug', 'rugs'],
  measures: [
    lengthMeasure('widthMm', 'Width', 1500, 200, 6000),
    lengthMeasure('depthMm', 'Length', 2100, 200, 9000),
    lengthMeasure('heightMm', 'Thickness', 10, 1, 80),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  usual: { materialId: 'fabric' },
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => [
    zone(
      'face',
      'A',
      'Face',
      { kind: 'panelDoor', widthMm, heightMm: depthMm, edgeMm: heightMm, profile: 'flat' },
      { use: 'seen' },
    ),
  ],
  draw: ({ widthMm = 0, depthMm = 0 }) => rugFace(widthMm, depthMm),
  front: ({ widthMm = 0, heightMm = 0 }) => ({
    widthMm,
    heightMm,
    shapes: [drawnRectangle('face', 0, 0, widthMm, heightMm, -6)],
    labels: [],
    dimensions: dimensions(widthMm, heightMm),
  }),
  above: ({ widthMm = 0, depthMm = 0 }) => rugFace(widthMm, depthMm),
};

/** A rug as it lies: a border, a field, fringes at both ends. */
function rugFace(widthMm: number, depthMm: number) {
  const border = Math.min(widthMm, depthMm) * 0.1;
  const fringe = Math.min(depthMm * 0.04, 60);
  const fringes = Array.from({ length: 25 }, (_, n): DrawnShape[] => {
    const x = (widthMm * (n + 0.5)) / 25;
    const line = (from: number, to: number): DrawnShape => ({
      kind: 'line',
      zoneId: 'face',
      shade: 0,
      thickMm: 2,
      points: [
        [x, from],
        [x, to],
      ],
    });
    return [line(0, fringe), line(depthMm - fringe, depthMm)];
  }).flat();
  return {
    widthMm,
    heightMm: depthMm,
    shapes: [
      ...fringes,
      drawnRectangle('face', 0, fringe, widthMm, depthMm - 2 * fringe, -10),
      drawnRectangle(
        'face',
        border,
        fringe + border,
        widthMm - 2 * border,
        Math.max(1, depthMm - 2 * fringe - 2 * border),
        8,
      ),
    ],
    labels: [{ letter: 'A', xMm: widthMm / 2, yMm: depthMm / 2 }],
    dimensions: dimensions(widthMm, depthMm),
  };
}

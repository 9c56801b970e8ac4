import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';
import { stroke } from './strokes';

/** A cushion or a stuffed shape: its front and its back. */
export const cushion: FurnitureTemplate = {
  id: 'cushion',
  name: 'Cushion',
  words: ['cushion', 'cushions', 'throw pillow', 'pillow', 'pillow cover', 'seat pad'],
  measures: [
    lengthMeasure('widthMm', 'Width', 450, 50, 1500),
    lengthMeasure('heightMm', 'Height', 450, 50, 1500),
    lengthMeasure('depthMm', 'Thickness', 120, 5, 500),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  usual: { materialId: 'fabric' },
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0 }) => [
    zone('front', 'A', 'Front', { kind: 'rectangle', widthMm, heightMm }, { use: 'handled' }),
    zone('back', 'B', 'Back', { kind: 'rectangle', widthMm, heightMm }, { use: 'seen', included: false }),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const w = widthMm;
    const h = heightMm;
    return {
      widthMm,
      heightMm,
      // A stuffed square draws its sides in between its corners.
      shapes: [
        polygon('front', [
          [0, 0],
          [w * 0.25, h * 0.05],
          [w * 0.5, h * 0.06],
          [w * 0.75, h * 0.05],
          [w, 0],
          [w * 0.95, h * 0.25],
          [w * 0.94, h * 0.5],
          [w * 0.95, h * 0.75],
          [w, h],
          [w * 0.75, h * 0.95],
          [w * 0.5, h * 0.94],
          [w * 0.25, h * 0.95],
          [0, h],
          [w * 0.05, h * 0.75],
          [w * 0.06, h * 0.5],
          [w * 0.05, h * 0.25],
        ]),
        {
          kind: 'ellipse',
          zoneId: 'front',
          cx: w / 2,
          cy: h * 0.47,
          rx: w * 0.3,
          ry: h * 0.28,
          shade: 5,
          isSoft: true,
        },
        // Folds that run in from the corners.
        ...(
          [
            [0.06, 0.06],
            [0.94, 0.06],
            [0.06, 0.94],
            [0.94, 0.94],
          ] as const
        ).map(([x, y]) =>
          stroke(
            'front',
            [
              [w * x, h * y],
              [w * (x + (0.5 - x) * 0.3), h * (y + (0.5 - y) * 0.3)],
            ],
            w * 0.006,
          ),
        ),
      ],
      labels: [{ letter: 'A', xMm: w / 2, yMm: h / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

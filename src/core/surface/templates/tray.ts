import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { around, dimensions, lengthMeasure, polygon, zone } from './parts';

/** A tray or shallow box: the floor inside, the rims on both faces; what is set on it rubs. */
export const tray: FurnitureTemplate = {
  id: 'tray',
  name: 'Tray or board',
  words: ['tray', 'platter', 'bread board', 'cutting board'],
  measures: [
    lengthMeasure('widthMm', 'Width', 420, 50, 1500),
    lengthMeasure('depthMm', 'Depth', 300, 50, 1500),
    lengthMeasure('heightMm', 'Rim, high', 50, 2, 300),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => [
    zone('floor', 'A', 'Floor inside', { kind: 'rectangle', widthMm, heightMm: depthMm }, { use: 'tableTop' }),
    zone('rims', 'B', 'Rims, both faces', around(widthMm, depthMm, heightMm), { sides: 2 }),
    zone(
      'underside',
      'C',
      'Underside',
      { kind: 'rectangle', widthMm, heightMm: depthMm },
      { use: 'seen', included: false },
    ),
  ],
  front: ({ widthMm = 0, heightMm = 0 }) => ({
    widthMm,
    heightMm,
    shapes: [
      drawnRectangle('rims', 0, 0, widthMm, heightMm, -6),
      drawnRectangle('rims', 0, heightMm * 0.75, widthMm, heightMm * 0.25, -14, { isSoft: true }),
    ],
    labels: [],
    dimensions: dimensions(widthMm, heightMm),
  }),
  above: ({ widthMm = 0, depthMm = 0 }) => {
    const rim = Math.min(widthMm, depthMm) * 0.04;
    return {
      widthMm,
      heightMm: depthMm,
      shapes: [
        drawnRectangle('rims', 0, 0, widthMm, depthMm, -6),
        drawnRectangle('floor', rim, rim, widthMm - 2 * rim, depthMm - 2 * rim, 8),
      ],
      labels: [],
      dimensions: [],
    };
  },
  draw: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => {
    const lean = depthMm * 0.45;
    const shift = depthMm * 0.18;
    return {
      widthMm: widthMm + shift,
      heightMm: lean + heightMm,
      shapes: [
        polygon(
          'floor',
          [
            [0, lean],
            [widthMm, lean],
            [widthMm + shift, 0],
            [shift, 0],
          ],
          8,
        ),
        drawnRectangle('rims', 0, lean, widthMm, heightMm, -6),
        polygon(
          'rims',
          [
            [widthMm, lean],
            [widthMm + shift, 0],
            [widthMm + shift, heightMm],
            [widthMm, lean + heightMm],
          ],
          -14,
        ),
      ],
      labels: [
        { letter: 'A', xMm: (widthMm + shift) / 2, yMm: lean / 2 },
        { letter: 'B', xMm: widthMm / 2, yMm: lean + heightMm / 2 },
      ],
      dimensions: dimensions(widthMm, lean + heightMm),
    };
  },
};

import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, turnedOutline, zone } from './parts';

/** An egg of wood, paper or foam, as one decorates it. */
export const egg: FurnitureTemplate = {
  id: 'egg',
  name: 'Egg',
  words: ['egg', 'eggs', 'egg ornament'],
  measures: [lengthMeasure('heightMm', 'Long', 70, 15, 600), lengthMeasure('widthMm', 'Across', 50, 10, 450)],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ heightMm = 0, widthMm = 0 }) => [
    zone('shell', 'A', 'Shell', { kind: 'egg', lengthMm: heightMm, diameterMm: Math.min(widthMm, heightMm) }),
  ],
  draw: ({ heightMm = 0, widthMm = 0 }) => ({
    widthMm,
    heightMm,
    shapes: [
      turnedOutline('shell', widthMm, heightMm, [
        [0, 0.12],
        [0.06, 0.36],
        [0.16, 0.6],
        [0.3, 0.82],
        [0.48, 0.97],
        [0.6, 1],
        [0.74, 0.95],
        [0.87, 0.74],
        [0.95, 0.48],
        [1, 0.16],
      ]),
    ],
    labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
    dimensions: dimensions(widthMm, heightMm),
  }),
};

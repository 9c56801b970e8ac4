import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A straight jar, canister or tin with its lid; its inside holds food and stays as it is. */
export const jar: FurnitureTemplate = {
  id: 'jar',
  name: 'Jar or canister',
  words: ['jar', 'jars', 'pantry jar', 'canister', 'canisters', 'tin can', 'storage tin'],
  measures: [
    lengthMeasure('widthMm', 'Across', 110, 20, 500),
    lengthMeasure('heightMm', 'Height, with its lid', 180, 20, 700),
    lengthMeasure('lidMm', 'Lid, high', 25, 2, 200),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'glass' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0, lidMm = 0 }) => [
    zone('body', 'A', 'Outside', {
      kind: 'cylinder',
      diameterMm: widthMm,
      heightMm: Math.max(heightMm * 0.1, heightMm - lidMm),
      ends: 0,
    }),
    zone('lid', 'B', 'Lid', {
      kind: 'cylinder',
      diameterMm: widthMm,
      heightMm: Math.min(lidMm, heightMm * 0.9),
      ends: 1,
    }),
  ],
  draw: ({ widthMm = 0, heightMm = 0, lidMm = 0 }) => {
    const lid = Math.min(lidMm, heightMm * 0.9);
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('body', 0, lid, widthMm, heightMm - lid),
        drawnRectangle('body', widthMm * 0.12, lid, widthMm * 0.14, heightMm - lid, 12),
        drawnRectangle('lid', widthMm * 0.02, 0, widthMm * 0.96, lid, -8),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: (heightMm + lid) / 2 },
        { letter: 'B', xMm: widthMm / 2, yMm: lid / 2 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

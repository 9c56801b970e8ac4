import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** Wicker takes twice the paint of its projected area, side by side (1.6 to 2.5; common practice, from memory). */
const WICKER = 2;

/** A woven basket or hamper, round or square: its weave counts as area, and its inside is left unless wanted. */
export const basket: FurnitureTemplate = {
  id: 'basket',
  name: 'Basket or hamper',
  words: ['basket', 'hamper', 'wicker'],
  measures: [
    lengthMeasure('widthMm', 'Width', 350, 40, 1500),
    lengthMeasure('depthMm', 'Depth', 350, 40, 1500),
    lengthMeasure('heightMm', 'Height', 300, 30, 1500),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  usual: { materialId: 'wicker' },
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => {
    const girdle = { kind: 'custom' as const, areaM2: 2 * (widthMm + depthMm) * heightMm * 1e-6 };
    const weave = { textureFactor: WICKER, detail: 'weave' as const };
    return [
      zone('outside', 'A', 'Outside', girdle, weave),
      zone('inside', 'B', 'Inside', girdle, { ...weave, included: false }),
      zone(
        'base',
        'C',
        'Underside',
        { kind: 'rectangle', widthMm, heightMm: depthMm },
        { ...weave, use: 'seen', included: false },
      ),
    ];
  },
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const rows = 5;
    const band = heightMm / rows;
    return {
      widthMm,
      heightMm,
      // Bands of the weave, each a little nearer or farther to the light.
      shapes: Array.from({ length: rows }, (_, n) =>
        drawnRectangle(
          'outside',
          widthMm * 0.02 * (n % 2),
          band * n,
          widthMm * (1 - 0.04 * (n % 2)),
          band,
          n % 2 === 0 ? 4 : -8,
        ),
      ),
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

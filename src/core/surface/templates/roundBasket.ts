import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { ellipsePerimeter } from '../shapes';
import { dimensions, lengthMeasure, zone } from './parts';

/** Wicker takes twice the paint of its projected area, side by side (1.6 to 2.5; common practice, from memory). */
const WICKER = 2;

/** A woven basket that is round or oval from above: what goes around it is shorter than around its corners. */
export const roundBasket: FurnitureTemplate = {
  id: 'roundBasket',
  name: 'Basket, round or oval',
  words: ['round basket', 'oval basket', 'round hamper'],
  measures: [
    lengthMeasure('widthMm', 'Across, the long way', 350, 40, 1500),
    lengthMeasure('depthMm', 'Across, the short way', 350, 40, 1500),
    lengthMeasure('heightMm', 'Height', 300, 30, 1500),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  usual: { materialId: 'wicker' },
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => {
    const girdle = { kind: 'custom' as const, areaM2: ellipsePerimeter(widthMm / 2, depthMm / 2) * heightMm * 1e-6 };
    const base = { kind: 'custom' as const, areaM2: (Math.PI / 4) * widthMm * depthMm * 1e-6 };
    const weave = { textureFactor: WICKER, detail: 'weave' as const };
    return [
      zone('outside', 'A', 'Outside', girdle, weave),
      zone('inside', 'B', 'Inside', girdle, { ...weave, included: false }),
      zone('base', 'C', 'Underside', base, { ...weave, use: 'seen', included: false }),
    ];
  },
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const rows = 6;
    const band = heightMm / rows;
    return {
      widthMm,
      heightMm,
      // A round belly: the bands are widest in the middle.
      shapes: Array.from({ length: rows }, (_, n) => {
        const inset = widthMm * 0.1 * Math.abs((2 * n + 1) / rows - 1) ** 2;
        return drawnRectangle('outside', inset, band * n, widthMm - 2 * inset, band, n % 2 === 0 ? 4 : -8);
      }),
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

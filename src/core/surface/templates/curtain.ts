import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';
import { stroke } from './strokes';

/** A hanging cloth in folds: a curtain, a skirt for a shelf. */
export const curtain: FurnitureTemplate = {
  id: 'curtain',
  name: 'Curtain',
  words: ['curtain', 'curtains', 'drapes', 'cafe curtain'],
  measures: [
    lengthMeasure('widthMm', 'Width as it hangs', 900, 100, 6000),
    lengthMeasure('heightMm', 'Drop', 2100, 100, 5000),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  long: 'height',
  traits: ['hangs'],
  usual: { materialId: 'fabric' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0 }) => [
    zone('face', 'A', 'Face', { kind: 'rectangle', widthMm, heightMm }, { use: 'seen' }),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const folds = 7;
    const fold = widthMm / folds;
    return {
      widthMm,
      heightMm,
      shapes: Array.from({ length: folds }, (_, n) =>
        drawnRectangle('face', n * fold, 0, fold, heightMm, n % 2 === 0 ? 5 : -8, { isSoft: true }),
      ).concat(
        // A heading that gathers it, a hem below.
        drawnRectangle('face', 0, 0, widthMm, Math.min(40, heightMm * 0.03), -14),
        stroke(
          'face',
          [
            [0, heightMm * 0.965],
            [widthMm, heightMm * 0.965],
          ],
          widthMm * 0.004,
        ),
      ),
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

import type { Drawing } from '../drawing';
import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate, Measures } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';
import { stroke } from './strokes';

/** Wicker takes twice the paint of its projected area, side by side (1.6 to 2.5; common practice, from memory). */
const WICKER = 2;
const M2_PER_MM2 = 1e-6;

/** One basket as it differs from another. */
interface Woven {
  id: string;
  name: string;
  words: readonly string[];
  /** How its two measures from above are called. */
  across: readonly [string, string];
  /** What goes around it, mm, and what it stands on, mm², from its measures from above. */
  girthMm(widthMm: number, depthMm: number): number;
  baseMm2(widthMm: number, depthMm: number): number;
  /** Bands of the weave in the drawing, and by which share of the width a band is set in at each end. */
  bands: number;
  inset(band: number): number;
}

/** A woven basket: its weave counts as area, and its inside is left unless wanted. */
export function woven(own: Woven): FurnitureTemplate {
  const { id, name, words, across, girthMm, baseMm2, bands, inset } = own;
  return {
    id,
    name,
    words,
    measures: [
      lengthMeasure('widthMm', across[0], 350, 40, 1500),
      lengthMeasure('depthMm', across[1], 350, 40, 1500),
      lengthMeasure('heightMm', 'Height', 300, 30, 1500),
    ],
    overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
    traits: ['storesThings'],
    usual: { materialId: 'wicker' },
    hardwareMinutes: () => 0,
    zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => {
      const custom = (areaMm2: number) => ({ kind: 'custom' as const, areaM2: areaMm2 * M2_PER_MM2 });
      const girdle = custom(girthMm(widthMm, depthMm) * heightMm);
      const weave = { textureFactor: WICKER, detail: 'weave' as const };
      return [
        zone('outside', 'A', 'Outside', girdle, weave),
        zone('inside', 'B', 'Inside', girdle, { ...weave, included: false }),
        zone('base', 'C', 'Underside', custom(baseMm2(widthMm, depthMm)), { ...weave, use: 'seen', included: false }),
      ];
    },
    draw: ({ widthMm = 0, heightMm = 0 }: Measures): Drawing => {
      const band = heightMm / bands;
      return {
        widthMm,
        heightMm,
        // Bands of the weave, each a little nearer or farther to the light, and the canes that they run around.
        shapes: Array.from({ length: bands }, (_, n) => {
          const from = widthMm * inset(n);
          const wide = widthMm - 2 * from;
          const y = band * n;
          const canes = 9;
          const over = Array.from({ length: canes }, (__, k) => {
            const x = from + (wide * (k + 0.5 + (n % 2 === 0 ? 0.5 : 0))) / (canes + 0.5);
            return stroke(
              'outside',
              [
                [x, y + band * 0.12],
                [x, y + band * 0.88],
              ],
              wide * 0.012,
              n % 2 === 0 ? 4 : -4,
            );
          });
          return [drawnRectangle('outside', from, y, wide, band, n % 2 === 0 ? 4 : -8), ...over];
        }).flat(),
        labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
        dimensions: dimensions(widthMm, heightMm),
      };
    },
  };
}

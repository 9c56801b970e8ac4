import type { DrawnShape } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A garland: stems along a line, drawn as it hangs between two points. */
export const garland: FurnitureTemplate = {
  id: 'garland',
  name: 'Garland',
  words: ['garland', 'greenery garland', 'swag'],
  measures: [
    lengthMeasure('widthMm', 'Length', 1800, 200, 12000),
    lengthMeasure('heightMm', 'Thickness', 150, 20, 600),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: ['hangs'],
  usual: { materialId: 'fauxLeaf' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0 }) => [
    zone(
      'greens',
      'A',
      'Greens',
      { kind: 'cylinder', diameterMm: heightMm, heightMm: widthMm, ends: 0 },
      { use: 'seen', detail: 'spindles' },
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const count = Math.max(8, Math.min(40, Math.round(widthMm / Math.max(1, heightMm * 0.45))));
    const sag = Math.max(heightMm, widthMm * 0.12);
    const tuft = (n: number): DrawnShape => {
      const t = (n + 0.5) / count;
      // Close to a parabola, as a chain hangs.
      const y = 4 * sag * t * (1 - t);
      return {
        kind: 'ellipse',
        zoneId: 'greens',
        cx: widthMm * t,
        cy: y + heightMm / 2,
        rx: widthMm / count,
        ry: heightMm / 2,
        shade: n % 2 === 0 ? 5 : -8,
      };
    };
    return {
      widthMm,
      heightMm: sag + heightMm,
      shapes: Array.from({ length: count }, (_, n) => tuft(n)),
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: sag + heightMm / 2 }],
      dimensions: dimensions(widthMm, sag + heightMm),
    };
  },
};

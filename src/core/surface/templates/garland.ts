import type { DrawnShape } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';
import { heldShape, leaf } from './strokes';

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
    // Close to a parabola, as a chain hangs.
    const along = (t: number): [number, number] => [widthMm * t, 4 * sag * t * (1 - t) + heightMm / 2];
    const tuft = (n: number): DrawnShape[] => {
      const [x, y] = along((n + 0.5) / count);
      const wide = widthMm / count;
      const body: DrawnShape = {
        kind: 'ellipse',
        zoneId: 'greens',
        cx: x,
        cy: y,
        rx: wide,
        ry: heightMm * 0.36,
        shade: n % 2 === 0 ? -2 : -10,
        isSoft: true,
      };
      const leaves = [-1, 1, -0.5, 0.6].map((side, k) =>
        heldShape(
          leaf(
            'greens',
            [x, y],
            [x + wide * (k % 2 === 0 ? 1 : -0.6), y + side * heightMm * 0.5],
            heightMm * 0.2,
            k % 2 === 0 ? 8 : 0,
          ),
          widthMm,
          sag + heightMm,
        ),
      );
      return [body, ...leaves];
    };
    return {
      widthMm,
      heightMm: sag + heightMm,
      shapes: Array.from({ length: count }, (_, n) => tuft(n)).flat(),
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: sag + heightMm / 2 }],
      dimensions: dimensions(widthMm, sag + heightMm),
    };
  },
};

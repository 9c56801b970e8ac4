import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { caseZones, knob, lengthMeasure, slantedBox, zone } from './parts';

const GAP_MM = 24;

/** A chest of drawers: top, sides and frame, drawer fronts in rows and columns. */
export const dresser: FurnitureTemplate = {
  id: 'dresser',
  name: 'Dresser or chest of drawers',
  words: ['dresser', 'chest of drawers', 'drawers', 'sideboard', 'buffet', 'credenza'],
  measures: [
    lengthMeasure('widthMm', 'Width', 1219.2, 300, 2600),
    lengthMeasure('depthMm', 'Depth', 457.2, 150, 1000),
    lengthMeasure('heightMm', 'Height', 812.8, 300, 2000),
    { id: 'rows', label: 'Rows of drawers', kind: 'count', standard: 3, minimum: 1, maximum: 8 },
    { id: 'columns', label: 'Drawers in a row', kind: 'count', standard: 2, minimum: 1, maximum: 4 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  // Two minutes a knob (two on a wide front), two a drawer taken out and put back (common practice, from memory).
  hardwareMinutes: ({ rows = 0, columns = 0 }) => 6 * rows * columns,
  zones: (m) => {
    const { rows = 1, columns = 1 } = m;
    const front = frontOf(m);
    return [
      ...caseZones(m, { widthMm: front.width * columns, heightMm: front.height * rows }),
      zone(
        'drawers',
        'C',
        `${rows * columns} drawer fronts with edges`,
        { kind: 'rectangle', widthMm: front.width, heightMm: front.height, edgeMm: 19 },
        { count: rows * columns, detail: 'profiles' },
      ),
    ];
  },
  draw: (m) => {
    const { widthMm = 0, heightMm = 0, depthMm = 0, rows = 1, columns = 1 } = m;
    const front = frontOf(m);
    const box = slantedBox('carcass', 'top', widthMm, depthMm, heightMm);
    const fronts = Array.from({ length: rows * columns }, (_, n) => {
      const x = GAP_MM + (n % columns) * (front.width + GAP_MM / 2);
      const y = box.frontY + GAP_MM + Math.floor(n / columns) * (front.height + GAP_MM / 2);
      return [
        drawnRectangle('drawers', x, y, front.width, front.height, 8),
        knob(x + front.width / 2, y + front.height / 2, heightMm * 0.014),
      ];
    }).flat();
    return {
      ...box.size,
      shapes: [...box.shapes, ...fronts],
      labels: [
        { letter: 'A', xMm: widthMm * 0.55, yMm: box.frontY * 0.6 },
        { letter: 'B', xMm: widthMm + box.slantX * 0.5, yMm: heightMm * 0.55 },
        { letter: 'C', xMm: GAP_MM + front.width * 0.15, yMm: box.frontY + GAP_MM + front.height * 0.5 },
      ],
      dimensions: box.dimensions,
    };
  },
};

function frontOf({ widthMm = 0, heightMm = 0, rows = 1, columns = 1 }: Record<string, number>) {
  const room = (whole: number, parts: number) =>
    Math.max(10, (whole - 2 * GAP_MM - ((parts - 1) * GAP_MM) / 2) / parts);
  return { width: room(widthMm, columns), height: room(heightMm, rows) };
}

import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { around, dimensions, knob, lengthMeasure, polygon, topZone, zone } from './parts';

const TOP_MM = 22;
/** The lower shelf: how thick, so far from each end, and so far down from the top as a share of the height. */
const SHELF_MM = 18;
const SHELF_INSET_MM = 40;
const SHELF_DOWN = 0.78;

/** A slim hall table on tapered legs: top, legs, apron with a drawer, a lower shelf. */
export const consoleTable: FurnitureTemplate = {
  id: 'consoleTable',
  name: 'Console or side table with a shelf',
  words: ['console', 'console table', 'demilune table', 'hall table', 'sofa table', 'entry table', 'end table'],
  measures: [
    lengthMeasure('widthMm', 'Width', 1000, 250, 2400),
    lengthMeasure('depthMm', 'Depth', 330, 150, 800),
    lengthMeasure('heightMm', 'Height', 780, 300, 1200),
    { id: 'drawers', label: 'Drawers', kind: 'count', standard: 1, minimum: 0, maximum: 4 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  hardwareMinutes: ({ drawers = 0 }) => 4 * drawers,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0, drawers = 0 }) => {
    const apron = heightMm * 0.16;
    return [
      topZone('Top with its edges', widthMm, depthMm, TOP_MM),
      zone(
        'legs',
        'B',
        'Tapered legs',
        { kind: 'squareLeg', topMm: 45, footMm: 28, heightMm: Math.max(0, heightMm - TOP_MM) },
        { count: 4, detail: 'profiles' },
      ),
      zone('apron', 'C', drawers > 0 ? 'Aprons and drawer fronts' : 'Aprons', around(widthMm, depthMm, apron)),
      zone('shelf', 'D', 'Lower shelf, top and edges', {
        kind: 'rectangle',
        widthMm: widthMm * 0.92,
        heightMm: depthMm * 0.9,
        edgeMm: SHELF_MM,
      }),
    ];
  },
  boards: ({ widthMm = 0, heightMm = 0 }) => [
    {
      topMm: heightMm * (1 - SHELF_DOWN),
      thickMm: SHELF_MM,
      leftMm: SHELF_INSET_MM,
      rightMm: widthMm - SHELF_INSET_MM,
    },
  ],
  draw: ({ widthMm = 0, heightMm = 0, drawers = 0 }) => {
    const apron = heightMm * 0.16;
    const leg = (x: number, shade: number) =>
      polygon(
        'legs',
        [
          [x, TOP_MM],
          [x + 45, TOP_MM],
          [x + 37, heightMm],
          [x + 9, heightMm],
        ],
        shade,
      );
    const front = (widthMm - 120) / Math.max(1, drawers);
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('shelf', SHELF_INSET_MM, heightMm * SHELF_DOWN, widthMm - 2 * SHELF_INSET_MM, SHELF_MM, -6),
        drawnRectangle('apron', 30, TOP_MM, widthMm - 60, apron, -8),
        ...Array.from({ length: drawers }, (_, n) => [
          drawnRectangle('apron', 60 + n * front + 6, TOP_MM + 14, front - 12, apron - 26, 6),
          knob(60 + (n + 0.5) * front, TOP_MM + apron / 2, heightMm * 0.014),
        ]).flat(),
        leg(20, 0),
        leg(widthMm - 65, -6),
        drawnRectangle('top', 0, 0, widthMm, TOP_MM, 10),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: TOP_MM / 2 },
        { letter: 'B', xMm: 42, yMm: heightMm * 0.55 },
        { letter: 'C', xMm: widthMm * 0.2, yMm: TOP_MM + apron / 2 },
        { letter: 'D', xMm: widthMm / 2, yMm: heightMm * 0.79 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

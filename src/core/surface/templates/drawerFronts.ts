import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

const FRONT_MM = 19;
/** Drawn one above the other, so many to a column. */
const ROWS = 4;

/** Drawers by themselves, by count and size: their fronts with the edges, and the boxes behind them. */
export const drawerFronts: FurnitureTemplate = {
  id: 'drawerFronts',
  name: 'Drawers by themselves',
  words: ['drawer', 'drawer front', 'drawer fronts'],
  measures: [
    { id: 'drawers', label: 'Drawers', kind: 'count', standard: 4, minimum: 1, maximum: 40 },
    lengthMeasure('widthMm', 'Front, width', 450, 50, 2000),
    lengthMeasure('heightMm', 'Front, height', 150, 30, 800),
    lengthMeasure('depthMm', 'Depth of the box', 400, 50, 1200),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['storesThings'],
  // Out and in again, and two knobs off and on: two minutes each.
  hardwareMinutes: ({ drawers = 0 }) => drawers * (2 + 2),
  zones: ({ drawers = 0, widthMm = 0, heightMm = 0, depthMm = 0 }) => [
    zone(
      'fronts',
      'A',
      'Fronts and their edges',
      { kind: 'rectangle', widthMm, heightMm, edgeMm: FRONT_MM },
      {
        count: drawers,
      },
    ),
    zone(
      'boxes',
      'B',
      'Boxes, inside',
      { kind: 'boxOpenTop', widthMm, depthMm, heightMm },
      { count: drawers, use: 'seen', included: false },
    ),
    zone(
      'sides',
      'C',
      'Boxes, outer sides',
      { kind: 'rectangle', widthMm: depthMm, heightMm },
      {
        count: drawers * 2,
        use: 'seen',
        included: false,
      },
    ),
  ],
  draw: ({ drawers = 1, widthMm = 0, heightMm = 0 }) => {
    const rows = Math.min(ROWS, drawers);
    const columns = Math.ceil(drawers / ROWS);
    const gap = heightMm * 0.08;
    const wide = columns * widthMm + (columns - 1) * gap;
    const high = rows * heightMm + (rows - 1) * gap;
    return {
      widthMm: wide,
      heightMm: high,
      shapes: Array.from({ length: drawers }, (_, n) =>
        drawnRectangle(
          'fronts',
          Math.floor(n / ROWS) * (widthMm + gap),
          (n % ROWS) * (heightMm + gap),
          widthMm,
          heightMm,
          n % 2 === 0 ? 4 : 0,
        ),
      ),
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
      dimensions: dimensions(wide, high),
    };
  },
};

import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

const COLUMNS = 5;
const ROWS = 4;

/** A tiled face: its tiles, and its joints alone for grout color. */
export const tiles: FurnitureTemplate = {
  id: 'tiles',
  name: 'Tiled face and its joints',
  words: ['tiles', 'tiled', 'backsplash', 'grout', 'tile floor'],
  measures: [
    lengthMeasure('widthMm', 'Width', 1200, 100, 6000),
    lengthMeasure('heightMm', 'Height or depth', 600, 100, 6000),
    lengthMeasure('tileMm', 'Tile, across', 100, 10, 1200),
    lengthMeasure('jointMm', 'Joint', 3, 0.5, 30),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: ['fixture'],
  usual: { materialId: 'glazedCeramic' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0, tileMm = 0, jointMm = 0 }) => [
    zone(
      'joints',
      'A',
      'Joints',
      { kind: 'tileJoints', widthMm, heightMm, tileWidthMm: tileMm, tileHeightMm: tileMm, jointMm },
      { use: 'wet', materialId: 'groutJoint' },
    ),
    zone('tiles', 'B', 'Tiles', { kind: 'rectangle', widthMm, heightMm }, { use: 'wet', included: false }),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const gap = Math.min(widthMm, heightMm) * 0.02;
    const w = (widthMm - gap * (COLUMNS + 1)) / COLUMNS;
    const h = (heightMm - gap * (ROWS + 1)) / ROWS;
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('joints', 0, 0, widthMm, heightMm),
        ...Array.from({ length: COLUMNS * ROWS }, (_, n) =>
          drawnRectangle('tiles', gap + (n % COLUMNS) * (w + gap), gap + Math.floor(n / COLUMNS) * (h + gap), w, h, 6),
        ),
      ],
      labels: [
        { letter: 'A', xMm: gap + w + gap / 2, yMm: gap + h + gap / 2 },
        { letter: 'B', xMm: gap + w * 1.5 + gap, yMm: gap + h * 1.5 + gap },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

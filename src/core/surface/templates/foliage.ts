import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

/** Stems with leaves, counted: painted leaf by leaf or sprayed. */
export const foliage: FurnitureTemplate = {
  id: 'foliage',
  name: 'Stems and leaves',
  words: ['stems', 'stem', 'branch', 'branches', 'foliage', 'leaves', 'eucalyptus', 'bouquet', 'faux plant'],
  measures: [
    { id: 'stems', label: 'Stems', kind: 'count', standard: 5, minimum: 1, maximum: 200 },
    { id: 'leavesEach', label: 'Leaves a stem', kind: 'count', standard: 12, minimum: 1, maximum: 200 },
    lengthMeasure('leafMm', 'Leaf, long', 80, 5, 600),
    lengthMeasure('heightMm', 'Stem, long', 500, 50, 2000),
  ],
  overall: { width: 'leafMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'fauxLeaf' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ stems = 1, leavesEach = 1, leafMm = 0, heightMm = 0 }) => [
    zone(
      'leaves',
      'A',
      `${stems * leavesEach} leaves, both faces`,
      { kind: 'leaves', leaves: stems * leavesEach, lengthMm: leafMm, widthMm: leafMm * 0.45 },
      { use: 'seen', detail: 'spindles' },
    ),
    zone(
      'stems',
      'B',
      stems === 1 ? 'Stem' : `${stems} stems`,
      { kind: 'cylinder', diameterMm: 6, heightMm, ends: 0 },
      { use: 'seen', count: stems, detail: 'spindles', included: false },
    ),
  ],
  draw: ({ leavesEach = 1, leafMm: long = 0, heightMm = 0 }) => {
    const shown = Math.min(leavesEach, 14);
    const leafMm = Math.min(long, heightMm);
    const widthMm = Math.max(leafMm * 2.2, heightMm * 0.3);
    const middle = widthMm / 2;
    const leaf = (n: number) => {
      const side = n % 2 === 0 ? 1 : -1;
      const y = Math.max(leafMm * 0.22, heightMm * (0.08 + (0.8 * n) / Math.max(1, shown)));
      const tip = middle + side * leafMm;
      return polygon(
        'leaves',
        [
          [middle, y],
          [middle + side * leafMm * 0.5, y - leafMm * 0.22],
          [tip, y - leafMm * 0.1],
          [middle + side * leafMm * 0.5, Math.min(heightMm, y + leafMm * 0.16)],
        ],
        side > 0 ? 4 : -8,
      );
    };
    return {
      widthMm,
      heightMm,
      shapes: [
        polygon('stems', [
          [middle - 3, 0],
          [middle + 3, 0],
          [middle + 4, heightMm],
          [middle - 4, heightMm],
        ]),
        ...Array.from({ length: shown }, (_, n) => leaf(n)),
      ],
      labels: [
        { letter: 'A', xMm: middle + leafMm * 0.5, yMm: heightMm * 0.08 },
        { letter: 'B', xMm: middle, yMm: heightMm * 0.95 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';
import { heldShape, leaf, stroke } from './strokes';

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
  overall: { width: null, depth: null, height: 'heightMm' },
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
  draw: ({ stems = 1, leavesEach = 1, leafMm: long = 0, heightMm = 0 }) => {
    const shownStems = Math.max(1, Math.min(7, Math.round(stems)));
    const shownLeaves = Math.max(1, Math.min(leavesEach, 12));
    const leafMm = Math.min(long, heightMm * 0.5);
    const widthMm = Math.max(leafMm * 2.2, heightMm * 0.3);
    const middle = widthMm / 2;
    const thick = Math.min(6, widthMm * 0.02);
    // Stems part from their foot like a fan; the outer ones are shorter.
    const shapes = Array.from({ length: shownStems }, (_, n) => {
      const turn = shownStems === 1 ? 0 : (n / (shownStems - 1)) * 2 - 1;
      const tipX = middle + turn * (middle - leafMm * 0.5);
      const tipY = heightMm * 0.18 * Math.abs(turn) + leafMm * 0.3;
      const at = (share: number): [number, number] => [
        middle + (tipX - middle) * share ** 1.6,
        heightMm + (tipY - heightMm) * share,
      ];
      const stem = stroke('stems', [at(0), at(0.25), at(0.5), at(0.75), at(1)], thick);
      const leaves = Array.from({ length: shownLeaves }, (__, k) => {
        const share = 0.3 + (0.7 * (k + 1)) / shownLeaves;
        const [x, y] = at(share);
        const side = k % 2 === 0 ? 1 : -1;
        const size = leafMm * (0.75 - 0.25 * share);
        return heldShape(
          leaf('leaves', [x, y], [x + side * size * 0.75, y - size * 0.62], size * 0.34, side > 0 ? 4 : -8),
          widthMm,
          heightMm,
        );
      });
      return [heldShape(stem, widthMm, heightMm), ...leaves];
    }).flat();
    return {
      widthMm,
      heightMm,
      shapes: [
        // What holds the picture together where lines alone would leave no silhouette.
        polygon('stems', [
          [middle - thick, heightMm * 0.55],
          [middle + thick, heightMm * 0.55],
          [middle + thick, heightMm],
          [middle - thick, heightMm],
        ]),
        ...shapes,
      ],
      labels: [
        { letter: 'A', xMm: middle + leafMm * 0.5, yMm: heightMm * 0.2 },
        { letter: 'B', xMm: middle, yMm: heightMm * 0.95 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

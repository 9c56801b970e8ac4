import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A folding screen: leaves coated on both faces, hinges off first. */
export const screen: FurnitureTemplate = {
  id: 'screen',
  name: 'Folding screen',
  words: [
    'folding screen',
    'room divider',
    'screen',
    'fire screen',
    'fireplace screen',
    'fireguard',
    'paravent',
    'shutter',
    'shutters',
  ],
  measures: [
    lengthMeasure('leafMm', 'A leaf, wide', 450, 100, 1200),
    lengthMeasure('heightMm', 'Height', 1700, 300, 2600),
    { id: 'leaves', label: 'Leaves', kind: 'count', standard: 3, minimum: 1, maximum: 8 },
  ],
  overall: { width: null, depth: null, height: 'heightMm' },
  traits: [],
  plan: 'flat',
  hardwareMinutes: ({ leaves = 0 }) => 6 * Math.max(0, leaves - 1),
  zones: ({ leafMm = 0, heightMm = 0, leaves = 1 }) => [
    zone(
      'leaves',
      'A',
      leaves === 1 ? 'Leaf, both faces' : `${leaves} leaves, both faces`,
      { kind: 'panelDoor', widthMm: leafMm, heightMm, edgeMm: 22, profile: 'shaker' },
      { count: leaves, sides: 2, detail: 'profiles' },
    ),
  ],
  draw: ({ leafMm = 0, heightMm = 0, leaves = 1 }) => ({
    widthMm: leafMm * leaves,
    heightMm,
    shapes: Array.from({ length: leaves }, (_, n) => [
      drawnRectangle('leaves', n * leafMm, 0, leafMm, heightMm, n % 2 === 0 ? 0 : -10),
      drawnRectangle(
        'leaves',
        n * leafMm + leafMm * 0.14,
        heightMm * 0.06,
        leafMm * 0.72,
        heightMm * 0.88,
        n % 2 === 0 ? 6 : -4,
      ),
    ]).flat(),
    labels: [{ letter: 'A', xMm: leafMm * 0.5, yMm: heightMm * 0.5 }],
    dimensions: dimensions(leafMm * leaves, heightMm),
  }),
};

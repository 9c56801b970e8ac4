import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

/** A wall shelf or ledge: both faces of the board with its edges, and its brackets. */
export const shelf: FurnitureTemplate = {
  id: 'shelf',
  name: 'Wall shelf or ledge',
  words: ['shelf', 'wall shelf', 'floating shelf', 'ledge', 'plate rack', 'mantel shelf'],
  measures: [
    lengthMeasure('widthMm', 'Length', 900, 100, 3600),
    lengthMeasure('depthMm', 'Depth', 200, 40, 800),
    lengthMeasure('heightMm', 'Thickness', 25, 8, 200),
    { id: 'brackets', label: 'Brackets', kind: 'count', standard: 2, minimum: 0, maximum: 8 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: ['hangs'],
  hardwareMinutes: ({ brackets = 0 }) => 3 * brackets,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0, brackets = 0 }) => [
    zone(
      'board',
      'A',
      'Board, both faces and edges',
      // Half of the edge goes with each face.
      { kind: 'panelDoor', widthMm, heightMm: depthMm, edgeMm: heightMm, profile: 'flat' },
      { sides: 2, use: 'tableTop' },
    ),
    ...(brackets > 0
      ? [
          zone(
            'brackets',
            'B',
            'Brackets',
            { kind: 'squareLeg', topMm: 30, footMm: 30, heightMm: depthMm * 0.9 + 150 },
            { count: brackets, detail: 'profiles', included: false },
          ),
        ]
      : []),
  ],
  front: ({ widthMm = 0, heightMm = 0 }) => ({
    widthMm,
    heightMm,
    shapes: [drawnRectangle('board', 0, 0, widthMm, heightMm, -4)],
    labels: [],
    dimensions: dimensions(widthMm, heightMm),
  }),
  draw: ({ widthMm = 0, depthMm = 0, heightMm = 0, brackets = 0 }) => {
    const inset = Math.min(depthMm * 0.25, widthMm * 0.2);
    const drop = Math.max(60, depthMm * 0.7);
    const bracket = (n: number) => {
      const x = (widthMm * (n + 0.5)) / Math.max(1, brackets);
      const half = Math.min(12, widthMm / 20);
      return drawnRectangle('brackets', x - half, heightMm + depthMm * 0.2, 2 * half, drop, -8);
    };
    return {
      widthMm,
      heightMm: heightMm + depthMm * 0.2 + (brackets > 0 ? drop : 0),
      shapes: [
        polygon(
          'board',
          [
            [inset, 0],
            [widthMm - inset, 0],
            [widthMm, depthMm * 0.2],
            [0, depthMm * 0.2],
          ],
          12,
        ),
        drawnRectangle('board', 0, depthMm * 0.2, widthMm, heightMm, -4),
        ...Array.from({ length: brackets }, (_, n) => bracket(n)),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: depthMm * 0.12 },
        ...(brackets > 0
          ? [{ letter: 'B', xMm: widthMm / (2 * brackets), yMm: heightMm + depthMm * 0.2 + drop * 0.6 }]
          : []),
      ],
      dimensions: [
        {
          fromX: 0,
          fromY: heightMm + depthMm * 0.2 + drop,
          toX: widthMm,
          toY: heightMm + depthMm * 0.2 + drop,
          lengthMm: widthMm,
        },
      ],
    };
  },
};

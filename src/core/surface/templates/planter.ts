import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, turnedOutline, zone } from './parts';

/** A pot or bucket: a frustum outside, a hand's breadth of it inside; soil and water stand below. */
export const planter: FurnitureTemplate = {
  id: 'planter',
  name: 'Planter or bucket',
  words: ['planter', 'pot', 'cachepot', 'bucket', 'pail', 'milk can', 'bowl'],
  measures: [
    lengthMeasure('heightMm', 'Height', 240, 30, 1200),
    lengthMeasure('topMm', 'Across the top', 260, 30, 1200),
    lengthMeasure('baseMm', 'Across the base', 190, 20, 1200, 'width'),
  ],
  overall: { width: 'topMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'terracotta' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ heightMm = 0, topMm = 0, baseMm = 0 }) => [
    zone(
      'outside',
      'A',
      'Outside',
      {
        kind: 'frustum',
        largeRadiusMm: Math.max(topMm, baseMm) / 2,
        smallRadiusMm: Math.min(topMm, baseMm) / 2,
        heightMm,
      },
      { use: 'wet' },
    ),
    zone(
      'locale',
      'B',
      'Inside, a hand deep',
      { kind: 'cylinder', diameterMm: topMm, heightMm: Math.min(heightMm, 90), ends: 0 },
      { use: 'wet' },
    ),
    zone(
      'base',
      'C',
      'Underside',
      { kind: 'cylinder', diameterMm: baseMm, heightMm: 0, ends: 1 },
      { use: 'wet', included: false },
    ),
  ],
  draw: ({ heightMm = 0, topMm = 0, baseMm = 0 }) => {
    const widthMm = Math.max(topMm, baseMm);
    const middle = widthMm / 2;
    const locale = heightMm * 0.07;
    return {
      widthMm,
      heightMm,
      shapes: [
        turnedOutline('outside', widthMm, heightMm, [
          [0, topMm / widthMm],
          [1, baseMm / widthMm],
        ]),
        polygon(
          'locale',
          [
            [middle - topMm / 2, 0],
            [middle + topMm / 2, 0],
            [middle + topMm * 0.47, locale],
            [middle - topMm * 0.47, locale],
          ],
          -16,
        ),
      ],
      labels: [
        { letter: 'A', xMm: middle, yMm: heightMm * 0.6 },
        { letter: 'B', xMm: middle, yMm: locale / 2 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

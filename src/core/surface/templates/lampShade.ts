import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

/** A lamp shade: a drum or a cone cut off, outside, and inside where it is lined again. */
export const lampShade: FurnitureTemplate = {
  id: 'lampShade',
  name: 'Lamp shade',
  words: ['shade', 'lampshade', 'lamp shade', 'drum shade'],
  measures: [
    lengthMeasure('topMm', 'Diameter above', 250, 30, 1000, 'width'),
    lengthMeasure('widthMm', 'Diameter below', 350, 50, 1200),
    lengthMeasure('heightMm', 'Height', 230, 40, 1000),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: ['shade'],
  usual: { materialId: 'fabric' },
  plan: 'round',
  hardwareMinutes: () => 2,
  zones: ({ topMm = 0, widthMm = 0, heightMm = 0 }) => {
    const shape = {
      kind: 'frustum' as const,
      largeRadiusMm: Math.max(topMm, widthMm) / 2,
      smallRadiusMm: Math.min(topMm, widthMm) / 2,
      heightMm,
    };
    return [
      zone('outside', 'A', 'Outside', shape, { use: 'nearHeat' }),
      zone('inside', 'B', 'Inside', shape, { use: 'nearHeat', included: false }),
    ];
  },
  draw: ({ topMm = 0, widthMm = 0, heightMm = 0 }) => {
    const wide = Math.max(topMm, widthMm);
    const at = (across: number, y: number): [number, number][] => [
      [(wide - across) / 2, y],
      [(wide + across) / 2, y],
    ];
    const [a, b] = [at(topMm, 0), at(widthMm, heightMm)];
    return {
      widthMm: wide,
      heightMm,
      shapes: [
        polygon('outside', [...a, ...[...b].reverse()]),
        polygon('outside', [[wide * 0.5, 0], ...a.slice(1), ...b.slice(1), [wide * 0.56, heightMm]], -6),
      ],
      labels: [{ letter: 'A', xMm: wide * 0.36, yMm: heightMm / 2 }],
      dimensions: dimensions(wide, heightMm),
    };
  },
};

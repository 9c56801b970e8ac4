import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

/** A bow of ribbon with two tails. */
export const bow: FurnitureTemplate = {
  id: 'bow',
  name: 'Bow',
  words: ['bow', 'bows', 'ribbon bow'],
  measures: [
    lengthMeasure('widthMm', 'Width over the loops', 300, 30, 1500),
    lengthMeasure('heightMm', 'Height with its tails', 300, 30, 2000),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'fabric' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0 }) => [
    zone('ribbon', 'A', 'Ribbon', { kind: 'rectangle', widthMm, heightMm }, { use: 'seen' }),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const w = widthMm;
    const loop = Math.min(heightMm * 0.5, w * 0.5);
    const middle = w / 2;
    const knot = w * 0.07;
    const side = (sign: 1 | -1) => [
      polygon(
        'ribbon',
        [
          [middle, loop / 2],
          [middle + sign * w * 0.3, 0],
          [middle + sign * w * 0.5, loop * 0.2],
          [middle + sign * w * 0.5, loop * 0.8],
          [middle + sign * w * 0.3, loop],
        ],
        sign > 0 ? -4 : 4,
      ),
      polygon(
        'ribbon',
        [
          [middle, loop / 2],
          [middle + sign * w * 0.12, loop / 2],
          [middle + sign * w * 0.3, heightMm],
          [middle + sign * w * 0.15, heightMm * 0.95],
        ],
        -10,
      ),
    ];
    return {
      widthMm,
      heightMm,
      shapes: [
        ...side(-1),
        ...side(1),
        { kind: 'ellipse', zoneId: 'ribbon', cx: middle, cy: loop / 2, rx: knot, ry: knot, shade: 8 },
      ],
      labels: [{ letter: 'A', xMm: w * 0.2, yMm: loop / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

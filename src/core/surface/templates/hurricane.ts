import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';
import { flame, heldShape, inkShape } from './strokes';

/** A glass cylinder with a candle in it; its glass stays bare, and what is near is near a flame. */
export const hurricane: FurnitureTemplate = {
  id: 'hurricane',
  name: 'Hurricane with a candle',
  words: ['hurricane', 'hurricane glass', 'candle glass'],
  measures: [
    lengthMeasure('widthMm', 'Glass, outside', 150, 40, 500),
    lengthMeasure('heightMm', 'Glass, high', 250, 50, 800),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'glass' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0 }) => [
    zone(
      'glass',
      'A',
      'Glass, outside',
      { kind: 'cylinder', diameterMm: widthMm, heightMm, ends: 0 },
      { use: 'flame' },
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const candle = widthMm * 0.45;
    const from = (widthMm - candle) / 2;
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('glass', 0, 0, widthMm, heightMm, 10),
        drawnRectangle('glass', 0, heightMm * 0.8, widthMm, heightMm * 0.2, -14),
        drawnRectangle(null, from, heightMm * 0.42, candle, heightMm * 0.4, 0, { ink: 'wax' }),
        heldShape(flame(widthMm / 2, heightMm * 0.42, heightMm * 0.14), widthMm, heightMm),
        inkShape('open', [
          [widthMm * 0.08, heightMm * 0.06],
          [widthMm * 0.15, heightMm * 0.06],
          [widthMm * 0.15, heightMm * 0.7],
          [widthMm * 0.08, heightMm * 0.7],
        ]),
      ],
      labels: [{ letter: 'A', xMm: widthMm * 0.12, yMm: heightMm * 0.15 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

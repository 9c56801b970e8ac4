import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';

/** A candle by itself: pillar, taper or tealight. Painted or wrapped it is only for show. */
export const candle: FurnitureTemplate = {
  id: 'candle',
  name: 'Candle',
  words: ['pillar candle', 'taper candle', 'candle', 'candles', 'tealight', 'votive'],
  measures: [lengthMeasure('widthMm', 'Across', 75, 8, 300), lengthMeasure('heightMm', 'Height', 150, 10, 900)],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  usual: { materialId: 'candleWax' },
  plan: 'round',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0 }) => [
    zone('side', 'A', 'Side', { kind: 'cylinder', diameterMm: widthMm, heightMm, ends: 0 }, { use: 'flame' }),
  ],
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const wick = Math.min(heightMm * 0.14, 14);
    const flame = Math.min(heightMm * 0.2, 26);
    const top = wick + flame * 0.55;
    const middle = widthMm / 2;
    const half = Math.min(flame * 0.2, widthMm * 0.3);
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('side', 0, top, widthMm, heightMm - top),
        drawnRectangle('side', widthMm * 0.72, top, widthMm * 0.28, heightMm - top, -8, { isSoft: true }),
        {
          kind: 'ellipse',
          zoneId: 'side',
          cx: middle,
          cy: top,
          rx: middle,
          ry: Math.min(widthMm * 0.08, top),
          shade: 8,
        },
        {
          kind: 'line',
          zoneId: null,
          ink: 'dark',
          shade: 0,
          thickMm: 1.2,
          points: [
            [middle, top],
            [middle, top - wick],
          ],
        },
        {
          ...polygon(null, [
            [middle, 0],
            [middle + half, flame * 0.6],
            [middle + half * 0.6, flame],
            [middle - half * 0.6, flame],
            [middle - half, flame * 0.6],
          ]),
          ink: 'flame',
          isSoft: true,
        },
      ],
      labels: [{ letter: 'A', xMm: middle, yMm: heightMm * 0.65 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, polygon, zone } from './parts';
import { flame, heldShape } from './strokes';

/** A lantern with panes: base, four posts and the hood are coated; the glass is masked. */
export const lantern: FurnitureTemplate = {
  id: 'lantern',
  name: 'Lantern',
  words: ['lantern', 'lanterns'],
  measures: [
    lengthMeasure('widthMm', 'Width', 160, 40, 700),
    lengthMeasure('heightMm', 'Height', 300, 60, 1500),
    lengthMeasure('barMm', 'Bars, across', 14, 2, 80),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  // Panes masked, a mask minute each and the edges (common practice, from memory).
  usual: { materialId: 'ferrousMetal' },
  hardwareMinutes: () => 8,
  zones: ({ widthMm = 0, heightMm = 0, barMm = 0 }) => {
    const body = heightMm * 0.62;
    return [
      zone('base', 'A', 'Base', { kind: 'boxClosed', widthMm, depthMm: widthMm, heightMm: heightMm * 0.1 }),
      zone(
        'posts',
        'B',
        'Posts and rails',
        { kind: 'custom', areaM2: (4 * barMm * 4 * body + 8 * barMm * 4 * widthMm) * 1e-6 },
        { detail: 'profiles' },
      ),
      zone(
        'hood',
        'C',
        'Hood',
        { kind: 'cone', radiusMm: widthMm / 2, heightMm: heightMm * 0.28 },
        { use: 'flame', detail: 'profiles' },
      ),
    ];
  },
  draw: ({ widthMm = 0, heightMm = 0, barMm = 0 }) => {
    const top = heightMm * 0.28;
    const bottom = heightMm * 0.9;
    const bar = Math.min(barMm, widthMm / 3);
    return {
      widthMm,
      heightMm,
      shapes: [
        polygon('hood', [
          [widthMm * 0.42, 0],
          [widthMm * 0.58, 0],
          [widthMm, top],
          [0, top],
        ]),
        drawnRectangle(null, bar, top, widthMm - 2 * bar, bottom - top, 0, { ink: 'glass' }),
        drawnRectangle(null, widthMm * 0.36, bottom - (bottom - top) * 0.5, widthMm * 0.28, (bottom - top) * 0.5, 0, {
          ink: 'wax',
        }),
        heldShape(flame(widthMm / 2, bottom - (bottom - top) * 0.5, (bottom - top) * 0.2), widthMm, heightMm),
        drawnRectangle('posts', 0, top, bar, bottom - top, 4),
        drawnRectangle('posts', widthMm - bar, top, bar, bottom - top, -8),
        drawnRectangle('posts', 0, top, widthMm, Math.min(bar, bottom - top), 2),
        drawnRectangle('base', 0, bottom, widthMm, heightMm - bottom, -12),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: heightMm * 0.95 },
        { letter: 'B', xMm: bar / 2, yMm: heightMm * 0.6 },
        { letter: 'C', xMm: widthMm / 2, yMm: heightMm * 0.18 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

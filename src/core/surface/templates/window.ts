import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** How far a sash stands around its panes in the drawing, as a share of a pane's width. */
const SASH_SHARE = 0.08;

/** A window, a glass door or a shower screen: its panes, as film covers them. It is part of the building and stays. */
export const window: FurnitureTemplate = {
  id: 'window',
  name: 'Window or glass door, its panes',
  words: ['window', 'window pane', 'glass door', 'shower screen', 'skylight'],
  measures: [
    lengthMeasure('widthMm', 'One pane, wide', 600, 50, 3000),
    lengthMeasure('heightMm', 'One pane, high', 1000, 50, 3000),
    { id: 'panes', label: 'Panes', kind: 'count', standard: 2, minimum: 1, maximum: 40 },
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: ['fixture'],
  usual: { materialId: 'glass' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0, panes = 1 }) => [
    zone(
      'panes',
      'A',
      panes === 1 ? 'Pane, inside' : `${panes} panes, inside`,
      { kind: 'rectangle', widthMm, heightMm },
      {
        count: panes,
        use: 'handled',
      },
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0, panes = 1 }) => {
    const shown = Math.min(panes, 4);
    const sash = widthMm * SASH_SHARE;
    const across = shown * (widthMm + sash) + sash;
    return {
      widthMm: across,
      heightMm: heightMm + 2 * sash,
      shapes: [
        drawnRectangle(null, 0, 0, across, heightMm + 2 * sash),
        ...Array.from({ length: shown }, (_, n) =>
          drawnRectangle('panes', sash + n * (widthMm + sash), sash, widthMm, heightMm, n % 2 === 0 ? 6 : 0),
        ),
      ],
      labels: [{ letter: 'A', xMm: sash + widthMm / 2, yMm: sash + heightMm / 2 }],
      dimensions: dimensions(across, heightMm + 2 * sash),
    };
  },
};

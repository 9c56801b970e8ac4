import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

const POST_MM = 70;

/** A bed head: a panel between two posts, the side to the wall left unless wanted. */
export const bedHead: FurnitureTemplate = {
  id: 'bedHead',
  name: 'Bed head',
  words: ['bed head', 'headboard', 'bedhead', 'footboard'],
  measures: [
    lengthMeasure('widthMm', 'Width', 1530, 500, 2200),
    lengthMeasure('heightMm', 'Height', 1100, 300, 2000),
    lengthMeasure('panelMm', 'Panel, high', 600, 100, 1800, 'height'),
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: [],
  plan: 'flat',
  hardwareMinutes: () => 6,
  zones: ({ widthMm = 0, heightMm = 0, panelMm = 0 }) => [
    zone(
      'panel',
      'A',
      'Panel, to the room',
      {
        kind: 'panelDoor',
        widthMm: Math.max(1, widthMm - 2 * POST_MM),
        heightMm: panelMm,
        edgeMm: 20,
        profile: 'shaker',
      },
      { detail: 'profiles' },
    ),
    zone('posts', 'B', 'Two posts', { kind: 'squareLeg', topMm: POST_MM, footMm: POST_MM, heightMm }, { count: 2 }),
    zone(
      'back',
      'C',
      'Panel, to the wall',
      { kind: 'rectangle', widthMm, heightMm: panelMm },
      { use: 'seen', included: false },
    ),
  ],
  draw: ({ widthMm = 0, heightMm = 0, panelMm: wanted = 0 }) => {
    const top = Math.min(60, heightMm * 0.1);
    const panelMm = Math.min(wanted, heightMm - top);
    const inner = widthMm - 2 * POST_MM;
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('panel', POST_MM, top, inner, panelMm),
        drawnRectangle('panel', POST_MM + inner * 0.06, top + panelMm * 0.14, inner * 0.88, panelMm * 0.7, -8),
        drawnRectangle('posts', 0, 0, POST_MM, heightMm, 6),
        drawnRectangle('posts', widthMm - POST_MM, 0, POST_MM, heightMm, -4),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: top + panelMm / 2 },
        { letter: 'B', xMm: POST_MM / 2, yMm: heightMm * 0.8 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

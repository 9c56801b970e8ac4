import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { around } from './parts';

/** Anything box-shaped: crate, chest, tray, hamper. Five outer faces, the underside on request. */
export const freeBox: FurnitureTemplate = {
  id: 'freeBox',
  name: 'Box of any size',
  words: ['box', 'chest', 'trunk'],
  measures: [
    { id: 'widthMm', label: 'Width', kind: 'length', standard: 450, minimum: 10, maximum: 4000 },
    { id: 'depthMm', label: 'Depth', kind: 'length', standard: 350, minimum: 10, maximum: 4000 },
    { id: 'heightMm', label: 'Height', kind: 'length', standard: 400, minimum: 2, maximum: 4000 },
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  hardwareMinutes: () => 0,
  zones: (m) => {
    const { widthMm = 0, depthMm = 0, heightMm = 0 } = m;
    const zone = { count: 1, sides: 1 as const, textureFactor: null, detail: 'flat' as const };
    return [
      {
        ...zone,
        id: 'top',
        letter: 'A',
        name: 'Top',
        shape: { kind: 'rectangle', widthMm, heightMm: depthMm },
        use: 'handled',
        included: true,
      },
      {
        ...zone,
        id: 'sides',
        letter: 'B',
        name: 'Four sides',
        shape: around(widthMm, depthMm, heightMm),
        use: 'handled',
        included: true,
      },
      {
        ...zone,
        id: 'underside',
        letter: 'C',
        name: 'Underside',
        shape: { kind: 'rectangle', widthMm, heightMm: depthMm },
        use: 'seen',
        included: false,
      },
    ];
  },
  draw: (m) => {
    const { widthMm = 0, depthMm = 0, heightMm = 0 } = m;
    const slantX = depthMm * 0.35;
    const slantY = depthMm * 0.22;
    return {
      widthMm: widthMm + slantX,
      heightMm: heightMm + slantY,
      shapes: [
        {
          kind: 'polygon',
          zoneId: 'top',
          shade: 10,
          points: [
            [0, slantY],
            [widthMm, slantY],
            [widthMm + slantX, 0],
            [slantX, 0],
          ],
        },
        {
          kind: 'polygon',
          zoneId: 'sides',
          shade: -10,
          points: [
            [widthMm, slantY],
            [widthMm + slantX, 0],
            [widthMm + slantX, heightMm],
            [widthMm, heightMm + slantY],
          ],
        },
        drawnRectangle('sides', 0, slantY, widthMm, heightMm),
      ],
      labels: [
        { letter: 'A', xMm: widthMm * 0.5 + slantX * 0.5, yMm: slantY * 0.6 },
        { letter: 'B', xMm: widthMm * 0.5, yMm: slantY + heightMm * 0.5 },
      ],
      dimensions: [
        { fromX: 0, fromY: heightMm + slantY, toX: widthMm, toY: heightMm + slantY, lengthMm: widthMm },
        { fromX: 0, fromY: slantY, toX: 0, toY: slantY + heightMm, lengthMm: heightMm },
      ],
    };
  },
};

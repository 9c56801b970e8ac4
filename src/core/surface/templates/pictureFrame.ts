import type { DrawnShape } from '../drawing';
import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { inkShape } from './strokes';

/** A picture or mirror frame: the face of the moulding and its outer edge; glass and picture come out first. */
export const pictureFrame: FurnitureTemplate = {
  id: 'pictureFrame',
  name: 'Picture frame',
  words: ['picture frame', 'photo frame', 'mirror frame', 'frame', 'frames'],
  measures: [
    { id: 'openWidthMm', label: 'Opening width', kind: 'length', standard: 203.2, minimum: 40, maximum: 2000 },
    { id: 'openHeightMm', label: 'Opening height', kind: 'length', standard: 254, minimum: 40, maximum: 2000 },
    { id: 'mouldingMm', label: 'Moulding width', kind: 'length', standard: 38.1, minimum: 5, maximum: 300 },
    { id: 'depthMm', label: 'Moulding depth', kind: 'length', standard: 19, minimum: 4, maximum: 150 },
  ],
  overall: { width: 'openWidthMm', depth: 'depthMm', height: 'openHeightMm' },
  traits: ['hangs'],
  // Glass, picture and backing out and in again (common practice, from memory).
  plan: 'flat',
  hardwareMinutes: () => 5,
  zones: (m) => {
    const { openWidthMm = 0, openHeightMm = 0, mouldingMm = 0, depthMm = 0 } = m;
    return [
      {
        id: 'face',
        letter: 'A',
        name: 'Face of the moulding',
        shape: { kind: 'frameMoulding', openWidthMm, openHeightMm, mouldingMm },
        count: 1,
        sides: 1,
        textureFactor: null,
        detail: 'profiles',
        use: 'seen',
        included: true,
      },
      {
        id: 'edge',
        letter: 'B',
        name: 'Outer edge',
        shape: {
          kind: 'rectangle',
          widthMm: 2 * (openWidthMm + openHeightMm) + 8 * mouldingMm,
          heightMm: depthMm,
        },
        count: 1,
        sides: 1,
        textureFactor: null,
        detail: 'flat',
        use: 'seen',
        included: true,
      },
    ];
  },
  draw: (m) => {
    const { openWidthMm = 0, openHeightMm = 0, mouldingMm = 0 } = m;
    const w = openWidthMm + 2 * mouldingMm;
    const h = openHeightMm + 2 * mouldingMm;
    const lip = mouldingMm * 0.22;
    return {
      widthMm: w,
      heightMm: h,
      shapes: [
        drawnRectangle('edge', 0, 0, w, h, -16),
        drawnRectangle('face', lip, lip, w - 2 * lip, h - 2 * lip),
        drawnRectangle('face', mouldingMm * 0.7, mouldingMm * 0.7, w - 1.4 * mouldingMm, h - 1.4 * mouldingMm, 10),
        ...matAndPrint(mouldingMm, mouldingMm, openWidthMm, openHeightMm),
      ],
      labels: [
        { letter: 'A', xMm: w / 2, yMm: mouldingMm * 0.55 },
        { letter: 'B', xMm: lip * 0.5, yMm: h / 2 },
      ],
      dimensions: [
        { fromX: 0, fromY: h, toX: w, toY: h, lengthMm: w },
        { fromX: 0, fromY: 0, toX: 0, toY: h, lengthMm: h },
      ],
    };
  },
};

/** What a frame shows while nobody says: a mat, heavier below, and a print of sky, hill and water. */
function matAndPrint(x: number, y: number, wide: number, high: number): DrawnShape[] {
  const border = Math.min(wide, high) * 0.16;
  const left = x + border;
  const top = y + border;
  const w = Math.max(1, wide - 2 * border);
  const h = Math.max(1, high - 2.2 * border);
  return [
    drawnRectangle(null, x, y, wide, high, 0, { ink: 'paper' }),
    drawnRectangle(null, left, top, w, h, 10, { ink: 'print' }),
    inkShape(
      'leaf',
      [
        [left, top + h * 0.66],
        [left + w * 0.3, top + h * 0.45],
        [left + w * 0.62, top + h * 0.62],
        [left + w, top + h * 0.5],
        [left + w, top + h * 0.78],
        [left, top + h * 0.78],
      ],
      12,
    ),
    inkShape(
      'print',
      [
        [left, top + h * 0.78],
        [left + w, top + h * 0.78],
        [left + w, top + h],
        [left, top + h],
      ],
      -16,
    ),
  ];
}

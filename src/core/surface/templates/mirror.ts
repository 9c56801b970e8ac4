import { type Drawing, drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, edgesAround, lengthMeasure, zone } from './parts';
import { inkShape } from './strokes';

/** A framed mirror: the frame's face and outer edge; the glass is masked. Measured over the frame. */
export const mirror: FurnitureTemplate = {
  id: 'mirror',
  name: 'Mirror',
  words: ['mirror', 'mirrors'],
  measures: [
    lengthMeasure('widthMm', 'Width over the frame', 500, 50, 2500),
    lengthMeasure('heightMm', 'Height over the frame', 700, 50, 2500),
    lengthMeasure('mouldingMm', 'Frame, wide', 50, 3, 300),
    lengthMeasure('edgeMm', 'Frame, deep', 25, 2, 150),
  ],
  overall: { width: 'widthMm', depth: 'edgeMm', height: 'heightMm' },
  traits: ['hangs'],
  // Glass masked along its edge: about a minute a meter of tape and the laying out (common practice, from memory).
  plan: 'flat',
  hardwareMinutes: ({ widthMm = 0, heightMm = 0 }) => 3 + (2 * (widthMm + heightMm)) / 1000,
  zones: ({ widthMm = 0, heightMm = 0, mouldingMm = 0, edgeMm = 0 }) => {
    const moulding = Math.min(mouldingMm, widthMm / 2, heightMm / 2);
    return [
      zone(
        'frame',
        'A',
        'Frame, face',
        {
          kind: 'frameMoulding',
          openWidthMm: widthMm - 2 * moulding,
          openHeightMm: heightMm - 2 * moulding,
          mouldingMm: moulding,
        },
        { detail: 'profiles', use: 'seen' },
      ),
      zone('edge', 'B', 'Outer edge', edgesAround(widthMm, heightMm, edgeMm), { use: 'seen' }),
    ];
  },
  draw: ({ widthMm = 0, heightMm = 0, mouldingMm = 0, round = 0 }) => {
    const moulding = Math.min(mouldingMm, widthMm / 2.2, heightMm / 2.2);
    if (round > 0) return roundMirror(widthMm, heightMm, moulding);
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('frame', 0, 0, widthMm, heightMm),
        drawnRectangle(null, moulding, moulding, widthMm - 2 * moulding, heightMm - 2 * moulding, 0, { ink: 'mirror' }),
        // Light that falls across the glass.
        ...[0.2, 0.34].map((at, n) =>
          inkShape(
            'open',
            [
              [moulding + (widthMm - 2 * moulding) * at, heightMm - moulding],
              [moulding + (widthMm - 2 * moulding) * (at + (n === 0 ? 0.09 : 0.04)), heightMm - moulding],
              [moulding + (widthMm - 2 * moulding) * (at + 0.35 + (n === 0 ? 0.09 : 0.04)), moulding],
              [moulding + (widthMm - 2 * moulding) * (at + 0.35), moulding],
            ],
            -2,
          ),
        ),
      ],
      labels: [{ letter: 'A', xMm: moulding / 2, yMm: heightMm / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

/** A round or oval mirror: its frame a ring, its glass within. */
function roundMirror(widthMm: number, heightMm: number, moulding: number): Drawing {
  const [cx, cy] = [widthMm / 2, heightMm / 2];
  const inner = { rx: cx - moulding, ry: cy - moulding };
  return {
    widthMm,
    heightMm,
    shapes: [
      { kind: 'ellipse', zoneId: 'frame', cx, cy, rx: cx, ry: cy, shade: 0 },
      { kind: 'ellipse', zoneId: null, ink: 'mirror', cx, cy, ...inner, shade: 0 },
      ...[0, 0.16].map((off) =>
        inkShape(
          'open',
          [
            [cx - inner.rx * (0.5 - off), cy + inner.ry * 0.45],
            [cx - inner.rx * (0.42 - off), cy + inner.ry * 0.52],
            [cx + inner.rx * (0.1 + off), cy - inner.ry * 0.55],
            [cx + inner.rx * (0.02 + off), cy - inner.ry * 0.6],
          ],
          -2,
        ),
      ),
    ],
    labels: [{ letter: 'A', xMm: moulding / 2, yMm: cy }],
    dimensions: dimensions(widthMm, heightMm),
  };
}

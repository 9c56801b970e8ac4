import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, faces, flatFace, lengthMeasure, zone } from './parts';

const SLATS = 4;
/** Slats cover about four fifths of a side (a modelling choice). */
const SLAT_SHARE = 0.8;

/** A slatted crate: slats outside with their edges, inside, bottom. */
export const crate: FurnitureTemplate = {
  id: 'crate',
  name: 'Crate, slatted',
  words: ['crate', 'wooden crate', 'fruit crate', 'caddy'],
  measures: [
    lengthMeasure('widthMm', 'Width', 450, 80, 1500),
    lengthMeasure('depthMm', 'Depth', 320, 80, 1200),
    lengthMeasure('heightMm', 'Height', 250, 40, 1200),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => {
    const slatMm = (heightMm * SLAT_SHARE) / SLATS;
    const girdle = faces(
      flatFace('long', 'Slats of front and back', widthMm, slatMm, 2 * SLATS),
      flatFace('short', 'Slats left and right', depthMm, slatMm, 2 * SLATS),
    );
    return [
      zone('outside', 'A', 'Slats, outside and edges', girdle, { textureFactor: 1.2, detail: 'spindles' }),
      zone('inside', 'B', 'Slats, inside', girdle, { detail: 'profiles', use: 'seen' }),
      zone('bottom', 'C', 'Bottom, inside', { kind: 'rectangle', widthMm, heightMm: depthMm }, { use: 'seen' }),
    ];
  },
  draw: ({ widthMm = 0, heightMm = 0 }) => {
    const band = heightMm / SLATS;
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('inside', 0, 0, widthMm, heightMm, -26),
        ...Array.from({ length: SLATS }, (_, n) =>
          drawnRectangle('outside', 0, band * n + band * 0.1, widthMm, band * 0.8, n % 2 === 0 ? 4 : 0),
        ),
        drawnRectangle('outside', 0, 0, widthMm * 0.07, heightMm, -8),
        drawnRectangle('outside', widthMm * 0.93, 0, widthMm * 0.07, heightMm, -8),
      ],
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: band * 1.5 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, edgesAround, lengthMeasure, zone } from './parts';

/** A door, cabinet front or screen leaf: both faces with their panels, and the edges. */
export const door: FurnitureTemplate = {
  id: 'door',
  name: 'Door or panel',
  words: ['door', 'shutter', 'panel', 'screen', 'bed head', 'headboard', 'sign'],
  measures: [
    lengthMeasure('widthMm', 'Width', 610, 50, 2500),
    lengthMeasure('heightMm', 'Height', 762, 50, 2600),
    lengthMeasure('thickMm', 'Thick', 19, 2, 100),
    { id: 'panels', label: 'Raised panels', kind: 'count', standard: 1, minimum: 0, maximum: 8 },
  ],
  overall: { width: 'widthMm', depth: 'thickMm', height: 'heightMm' },
  traits: ['hangs'],
  // Two hinges off and on, 6 minutes a pair (common practice, from memory).
  plan: 'flat',
  hardwareMinutes: () => 6,
  zones: ({ widthMm = 0, heightMm = 0, thickMm = 0, panels = 0 }) => [
    zone(
      'faces',
      'A',
      panels > 0 ? 'Faces with raised panels' : 'Faces',
      { kind: 'rectangle', widthMm, heightMm },
      // Raised panels: 1.10 to 1.25, 1.15 usual (common practice, from memory).
      { sides: 2, textureFactor: panels > 0 ? 1.15 : null, detail: panels > 0 ? 'profiles' : 'flat' },
    ),
    zone('edges', 'B', 'Edges', edgesAround(widthMm, heightMm, thickMm)),
  ],
  draw: ({ widthMm = 0, heightMm = 0, panels = 0 }) => {
    const rail = Math.min(widthMm, heightMm) * 0.16;
    const each = panels > 0 ? (heightMm - rail) / panels : 0;
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('faces', 0, 0, widthMm, heightMm),
        ...(each > rail
          ? Array.from({ length: panels }, (_, n) =>
              drawnRectangle('faces', rail, rail + each * n, widthMm - 2 * rail, each - rail, n % 2 === 0 ? -8 : -6),
            )
          : []),
        drawnRectangle('edges', 0, 0, Math.min(widthMm * 0.02, 20), heightMm, -14),
      ],
      labels: [
        { letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 },
        { letter: 'B', xMm: widthMm * 0.01, yMm: heightMm * 0.15 },
      ],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

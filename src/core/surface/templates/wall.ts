import { drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, flatFace, lengthMeasure, zone } from './parts';

/** What a door and a window leave out of a wall, m² (usual sizes, from memory). */
const DOOR_M2 = 1.9;
const WINDOW_M2 = 1.4;

/** A wall or a ceiling: its face without doors and windows. It is part of the building and stays. */
export const wall: FurnitureTemplate = {
  id: 'wall',
  name: 'Wall or ceiling',
  words: ['wall', 'accent wall', 'feature wall', 'ceiling'],
  measures: [
    lengthMeasure('widthMm', 'Width', 3000, 200, 15_000),
    lengthMeasure('heightMm', 'Height, or the other way', 2400, 200, 15_000),
    { id: 'doors', label: 'Doors in it', kind: 'count', standard: 0, minimum: 0, maximum: 10 },
    { id: 'windows', label: 'Windows in it', kind: 'count', standard: 0, minimum: 0, maximum: 20 },
  ],
  overall: { width: 'widthMm', depth: null, height: 'heightMm' },
  traits: ['fixture'],
  usual: { materialId: 'concrete', finishId: 'soundOldPaint', sheen: 'matt' },
  plan: 'flat',
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, heightMm = 0, doors = 0, windows = 0 }) => {
    const openM2 = doors * DOOR_M2 + windows * WINDOW_M2;
    const shape = { kind: 'faces' as const, faces: [flatFace('face', 'Face', widthMm, heightMm)], openM2 };
    // Its face is smooth enough: the roughness of bare concrete or plaster lies under the paint.
    return [zone('face', 'A', 'Face', shape, { use: 'wall', textureFactor: 1 })];
  },
  draw: ({ widthMm = 0, heightMm = 0, doors = 0, windows = 0 }) => {
    const doorMm = Math.min(900, widthMm * 0.25);
    const windowMm = Math.min(1000, widthMm * 0.25);
    return {
      widthMm,
      heightMm,
      shapes: [
        drawnRectangle('face', 0, 0, widthMm, heightMm),
        ...Array.from({ length: Math.min(doors, 2) }, (_, n) =>
          drawnRectangle(null, widthMm * 0.06 + n * doorMm * 1.2, heightMm * 0.18, doorMm, heightMm * 0.82, -14),
        ),
        ...Array.from({ length: Math.min(windows, 2) }, (_, n) =>
          drawnRectangle(
            null,
            widthMm * 0.94 - windowMm - n * windowMm * 1.2,
            heightMm * 0.25,
            windowMm,
            heightMm * 0.4,
            10,
          ),
        ),
      ],
      labels: [{ letter: 'A', xMm: widthMm / 2, yMm: heightMm / 2 }],
      dimensions: dimensions(widthMm, heightMm),
    };
  },
};

import { type Drawing, drawnRectangle } from '../drawing';
import type { FurnitureTemplate, Measure } from '../furnitureTemplate';
import type { ZoneUse } from '../zone';
import { dimensions, lengthMeasure, zone } from './parts';

/** What lies and has one face that can be printed, painted or dyed: a cloth, a rug. From the front only its edge is seen. */
export const lyingCloth = (of: {
  id: string;
  name: string;
  words: readonly string[];
  width: Sizes;
  length: Sizes;
  thickness: Sizes;
  use: ZoneUse;
  edgeShade: number;
  face(widthMm: number, depthMm: number): Drawing['shapes'];
}): FurnitureTemplate => {
  const lying = ({ widthMm = 0, depthMm = 0 }): Drawing => ({
    widthMm,
    heightMm: depthMm,
    shapes: of.face(widthMm, depthMm),
    labels: [{ letter: 'A', xMm: widthMm / 2, yMm: depthMm / 2 }],
    dimensions: dimensions(widthMm, depthMm),
  });
  return {
    id: of.id,
    name: of.name,
    words: of.words,
    measures: [
      asked('widthMm', 'Width', of.width),
      asked('depthMm', 'Length', of.length),
      asked('heightMm', 'Thickness', of.thickness),
    ],
    overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
    long: 'depth',
    traits: [],
    usual: { materialId: 'fabric' },
    hardwareMinutes: () => 0,
    zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => [
      zone(
        'face',
        'A',
        'Face',
        { kind: 'panelDoor', widthMm, heightMm: depthMm, edgeMm: heightMm, profile: 'flat' },
        { use: of.use },
      ),
    ],
    draw: lying,
    above: lying,
    front: ({ widthMm = 0, heightMm = 0 }) => ({
      widthMm,
      heightMm,
      shapes: [drawnRectangle('face', 0, 0, widthMm, heightMm, of.edgeShade)],
      labels: [],
      dimensions: dimensions(widthMm, heightMm),
    }),
  };
};

/** A usual size and its limits, mm. */
type Sizes = readonly [standard: number, minimum: number, maximum: number];
const asked = (id: string, label: string, [standard, minimum, maximum]: Sizes): Measure =>
  lengthMeasure(id, label, standard, minimum, maximum);

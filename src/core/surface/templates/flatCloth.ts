import { type Drawing, drawnRectangle } from '../drawing';
import type { FurnitureTemplate } from '../furnitureTemplate';
import { dimensions, lengthMeasure, zone } from './parts';

/** A cloth that lies: a runner, a napkin, a table cloth, a mat. It can be printed or painted on its face. */
export const flatCloth: FurnitureTemplate = {
  id: 'flatCloth',
  name: 'Runner, napkin or cloth',
  words: ['table runner', 'napkin', 'napkins', 'tablecloth', 'table cloth', 'placemat', 'placemats', 'tea towel'],
  measures: [
    lengthMeasure('widthMm', 'Width', 400, 50, 4000),
    lengthMeasure('depthMm', 'Length', 400, 50, 8000),
    lengthMeasure('heightMm', 'Thickness', 2, 0.1, 50),
  ],
  overall: { width: 'widthMm', depth: 'depthMm', height: 'heightMm' },
  traits: [],
  usual: { materialId: 'fabric' },
  hardwareMinutes: () => 0,
  zones: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => [
    zone(
      'face',
      'A',
      'Face',
      { kind: 'panelDoor', widthMm, heightMm: depthMm, edgeMm: heightMm, profile: 'flat' },
      { use: 'tableTop' },
    ),
  ],
  // Hanging over an edge or lying, from the front it is a strip with its hem.
  front: ({ widthMm = 0, heightMm = 0 }) => ({
    widthMm,
    heightMm,
    shapes: [drawnRectangle('face', 0, 0, widthMm, heightMm, -2)],
    labels: [],
    dimensions: dimensions(widthMm, heightMm),
  }),
  above: ({ widthMm = 0, depthMm = 0 }) => clothFace(widthMm, depthMm),
  draw: ({ widthMm = 0, depthMm = 0 }) => clothFace(widthMm, depthMm),
};

/** A cloth as it lies, its hem all around. */
function clothFace(widthMm: number, depthMm: number): Drawing {
  const hem = Math.min(widthMm, depthMm) * 0.06;
  return {
    widthMm,
    heightMm: depthMm,
    shapes: [
      drawnRectangle('face', 0, 0, widthMm, depthMm, -6),
      drawnRectangle('face', hem, hem, widthMm - 2 * hem, depthMm - 2 * hem, 4),
    ],
    labels: [{ letter: 'A', xMm: widthMm / 2, yMm: depthMm / 2 }],
    dimensions: dimensions(widthMm, depthMm),
  };
}

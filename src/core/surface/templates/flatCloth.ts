import { drawnRectangle } from '../drawing';
import { lyingCloth } from './lyingCloth';

/** A cloth that lies: a runner, a napkin, a table cloth, a mat. It can be printed or painted on its face. */
export const flatCloth = lyingCloth({
  id: 'flatCloth',
  name: 'Runner, napkin or cloth',
  words: ['table runner', 'napkin', 'napkins', 'tablecloth', 'table cloth', 'placemat', 'placemats', 'tea towel'],
  width: [400, 50, 4000],
  length: [400, 50, 8000],
  thickness: [2, 0.1, 50],
  use: 'tableTop',
  edgeShade: -2,
  // Its hem runs all around.
  face: (widthMm, depthMm) => {
    const hem = Math.min(widthMm, depthMm) * 0.06;
    return [
      drawnRectangle('face', 0, 0, widthMm, depthMm, -6),
      drawnRectangle('face', hem, hem, widthMm - 2 * hem, depthMm - 2 * hem, 4),
    ];
  },
});

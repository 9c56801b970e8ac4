import { ellipsePerimeter } from '../shapes';
import { woven } from './woven';

const BANDS = 6;

/** A woven basket that is round or oval from above: what goes around it is shorter than around its corners. */
export const roundBasket = woven({
  id: 'roundBasket',
  name: 'Basket, round or oval',
  words: ['round basket', 'oval basket', 'round hamper'],
  across: ['Across, the long way', 'Across, the short way'],
  girthMm: (widthMm, depthMm) => ellipsePerimeter(widthMm / 2, depthMm / 2),
  baseMm2: (widthMm, depthMm) => (Math.PI / 4) * widthMm * depthMm,
  bands: BANDS,
  // A round belly: the bands are widest in the middle.
  inset: (band) => 0.1 * Math.abs((2 * band + 1) / BANDS - 1) ** 2,
});

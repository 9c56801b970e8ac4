import { woven } from './woven';

/** A woven basket or hamper with corners. */
export const basket = woven({
  id: 'basket',
  name: 'Basket or hamper',
  words: ['basket', 'hamper', 'wicker'],
  across: ['Width', 'Depth'],
  girthMm: (widthMm, depthMm) => 2 * (widthMm + depthMm),
  baseMm2: (widthMm, depthMm) => widthMm * depthMm,
  bands: 5,
  inset: (band) => 0.02 * (band % 2),
});

import type { Coating } from './coating';
import { clearRows } from './coatings/clears.data';
import { filmRows } from './coatings/films.data';
import { paintRows } from './coatings/paints.data';
import { primerRows } from './coatings/primers.data';
import { translucentRows } from './coatings/translucents.data';

/**
 * The coatings table. Every figure is common practice, written from memory; a product's own label overrides it.
 * Spreading rates are the usual ft² per US gallon converted exactly; drying times hold at 21 °C and 50 % humidity.
 * Pack prices are rough shelf prices (from memory) in dollars, euros or pounds alike, shown as estimated.
 */
export const coatingRows: readonly Coating[] = [
  ...paintRows,
  ...translucentRows,
  ...primerRows,
  ...clearRows,
  ...filmRows,
];

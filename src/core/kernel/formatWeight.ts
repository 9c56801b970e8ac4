import { G_PER_POUND, type UnitSystem } from './units';

/**
 * A weight as one says it: pounds to a tenth, or kilograms to a tenth; below a pound in ounces, below a kilogram in grams.
 * @example 1361 g → "3 lb", or "1.4 kg"
 */
export function formatWeight(g: number, units: UnitSystem): string {
  if (units === 'us') {
    const pounds = g / G_PER_POUND;
    return pounds >= 1 || pounds === 0 ? `${Math.round(pounds * 10) / 10} lb` : `${Math.round(pounds * 160) / 10} oz`;
  }
  return g >= 1000 ? `${Math.round(g / 100) / 10} kg` : `${Math.round(g)} g`;
}

import { ML_PER_US_FLUID_OUNCE, ML_PER_US_GALLON, ML_PER_US_PINT, ML_PER_US_QUART } from './units';

/** Exact factors. Source: NIST SP 811, Appendix B (from memory): 1 lb = 453.59237 g, 1 oz = 1/16 lb. */
export const G_PER_POUND = 453.59237;
export const G_PER_OUNCE = G_PER_POUND / 16;

const grams: Record<string, number> = {
  g: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  lb: G_PER_POUND,
  lbs: G_PER_POUND,
  oz: G_PER_OUNCE,
};
const milliliters: Record<string, number> = {
  ml: 1,
  cl: 10,
  dl: 100,
  l: 1000,
  liter: 1000,
  litre: 1000,
  floz: ML_PER_US_FLUID_OUNCE,
  oz: ML_PER_US_FLUID_OUNCE,
  pt: ML_PER_US_PINT,
  pint: ML_PER_US_PINT,
  qt: ML_PER_US_QUART,
  quart: ML_PER_US_QUART,
  gal: ML_PER_US_GALLON,
  gallon: ML_PER_US_GALLON,
};

/** A plain number as people write it: `12`, `12.5`, `12,5`, `1/2`, `1 1/2`; null when it is none. */
export function parseNumber(text: string): number | null {
  const bare = text.trim();
  const fraction = /^(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(bare);
  if (fraction && Number(fraction[3]) > 0) return Number(fraction[1] ?? 0) + Number(fraction[2]) / Number(fraction[3]);
  if (!/^[+-]?(?:\d+(?:[.,]\d+)?|[.,]\d+)$/.test(bare)) return null;
  return Number(bare.replace(',', '.'));
}

function parseWith(units: Record<string, number>, text: string, bareUnit: string): number | null {
  const match = /^(.*?)\s*([a-z. ]*)$/i.exec(text.trim().toLowerCase());
  const value = parseNumber(match?.[1] ?? '');
  const named = (match?.[2] ?? '').replace(/[.\s]/g, '');
  const factor = units[named === '' ? bareUnit : named];
  return value === null || factor === undefined || value < 0 ? null : value * factor;
}

/**
 * A weight like `1.2 kg`, `3 lb`, `8 oz`; a bare number is in `bareUnit`.
 * @example "3 lb" → 1360.77711
 * @returns grams, or null
 */
export function parseWeight(text: string, bareUnit: 'g' | 'kg' | 'lb' | 'oz'): number | null {
  return parseWith(grams, text, bareUnit);
}

/**
 * A volume like `750 ml`, `1 qt`, `32 fl oz`; a bare number is in `bareUnit`.
 * @example "1 qt" → 946.352946
 * @returns milliliters, or null
 */
export function parseVolume(text: string, bareUnit: 'ml' | 'l' | 'floz'): number | null {
  return parseWith(milliliters, text, bareUnit);
}

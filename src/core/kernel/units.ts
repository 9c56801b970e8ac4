/** Exact conversion factors. Source: NIST SP 811 and Handbook 44 (from memory). */
export const MM_PER_INCH = 25.4;
export const MM_PER_FOOT = 304.8;
export const MM_PER_YARD = 914.4;
export const M_PER_MILE = 1609.344;
export const M2_PER_SQUARE_FOOT = 0.09290304;
export const M2_PER_SQUARE_INCH = 0.00064516;
export const KG_PER_POUND = 0.45359237;
export const G_PER_POUND = KG_PER_POUND * 1000;
export const G_PER_OUNCE = G_PER_POUND / 16;
export const ML_PER_US_GALLON = 3785.411784;
export const ML_PER_US_QUART = ML_PER_US_GALLON / 4;
export const ML_PER_US_PINT = ML_PER_US_GALLON / 8;
export const ML_PER_US_FLUID_OUNCE = 29.5735295625;

/** A cubic foot: 304.8 mm cubed. */
export const L_PER_CUBIC_FOOT = MM_PER_FOOT ** 3 / 1e6;

/** ft² per US gallon → m² per liter; derived from the exact factors (0.0245424). */
export const M2_PER_L_PER_FT2_PER_GALLON = M2_PER_SQUARE_FOOT / (ML_PER_US_GALLON / 1000);

/** The two systems a project can show its lengths in. */
export type UnitSystem = 'us' | 'metric';

/** °C → °F. */
export function fahrenheit(celsius: number): number {
  return celsius * 1.8 + 32;
}

/** Milliseconds of a minute, an hour, a day of 24 hours; a calendar day can be longer or shorter where clocks change. */
export const MS_PER_MINUTE = 60_000;
export const MS_PER_HOUR = 60 * MS_PER_MINUTE;
export const MS_PER_DAY = 24 * MS_PER_HOUR;

/** The air while working and drying: °C, percent, and the measured surface in °C or null when nobody measured. */
export interface Climate {
  airC: number;
  humidityPercent: number;
  surfaceC: number | null;
}

/**
 * Dew point in °C of air at °C and percent humidity (above 0). Alduchov & Eskridge 1996, J. Appl. Meteor. 35:601.
 * @param airC °C, −40 to 50
 * @param humidityPercent relative humidity, more than 0 to 100
 * @example 20 °C and 50 % → 9.26 °C
 */
export function dewPointC(airC: number, humidityPercent: number): number {
  const gamma = Math.log(humidityPercent / 100) + (17.625 * airC) / (243.04 + airC);
  return (243.04 * gamma) / (17.625 - gamma);
}

/**
 * How far the surface is above the dew point, °C, as a difference. ISO 8502-4 asks for 3 °C before coating (from memory).
 * Without a measured surface the air stands in for it.
 */
export function dewSpreadC(climate: Climate): number {
  return (climate.surfaceC ?? climate.airC) - dewPointC(climate.airC, climate.humidityPercent);
}

/**
 * How much longer drying takes than the tables say: 2^((21 − T)/10), held between 0.6 and 3, and for waterborne films
 * over 50 % humidity also × (1 + (RH − 50)/50). A modelling choice, not a standard.
 * @returns a factor on the table’s hours, 1 at 21 °C and up to 50 %
 * @example a waterborne film at 11 °C and 75 % → 3, where it is held
 */
export function dryingFactor(climate: Climate, isWaterborne: boolean): number {
  const warmth = Math.min(3, Math.max(0.6, 2 ** ((21 - climate.airC) / 10)));
  const damp = isWaterborne && climate.humidityPercent > 50 ? 1 + (climate.humidityPercent - 50) / 50 : 1;
  return warmth * damp;
}

/**
 * The same for full cure, which warmth never shortens below 0.8 of the table.
 * @returns a factor on the table’s days, 0.8 at the least
 * @example 31 °C and 50 % → 0.8
 */
export function cureFactor(climate: Climate, isWaterborne: boolean): number {
  return Math.max(0.8, dryingFactor(climate, isWaterborne));
}

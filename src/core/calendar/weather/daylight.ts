import { dayNumber } from '../localDates';

const RADIANS = Math.PI / 180;
const DAYS_OF_A_YEAR = 365;
/** When the sun stands highest by the clock, minutes since midnight: half an hour after noon (a modelling choice). */
const HIGHEST_MINUTE = 750;

/**
 * When the sun rises and sets on a local date, minutes since midnight by the clock. Declination after Cooper 1969, Solar
 * Energy 12:333 (from memory): δ = 23.45° · sin(360° · (284 + n)/365); half a day = arccos(−tan φ · tan δ)/15 hours.
 * @param latitude degrees, negative south of the equator
 * @returns the whole day where the sun does not set, no time at all where it does not rise
 * @example at 0° always 12 hours: 6:30 to 18:30
 */
export function daylight(date: string, latitude: number): { riseMinute: number; setMinute: number } {
  const dayOfYear = dayNumber(date) - dayNumber(`${date.slice(0, 4)}-01-01`) + 1;
  const declination = 23.45 * Math.sin(RADIANS * (360 / DAYS_OF_A_YEAR) * (284 + dayOfYear));
  const cosine = -Math.tan(RADIANS * latitude) * Math.tan(RADIANS * declination);
  if (cosine <= -1) return { riseMinute: 0, setMinute: 1440 };
  if (cosine >= 1) return { riseMinute: HIGHEST_MINUTE, setMinute: HIGHEST_MINUTE };
  const half = (Math.acos(cosine) / RADIANS / 15) * 60;
  return { riseMinute: Math.round(HIGHEST_MINUTE - half), setMinute: Math.round(HIGHEST_MINUTE + half) };
}

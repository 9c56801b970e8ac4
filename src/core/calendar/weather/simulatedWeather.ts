import { seededRandom } from '../../kernel/seededRandom';
import { dewPointC } from '../climate';
import { dayNumber } from '../localDates';
import { climateRegions, type MonthNormal, type RegionKind } from './climateRegions.data';
import type { WeatherDay, WeatherHour } from './weatherHour';

/** How far a spell is off the month's mean, °C, and how many days one lasts (modelling choices). */
const SPELL_C = 3.5;
const SPELL_DAYS = 4;
/** The hour of the highest and of the lowest air. */
const WARMEST_HOUR = 15;
const DAMPEST_PERCENT = 98;
const DRIEST_PERCENT = 8;

/** What saturated air holds, hPa: Alduchov & Eskridge 1996, as for the dew point. */
const saturation = (airC: number): number => 6.1094 * Math.exp((17.625 * airC) / (243.04 + airC));

/** A number from 0 to 1 that belongs to a day and a purpose. */
const chance = (seed: number, day: number, purpose: number): number =>
  seededRandom(seed * 7919 + day * 104_729 + purpose * 1_299_709)();

/** A number from −1 to 1 that changes slowly from day to day. */
function spell(seed: number, day: number, purpose: number): number {
  const from = Math.floor(day / SPELL_DAYS);
  const share = day / SPELL_DAYS - from;
  const smooth = share * share * (3 - 2 * share);
  const at = (n: number) => chance(seed, n, purpose) * 2 - 1;
  return at(from) * (1 - smooth) + at(from + 1) * smooth;
}

/** The normals of a date, between the middles of its month and of the nearer one beside it. */
function normalsOf(region: RegionKind, isSouthern: boolean, date: string): MonthNormal {
  const { months } = climateRegions[region];
  const month = Number(date.slice(5, 7)) - 1 + (isSouthern ? 6 : 0);
  const share = (Number(date.slice(8, 10)) - 15.5) / 30;
  const here = months[month % 12] as MonthNormal;
  const beside = months[(month + (share < 0 ? 11 : 1)) % 12] as MonthNormal;
  const between = (of: keyof MonthNormal) => here[of] + (beside[of] - here[of]) * Math.abs(share);
  return {
    meanC: between('meanC'),
    swingC: between('swingC'),
    humidityPercent: between('humidityPercent'),
    rainyShare: between('rainyShare'),
    windMPerS: between('windMPerS'),
  };
}

/** The hours in which it rains on a day, by what falls, mm. */
function rainOf(seed: number, day: number, rainyShare: number): readonly number[] {
  const hours = Array.from({ length: 24 }, () => 0);
  // Wet days come in spells: the chance rises and falls, its mean stays.
  const share = Math.min(0.95, Math.max(0, rainyShare * (1 + 0.8 * spell(seed, day, 3))));
  if (chance(seed, day, 4) >= share) return hours;
  const start = Math.floor(chance(seed, day, 5) * 22);
  const length = 2 + Math.floor(chance(seed, day, 6) * 8);
  const mm = 0.3 + chance(seed, day, 7) * 2.5;
  return hours.map((_, hour) => (hour >= start && hour < start + length ? Math.round(mm * 10) / 10 : 0));
}

/**
 * A day of weather that stands in for a forecast: the month's normals of a kind of climate, with warm and cold spells, rain
 * in spells, and days and nights. Always the same for the same seed and date; it foretells nothing, and is marked wherever
 * it is shown.
 */
export function simulatedDay(region: RegionKind, isSouthern: boolean, seed: number, date: string): WeatherDay {
  const day = dayNumber(date);
  const normal = normalsOf(region, isSouthern, date);
  const rain = rainOf(seed, day, normal.rainyShare);
  const isWet = rain.some((mm) => mm > 0);
  const meanC = normal.meanC + SPELL_C * spell(seed, day, 1) - (isWet ? 1 : 0);
  // Under clouds the day is cooler and the night warmer.
  const swingC = normal.swingC * (isWet ? 0.6 : 0.8 + 0.4 * chance(seed, day, 2));
  const dewC = dewPointC(meanC, Math.min(DAMPEST_PERCENT, normal.humidityPercent * (isWet ? 1.1 : 0.97)));
  const gusty = normal.windMPerS * (0.6 + 0.8 * chance(seed, day, 8));
  const hours = rain.map((rainMm, hour): WeatherHour => {
    const sun = Math.cos((2 * Math.PI * (hour - WARMEST_HOUR)) / 24);
    const airC = meanC + (swingC / 2) * sun - (rainMm > 0 ? 0.5 : 0);
    const relative = (100 * saturation(dewC)) / saturation(airC);
    const humidity = Math.min(
      DAMPEST_PERCENT,
      Math.max(DRIEST_PERCENT, rainMm > 0 ? Math.max(92, relative) : relative),
    );
    return {
      airC: Math.round(airC * 10) / 10,
      humidityPercent: Math.round(humidity),
      windMPerS: Math.round(Math.max(0, gusty * (0.95 + 0.35 * sun)) * 10) / 10,
      rainMm,
    };
  });
  return { date, hours, source: 'simulated' };
}

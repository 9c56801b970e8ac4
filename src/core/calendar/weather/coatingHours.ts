import { dewPointC } from '../climate';
import { dateAfter } from '../localDates';
import { daylight } from './daylight';
import type { PlaceOutdoors } from './placeOutdoors';
import type { Forecast, WeatherHour } from './weatherHour';

/** What a coating asks of the air while it is worked and dries; °C, percent, m/s. */
export interface AirLimits {
  minimumC: number;
  maximumC: number;
  maximumHumidity: number;
  dewSpreadC: number | null;
  nightMinimumC: number | null;
  windLimitMPerS: number | null;
}

/** Why an hour in the open is none for coating, with its figure and what would do. */
export type AgainstCoating =
  | { kind: 'cold'; airC: number; leastC: number }
  | { kind: 'hot'; airC: number; mostC: number }
  | { kind: 'damp'; percent: number; most: number }
  | { kind: 'dew'; spreadC: number; leastC: number }
  | { kind: 'wind'; windMPerS: number; most: number }
  | { kind: 'rain'; inHours: number }
  | { kind: 'night'; lowC: number; leastC: number }
  | { kind: 'dark' };

/** An hour of a local day: what forbids it, nothing where it is good, and what asks for care in it. */
export interface CoatingHour {
  date: string;
  hour: number;
  against: readonly AgainstCoating[];
  careful: readonly AgainstCoating[];
}

/** ISO 8502-4 (from memory): the surface at least 3 °C above the dew point. */
const LEAST_SPREAD_C = 3;
/** 10 mph, the usual limit for aerosols (common practice, from memory). */
const USUAL_WIND_M_PER_S = 4.47;
/** Over this the film blushes and does not dry; between the label's limit and this it only takes longer (from memory). */
const DAMPEST_PERCENT = 85;
/** Rain this soon after spoils a fresh film; hours (common practice, from memory). */
const RAIN_WITHIN_HOURS = 4;
/** What is carried in is dry to touch by then; hours (common practice, from memory). */
const CARRIED_IN_HOURS = 2;
/** The film is tender this long; hours (common practice, from memory). */
const NIGHT_HOURS = 12;
/** Dew is off two hours after sunrise, and falls again two hours before sunset (common practice, from memory). */
const DEW_MINUTES = 120;

const round = (value: number): number => Math.round(value * 10) / 10;

/**
 * What speaks against coating in the open in each hour of a local day.
 * @param limits of the coating; null where only light and rain count
 */
export function coatingHours(
  date: string,
  forecast: Forecast,
  limits: AirLimits | null,
  place: PlaceOutdoors,
): CoatingHour[] {
  const { latitude, hasShelter, carriesIn } = place;
  const { riseMinute, setMinute } = daylight(date, latitude);
  const rainHours = carriesIn ? CARRIED_IN_HOURS : RAIN_WITHIN_HOURS;
  const hours = [...forecast(date).hours, ...forecast(dateAfter(date, 1)).hours];
  return hours.slice(0, 24).map((present, hour): CoatingHour => {
    const against: AgainstCoating[] = [];
    if (hour * 60 < riseMinute + DEW_MINUTES || (hour + 1) * 60 > setMinute - DEW_MINUTES)
      against.push({ kind: 'dark' });
    if (!hasShelter) {
      const until = hours.slice(hour, hour + 1 + rainHours).findIndex(({ rainMm }) => rainMm > 0);
      if (until >= 0) against.push({ kind: 'rain', inHours: until });
    }
    if (limits) against.push(...againstLimits(present, hours.slice(hour + 1, hour + 1 + NIGHT_HOURS), limits, place));
    const isOnlyDamp = (one: AgainstCoating) => one.kind === 'damp' && one.percent <= DAMPEST_PERCENT;
    return {
      date,
      hour,
      against: against.filter((one) => !isOnlyDamp(one)),
      careful: against.filter(isOnlyDamp),
    };
  });
}

function againstLimits(
  { airC, humidityPercent, windMPerS }: WeatherHour,
  night: readonly WeatherHour[],
  limits: AirLimits,
  { hasShelter, carriesIn }: PlaceOutdoors,
): AgainstCoating[] {
  const against: AgainstCoating[] = [];
  if (airC < limits.minimumC) against.push({ kind: 'cold', airC, leastC: limits.minimumC });
  if (airC > limits.maximumC) against.push({ kind: 'hot', airC, mostC: limits.maximumC });
  if (humidityPercent > limits.maximumHumidity)
    against.push({ kind: 'damp', percent: humidityPercent, most: limits.maximumHumidity });
  // In the shade the surface is as warm as the air; nobody measured it.
  const spreadC = airC - dewPointC(airC, humidityPercent);
  const leastC = limits.dewSpreadC ?? LEAST_SPREAD_C;
  if (spreadC < leastC) against.push({ kind: 'dew', spreadC: round(spreadC), leastC });
  const most = limits.windLimitMPerS ?? USUAL_WIND_M_PER_S;
  if (!hasShelter && windMPerS > most) against.push({ kind: 'wind', windMPerS, most });
  const lowC = Math.min(...night.map((hour) => hour.airC));
  if (!carriesIn && limits.nightMinimumC !== null && lowC < limits.nightMinimumC)
    against.push({ kind: 'night', lowC: round(lowC), leastC: limits.nightMinimumC });
  return against;
}

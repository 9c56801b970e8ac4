import { dateAfter } from '../calendar/localDates';
import { climateRegions } from '../calendar/weather/climateRegions.data';
import { type AgainstCoating, type AirLimits, coatingHours } from '../calendar/weather/coatingHours';
import type { Forecast } from '../calendar/weather/weatherHour';
import type { Workshop } from '../state/workshop';

/** Why no hour in the open allows something. */
export interface NoHourOutdoors {
  /** What forbids most of the hours of daylight. */
  mostly: Exclude<AgainstCoating['kind'], 'dark'>;
  /** Whether a roof to spray under would leave an hour. */
  roofHelps: boolean;
}

/**
 * What keeps something from every hour in the open, and whether a roof would change it.
 * @param stretch the days that were looked at
 * @returns null where there is an hour after all, or nothing but the dark forbids it
 */
export function noHourOutdoors(
  forecast: Forecast,
  limits: AirLimits | null,
  { region, isSouthern, hasShelter }: Pick<Workshop, 'region' | 'isSouthern' | 'hasShelter'>,
  stretch: { from: string; days: number },
): NoHourOutdoors | null {
  const latitude = climateRegions[region].latitude * (isSouthern ? -1 : 1);
  const hours = (withRoof: boolean) =>
    Array.from({ length: stretch.days }, (_, n) =>
      coatingHours(dateAfter(stretch.from, n), forecast, limits, { latitude, hasShelter: withRoof }),
    ).flat();
  const counts = new Map<NoHourOutdoors['mostly'], number>();
  for (const { against } of hours(hasShelter)) {
    if (against.length === 0) return null;
    const kinds = against.flatMap(({ kind }) => (kind === 'dark' ? [] : [kind]));
    // What is dark is not asked what else forbids it.
    if (kinds.length === against.length) for (const kind of kinds) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  if (!most) return null;
  return { mostly: most[0], roofHelps: !hasShelter && hours(true).some(({ against }) => against.length === 0) };
}

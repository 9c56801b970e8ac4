import { dateAfter } from '../calendar/localDates';
import { type AgainstCoating, type AirLimits, coatingHours } from '../calendar/weather/coatingHours';
import type { PlaceOutdoors } from '../calendar/weather/placeOutdoors';
import type { Forecast } from '../calendar/weather/weatherHour';

/** Why no hour in the open allows something. */
export interface NoHourOutdoors {
  /** What forbids most of the hours of daylight. */
  mostly: Exclude<AgainstCoating['kind'], 'dark'>;
  /** What would leave an hour: a roof to spray under, carrying it in to dry, or both; null where neither does. */
  helps: Partial<Pick<PlaceOutdoors, 'hasShelter' | 'carriesIn'>> | null;
}

/**
 * What keeps something from every hour in the open, and what would change it.
 * @param stretch the days that were looked at
 * @returns null where there is an hour after all, or nothing but the dark forbids it
 */
export function noHourOutdoors(
  forecast: Forecast,
  limits: AirLimits | null,
  place: PlaceOutdoors,
  stretch: { from: string; days: number },
): NoHourOutdoors | null {
  const hours = (of: PlaceOutdoors) =>
    Array.from({ length: stretch.days }, (_, n) =>
      coatingHours(dateAfter(stretch.from, n), forecast, limits, of),
    ).flat();
  const helps = (change: Partial<PlaceOutdoors>) =>
    hours({ ...place, ...change }).some(({ against }) => against.length === 0);
  const counts = new Map<NoHourOutdoors['mostly'], number>();
  for (const { against } of hours(place)) {
    if (against.length === 0) return null;
    const kinds = against.flatMap(({ kind }) => (kind === 'dark' ? [] : [kind]));
    // What is dark is not asked what else forbids it.
    if (kinds.length === against.length) for (const kind of kinds) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  }
  const [most] = [...counts].sort((a, b) => b[1] - a[1]);
  if (!most) return null;
  const ways: NonNullable<NoHourOutdoors['helps']>[] = [
    { hasShelter: true },
    { carriesIn: true },
    { hasShelter: true, carriesIn: true },
  ];
  return { mostly: most[0], helps: ways.find(helps) ?? null };
}

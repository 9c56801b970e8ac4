import { dateAfter } from '../calendar/localDates';
import { type AirLimits, coatingHours } from '../calendar/weather/coatingHours';
import type { PlaceOutdoors } from '../calendar/weather/placeOutdoors';
import type { Forecast } from '../calendar/weather/weatherHour';
import type { Stretch } from './benchProblem';
import { minuteOf } from './workerWindows';

/** The stretches of so many local days in which coating in the open is good, in order. */
export function goodHours(
  forecast: Forecast,
  limits: AirLimits | null,
  place: PlaceOutdoors,
  { from, days, timeZone }: { from: string; days: number; timeZone: string },
): Stretch[] {
  const stretches: Stretch[] = [];
  for (let n = 0; n < days; n += 1) {
    const date = dateAfter(from, n);
    for (const { hour, against } of coatingHours(date, forecast, limits, place)) {
      if (against.length > 0) continue;
      const start = minuteOf(date, hour * 60, timeZone);
      const end = minuteOf(date, (hour + 1) * 60, timeZone);
      const last = stretches.at(-1);
      if (last && last.end === start) last.end = end;
      else if (end > start) stretches.push({ start, end });
    }
  }
  return stretches;
}

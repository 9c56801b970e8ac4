import { simulatedDay } from '../calendar/weather/simulatedWeather';
import type { Forecast, WeatherDay } from '../calendar/weather/weatherHour';
import type { ProjectRow, WeatherDayRow } from '../model/rows';

/** A number that belongs to a project and to nothing else. */
function seedOf(id: string): number {
  let seed = 0;
  for (const letter of id) seed = (Math.imul(seed, 31) + letter.charCodeAt(0)) | 0;
  return Math.abs(seed) % 100_000;
}

/** The weather of a project: what was typed or imported of a day, else the stand-in of its kind of climate. */
export function forecastOf(project: Pick<ProjectRow, 'id' | 'workshop'>, days: readonly WeatherDayRow[]): Forecast {
  const { region, isSouthern } = project.workshop;
  const seed = seedOf(project.id);
  const said = new Map(days.map((day) => [day.date, day]));
  const known = new Map<string, WeatherDay>();
  return (date) => {
    const day = known.get(date) ?? said.get(date) ?? simulatedDay(region, isSouthern, seed, date);
    known.set(date, day);
    return day;
  };
}

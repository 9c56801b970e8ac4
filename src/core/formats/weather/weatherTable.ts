import type { WeatherDay, WeatherHour } from '../../calendar/weather/weatherHour';
import { isLocalDate } from '../../model/fields';
import { readTable } from '../table/readTable';
import { writeTable } from '../table/writeTable';

/** A column of the weather table: its name, what it holds, between which ends. */
interface Column {
  field: keyof WeatherHour;
  name: string;
  says: string;
  least: number;
  most: number;
}

/** The columns of an hour beside its date and hour; metric, so that a file reads the same everywhere. */
const columns: readonly Column[] = [
  { field: 'airC', name: 'air_c', says: 'air in °C', least: -60, most: 60 },
  { field: 'humidityPercent', name: 'humidity_percent', says: 'humidity in percent', least: 1, most: 100 },
  { field: 'windMPerS', name: 'wind_m_per_s', says: 'wind in m/s', least: 0, most: 100 },
  { field: 'rainMm', name: 'rain_mm', says: 'rain in mm', least: 0, most: 300 },
];

export const WEATHER_FORMAT = 'euporia.weather';
const HOURS_OF_DAY = 24;
const MOST_TROUBLES = 20;

/** What was read of a weather file: whole days, and what could not be taken, each with its place. */
export interface WeatherReading {
  days: { date: string; hours: WeatherHour[] }[];
  troubles: string[];
}

/**
 * Reads weather from an open file: a table with one hour a line (`date, hour, air_c, humidity_percent, wind_m_per_s,
 * rain_mm`), or the same as JSON (`{"format": "euporia.weather", "hours": [...]}`). Hours of a day that are not said are
 * taken from the nearest one that is; a day without any hour is not taken.
 */
export function readWeather(text: string): WeatherReading {
  const trimmed = text.trimStart();
  const troubles: string[] = [];
  const records = trimmed.startsWith('{') ? recordsOfJson(trimmed, troubles) : recordsOfTable(text, troubles);
  const days = new Map<string, Map<number, WeatherHour>>();
  for (const { where, values } of records) {
    const date = String(values.date ?? '').trim();
    const hour = Number(values.hour);
    if (!isLocalDate(date)) troubles.push(`${where}: date “${date}”; accepted: a date like 2026-06-20`);
    else if (!Number.isInteger(hour) || hour < 0 || hour >= HOURS_OF_DAY)
      troubles.push(`${where}: hour “${values.hour ?? ''}”; accepted: 0 to 23`);
    else {
      const read = hourOf(values, where, troubles);
      if (read) days.set(date, (days.get(date) ?? new Map<number, WeatherHour>()).set(hour, read));
    }
  }
  return {
    days: [...days].sort((a, b) => (a[0] < b[0] ? -1 : 1)).map(([date, said]) => ({ date, hours: filled(said) })),
    troubles: troubles.slice(0, MOST_TROUBLES),
  };
}

interface Record_ {
  where: string;
  values: Readonly<Record<string, unknown>>;
}

function recordsOfTable(text: string, troubles: string[]): Record_[] {
  const table = readTable(text);
  const names = table.fields.map((field) => field.trim().toLowerCase());
  const missing = ['date', 'hour', ...columns.map(({ name }) => name)].filter((name) => !names.includes(name));
  if (missing.length > 0) {
    troubles.push(
      `The first line misses ${missing.join(', ')}; accepted: date, hour, ${columns.map(({ name }) => name).join(', ')}`,
    );
    return [];
  }
  for (const { line, reason } of table.bad) troubles.push(`line ${line}: ${reason}`);
  return table.rows.map(({ line, cells }) => ({
    where: `line ${line}`,
    values: Object.fromEntries(names.map((name, n) => [name, (cells[n] ?? '').trim().replace(table.decimal, '.')])),
  }));
}

function recordsOfJson(text: string, troubles: string[]): Record_[] {
  let parsed: unknown;
  try {
    parsed = JSON.parse(text);
  } catch {
    troubles.push('The file is no JSON that can be read.');
    return [];
  }
  const { format, hours } = parsed as { format?: unknown; hours?: unknown };
  if (format !== WEATHER_FORMAT || !Array.isArray(hours)) {
    troubles.push(`The file is no weather; accepted: {"format": "${WEATHER_FORMAT}", "hours": [...]}`);
    return [];
  }
  return hours.map((values, n) => ({
    where: `hour ${n + 1}`,
    values: (typeof values === 'object' && values !== null ? values : {}) as Record<string, unknown>,
  }));
}

function hourOf(values: Record_['values'], where: string, troubles: string[]): WeatherHour | null {
  const hour: Partial<WeatherHour> = {};
  for (const { field, name, says, least, most } of columns) {
    const value = values[name];
    const number = value === '' || value === undefined || value === null ? Number.NaN : Number(value);
    if (!Number.isFinite(number) || number < least || number > most) {
      troubles.push(`${where}: ${name} “${value ?? ''}”; accepted: ${says}, ${least} to ${most}`);
      return null;
    }
    hour[field] = number;
  }
  return hour as WeatherHour;
}

/** 24 hours from those that are said: each takes the nearest, the earlier of two that are as near; rain only its own. */
function filled(said: ReadonlyMap<number, WeatherHour>): WeatherHour[] {
  const known = [...said.keys()].sort((a, b) => a - b);
  return Array.from({ length: HOURS_OF_DAY }, (_, hour): WeatherHour => {
    const own = said.get(hour);
    if (own) return own;
    const nearest = [...known].sort((a, b) => Math.abs(a - hour) - Math.abs(b - hour) || a - b)[0] ?? 0;
    return { ...(said.get(nearest) as WeatherHour), rainMm: 0 };
  });
}

/** Days as a table that {@link readWeather} reads again. */
export function writeWeather(days: readonly Pick<WeatherDay, 'date' | 'hours'>[]): string {
  return writeTable(
    ['date', 'hour', ...columns.map(({ name }) => name)],
    days.flatMap(({ date, hours }) =>
      hours.map((one, hour) => [date, hour, ...columns.map(({ field }) => one[field])]),
    ),
  );
}

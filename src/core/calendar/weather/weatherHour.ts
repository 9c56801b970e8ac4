/** An hour in the open. */
export interface WeatherHour {
  airC: number;
  humidityPercent: number;
  windMPerS: number;
  rainMm: number;
}

/** Where a day's hours are from. */
export const weatherSources = ['simulated', 'typed', 'imported'] as const;
export type WeatherSource = (typeof weatherSources)[number];

/** A local day with its 24 hours, midnight first. */
export interface WeatherDay {
  date: string;
  hours: readonly WeatherHour[];
  source: WeatherSource;
}

/** Where the weather of a day is had from: typed, imported, simulated; another forecast is one more of these. */
export type Forecast = (date: string) => WeatherDay;

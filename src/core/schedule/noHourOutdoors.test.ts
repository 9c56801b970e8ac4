import { describe, expect, it } from 'vitest';
import type { AirLimits } from '../calendar/weather/coatingHours';
import type { WeatherHour } from '../calendar/weather/weatherHour';
import { usualWorkshop } from '../state/workshop';
import { mostlyWords } from './benchWords';
import { noHourOutdoors } from './noHourOutdoors';

const spray: AirLimits = {
  minimumC: 10,
  maximumC: 32,
  maximumHumidity: 65,
  dewSpreadC: 3,
  nightMinimumC: null,
  windLimitMPerS: 4.47,
};
const week = { from: '2026-06-01', days: 7 };
const why = (hour: Partial<WeatherHour>, change: Partial<typeof usualWorkshop> = {}) =>
  noHourOutdoors(
    (date) => ({
      date,
      source: 'typed',
      hours: Array.from({ length: 24 }, () => ({ airC: 20, humidityPercent: 50, windMPerS: 1, rainMm: 0, ...hour })),
    }),
    spray,
    { ...usualWorkshop, ...change },
    week,
  );

describe('no hour in the open', () => {
  it('is said only where there is none', () => {
    expect(why({})).toBeNull();
  });

  it.each([
    ['rain', { rainMm: 1 }, true],
    ['wind', { windMPerS: 9 }, true],
    ['cold', { airC: 4 }, false],
    ['hot', { airC: 38, humidityPercent: 20 }, false],
    ['damp', { humidityPercent: 90, airC: 30 }, false],
  ] as const)('for %s says so, and whether a roof would do', (mostly, hour, roofHelps) => {
    expect(why(hour)).toEqual({ mostly, roofHelps });
    expect(mostlyWords[mostly]).not.toBe('');
  });

  it('under a roof rain and wind forbid nothing, so that cold is what is said of both', () => {
    expect(why({ rainMm: 1 }, { hasShelter: true })).toBeNull();
    expect(why({ rainMm: 1, airC: 4 }, { hasShelter: true })).toEqual({ mostly: 'cold', roofHelps: false });
    expect(why({ rainMm: 1, airC: 4 })?.roofHelps).toBe(false);
  });
});

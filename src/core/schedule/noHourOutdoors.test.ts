import { describe, expect, it } from 'vitest';
import type { AirLimits } from '../calendar/weather/coatingHours';
import { placeOutdoors } from '../calendar/weather/placeOutdoors';
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
    placeOutdoors({ ...usualWorkshop, ...change }),
    week,
  );

describe('no hour in the open', () => {
  it('is said only where there is none', () => {
    expect(why({})).toBeNull();
  });

  it.each([
    ['rain', { rainMm: 1 }, { hasShelter: true }],
    ['wind', { windMPerS: 9 }, { hasShelter: true }],
    ['cold', { airC: 4 }, null],
    ['hot', { airC: 38, humidityPercent: 20 }, null],
    ['damp', { humidityPercent: 90, airC: 30 }, null],
  ] as const)('for %s says so, and whether a roof would do', (mostly, hour, helps) => {
    expect(why(hour)).toEqual({ mostly, helps });
    expect(mostlyWords[mostly]).not.toBe('');
  });

  it('under a roof rain and wind forbid nothing, so that cold is what is said of both', () => {
    expect(why({ rainMm: 1 }, { hasShelter: true })).toBeNull();
    expect(why({ rainMm: 1, airC: 4 }, { hasShelter: true })).toEqual({ mostly: 'cold', helps: null });
    expect(why({ rainMm: 1, airC: 4 })?.helps).toBeNull();
  });

  it('before cold nights is changed by carrying it in to dry; in rain it takes a roof besides', () => {
    const nights = (rainMm: number) =>
      noHourOutdoors(
        (date) => ({
          date,
          source: 'typed',
          hours: Array.from({ length: 24 }, (_, hour) => ({
            airC: hour > 8 && hour < 18 ? 14 : 5,
            humidityPercent: 50,
            windMPerS: 1,
            rainMm,
          })),
        }),
        { ...spray, nightMinimumC: 10 },
        placeOutdoors(usualWorkshop),
        week,
      );
    expect(nights(0)).toEqual({ mostly: 'night', helps: { carriesIn: true } });
    expect(nights(1)?.helps).toEqual({ hasShelter: true, carriesIn: true });
  });
});

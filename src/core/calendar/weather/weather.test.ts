import { describe, expect, it } from 'vitest';
import { dewPointC, dewSpreadC } from '../climate';
import { dateAfter } from '../localDates';
import { climateRegions, type RegionKind } from './climateRegions.data';
import { type AirLimits, coatingHours } from './coatingHours';
import { daylight } from './daylight';
import { simulatedDay } from './simulatedWeather';
import type { Forecast, WeatherHour } from './weatherHour';

const hour = (change: Partial<WeatherHour> = {}): WeatherHour => ({
  airC: 20,
  humidityPercent: 50,
  windMPerS: 1,
  rainMm: 0,
  ...change,
});
/** The same hour all day, every day, but for those that are named by date and hour. */
const steady =
  (base: Partial<WeatherHour> = {}, other: Record<string, Partial<WeatherHour>> = {}): Forecast =>
  (date) => ({
    date,
    source: 'typed',
    hours: Array.from({ length: 24 }, (_, n) => hour({ ...base, ...other[`${date} ${n}`] })),
  });
const spray: AirLimits = {
  minimumC: 10,
  maximumC: 32,
  maximumHumidity: 65,
  dewSpreadC: 3,
  nightMinimumC: 10,
  windLimitMPerS: 4.47,
};
const place = { latitude: 45, hasShelter: false, carriesIn: false };
const JUNE = '2026-06-01';
const goodOf = (forecast: Forecast, limits: AirLimits | null = spray, where = place) =>
  coatingHours(JUNE, forecast, limits, where).flatMap(({ hour: at, against }) => (against.length === 0 ? [at] : []));
const whyAt = (at: number, forecast: Forecast, limits: AirLimits | null = spray) =>
  coatingHours(JUNE, forecast, limits, place)[at]?.against.map(({ kind }) => kind) ?? [];

describe('the 3 °C rule in the open, where the surface has the temperature of the air (ISO 8502-4, from memory)', () => {
  // Spreads by the table in climate.test.ts: 15 °C at 85 % is 2.5 °C over its dew point, 20 °C at 50 % 10.7 °C.
  it.each([
    [15, 85, true],
    [15, 80, false],
    [20, 50, false],
    [5, 85, true],
  ])('%d °C, %d %%: dew forbids it is %s', (airC, humidityPercent, forbids) => {
    expect(dewSpreadC({ airC, humidityPercent, surfaceC: null }) < 3).toBe(forbids);
    expect(whyAt(12, steady({ airC, humidityPercent })).includes('dew')).toBe(forbids);
  });
});

describe('how long the day is', () => {
  // Almanacs: 40° N has 15 h at the June solstice and 9 h 20 at the December one, 12 h at the equinoxes (from memory).
  it.each([
    ['2026-06-21', 40, 15.0],
    ['2026-12-21', 40, 9.3],
    ['2026-03-20', 40, 12.0],
    ['2026-06-21', -35, 9.7],
    ['2026-06-21', 0, 12.0],
  ])('%s at %d°: %d hours', (date, latitude, hours) => {
    const { riseMinute, setMinute } = daylight(date, latitude);
    expect(Math.abs((setMinute - riseMinute) / 60 - hours)).toBeLessThan(0.25);
  });

  it('the sun does not set in the far north in June, and does not rise in December', () => {
    expect(daylight('2026-06-21', 70)).toEqual({ riseMinute: 0, setMinute: 1440 });
    const dark = daylight('2026-12-21', 70);
    expect(dark.setMinute - dark.riseMinute).toBe(0);
  });
});

describe('hours for coating in the open', () => {
  it('a mild, dry day is good from two hours after sunrise to two hours before sunset', () => {
    const { riseMinute, setMinute } = daylight(JUNE, 45);
    const good = goodOf(steady());
    expect(good[0]).toBe(Math.ceil((riseMinute + 120) / 60));
    expect((good.at(-1) ?? 0) + 1).toBe(Math.floor((setMinute - 120) / 60));
  });

  it('says why not: cold, hot, damp, dew, wind, rain and the night that follows', () => {
    expect(whyAt(12, steady({ airC: 8 }))).toContain('cold');
    expect(whyAt(12, steady({ airC: 35, humidityPercent: 30 }))).toEqual(['hot']);
    expect(whyAt(12, steady({ humidityPercent: 90 }))).toEqual(['damp', 'dew']);
    expect(whyAt(12, steady({ windMPerS: 6 }))).toEqual(['wind']);
    expect(whyAt(12, steady({}, { [`${JUNE} 15`]: { rainMm: 1 } }))).toEqual(['rain']);
    expect(whyAt(10, steady({}, { [`${JUNE} 15`]: { rainMm: 1 } }))).toEqual([]);
    expect(whyAt(12, steady({}, { [`${JUNE} 23`]: { airC: 6 } }))).toEqual(['night']);
    expect(whyAt(2, steady())).toEqual(['dark']);
  });

  it('between the label’s humidity and 85 % it is a matter of care, above it is none', () => {
    const careful = coatingHours(JUNE, steady({ humidityPercent: 75 }), spray, place)[12];
    expect(careful?.against).toEqual([]);
    expect(careful?.careful.map(({ kind }) => kind)).toEqual(['damp']);
  });

  it('under a roof neither wind nor rain counts; cold and damp do', () => {
    const wet = steady({ windMPerS: 8, rainMm: 2 });
    expect(goodOf(wet)).toEqual([]);
    expect(goodOf(wet, spray, { ...place, hasShelter: true }).length).toBeGreaterThan(8);
    expect(goodOf(steady({ airC: 5 }), spray, { ...place, hasShelter: true })).toEqual([]);
  });

  it('what is carried in does not mind the night, and rain only until it is dry to touch', () => {
    const inside = { ...place, carriesIn: true };
    const nights = Object.fromEntries([20, 21, 22, 23].map((at) => [`${JUNE} ${at}`, { airC: 4 }]));
    expect(whyAt(13, steady({}, nights))).toEqual(['night']);
    expect(goodOf(steady({}, nights), spray, inside)).toContain(13);
    const shower = steady({}, { [`${JUNE} 16`]: { rainMm: 2 } });
    expect(goodOf(shower)).not.toContain(13);
    expect(goodOf(shower, spray, inside)).toContain(13);
    expect(goodOf(shower, spray, inside)).not.toContain(14);
  });

  it('without limits of a product only light and rain count', () => {
    expect(goodOf(steady({ airC: -5, windMPerS: 20 }), null).length).toBeGreaterThan(8);
  });
});

describe('the weather that stands in', () => {
  const kinds = Object.keys(climateRegions) as RegionKind[];

  it('is the same for the same seed and date, and another for another', () => {
    expect(simulatedDay('inland', false, 7, JUNE)).toEqual(simulatedDay('inland', false, 7, JUNE));
    expect(simulatedDay('inland', false, 8, JUNE)).not.toEqual(simulatedDay('inland', false, 7, JUNE));
  });

  it.each(kinds)('%s: over years each month is about as warm and as wet as its kind', (kind) => {
    for (const month of [0, 3, 6, 9]) {
      const days = Array.from({ length: 300 }, (_, n) =>
        simulatedDay(
          kind,
          false,
          3,
          `${2000 + (n % 30)}-${String(month + 1).padStart(2, '0')}-${String(11 + (n % 10)).padStart(2, '0')}`,
        ),
      );
      const normal = climateRegions[kind].months[month];
      const mean =
        days.reduce((sum, { hours }) => sum + hours.reduce((all, { airC }) => all + airC, 0) / 24, 0) / days.length;
      expect(Math.abs(mean - (normal?.meanC ?? 0))).toBeLessThan(2.5);
      const wet = days.filter(({ hours }) => hours.some(({ rainMm }) => rainMm > 0)).length / days.length;
      expect(Math.abs(wet - (normal?.rainyShare ?? 0))).toBeLessThan(0.17);
    }
  });

  it.each(kinds)('%s: hours are within what the tables of weather accept, and rain is damp', (kind) => {
    for (let n = 0; n < 365; n += 5)
      for (const { airC, humidityPercent, windMPerS, rainMm } of simulatedDay(
        kind,
        false,
        5,
        dateAfter('2026-01-01', n),
      ).hours) {
        expect(humidityPercent).toBeGreaterThanOrEqual(1);
        expect(humidityPercent).toBeLessThanOrEqual(100);
        expect(windMPerS).toBeGreaterThanOrEqual(0);
        expect(dewPointC(airC, humidityPercent)).toBeLessThanOrEqual(airC + 0.01);
        if (rainMm > 0) expect(humidityPercent).toBeGreaterThanOrEqual(92);
      }
  });

  it('has its summer in January south of the equator', () => {
    const noon = (isSouthern: boolean) => simulatedDay('inland', isSouthern, 1, '2026-01-15').hours[12]?.airC ?? 0;
    expect(noon(true)).toBeGreaterThan(noon(false) + 10);
  });
});

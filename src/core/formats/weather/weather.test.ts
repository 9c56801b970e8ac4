import { describe, expect, it } from 'vitest';
import { simulatedDay } from '../../calendar/weather/simulatedWeather';
import { readWeather, WEATHER_FORMAT, writeWeather } from './weatherTable';

describe('weather from a file', () => {
  it('is read again as it was written', () => {
    const days = ['2026-06-01', '2026-06-02'].map((date) => simulatedDay('inland', false, 4, date));
    const { days: read, troubles } = readWeather(writeWeather(days));
    expect(troubles).toEqual([]);
    expect(read).toEqual(days.map(({ date, hours }) => ({ date, hours })));
  });

  it('takes the nearest hour where some are not said, without its rain', () => {
    const text =
      'date,hour,air_c,humidity_percent,wind_m_per_s,rain_mm\n2026-06-01,9,14,70,2,0\n2026-06-01,15,22,50,3,1.5\n';
    const hours = readWeather(text).days[0]?.hours ?? [];
    expect(hours).toHaveLength(24);
    expect([hours[6]?.airC, hours[12]?.airC, hours[13]?.airC, hours[20]?.airC]).toEqual([14, 14, 22, 22]);
    expect(hours.map(({ rainMm }) => rainMm).filter((mm) => mm > 0)).toEqual([1.5]);
  });

  it('reads decimal commas and semicolons as spreadsheets of other countries write them', () => {
    const text = 'date;hour;air_c;humidity_percent;wind_m_per_s;rain_mm\n2026-06-01;9;14,5;70;2,5;0\n';
    expect(readWeather(text).days[0]?.hours[9]).toEqual({ airC: 14.5, humidityPercent: 70, windMPerS: 2.5, rainMm: 0 });
  });

  it('reads the same as JSON', () => {
    const hours = [{ date: '2026-06-01', hour: 9, air_c: 14, humidity_percent: 70, wind_m_per_s: 2, rain_mm: 0 }];
    expect(readWeather(JSON.stringify({ format: WEATHER_FORMAT, hours })).days).toHaveLength(1);
    expect(readWeather('{"format":"other"}').troubles[0]).toContain('accepted');
    expect(readWeather('{nothing').troubles).toEqual(['The file is no JSON that can be read.']);
  });

  it('says line, field, value and what would do, and keeps the rest', () => {
    const text =
      'date,hour,air_c,humidity_percent,wind_m_per_s,rain_mm\n2026-06-01,9,14,70,2,0\n2026-02-30,9,14,70,2,0\n2026-06-01,24,14,70,2,0\n2026-06-01,10,warm,70,2,0\n';
    const { days, troubles } = readWeather(text);
    expect(days).toHaveLength(1);
    expect(troubles).toEqual([
      'line 3: date “2026-02-30”; accepted: a date like 2026-06-20',
      'line 4: hour “24”; accepted: 0 to 23',
      'line 5: air_c “warm”; accepted: air in °C, -60 to 60',
    ]);
    expect(readWeather('day,air\n1,2\n').troubles[0]).toContain('misses date, hour');
  });
});

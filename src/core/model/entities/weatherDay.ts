import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, localDate, number, oneOf } from '../fields';

const hour = z.strictObject({
  airC: number(-60, 60, 'a temperature in °C'),
  humidityPercent: number(1, 100, 'a humidity in percent'),
  windMPerS: number(0, 100, 'a wind in m/s'),
  rainMm: number(0, 300, 'rain in mm'),
});

/** A day of weather as it was typed or imported; days that nobody said are simulated. */
export const weatherDay = defineEntity({
  table: 'weatherDays',
  name: 'weather_day',
  noun: 'day of weather',
  owner: 'project',
  travels: 'always',
  most: { count: 400, per: 'project' },
  unique: [['date']],
  fields: {
    date: localDate,
    /** The 24 hours of the local day, midnight first. */
    hours: z.array(hour).length(24, '24 hours'),
    source: oneOf(['typed', 'imported']),
    /** Where it is from, as one says it: the radio, the name of a file. */
    origin: line(0, 120),
  },
});

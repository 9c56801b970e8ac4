import { z } from 'zod';
import { climateRegions } from '../../calendar/weather/climateRegions.data';
import type { Workshop } from '../../state/workshop';
import { keyOf, line, localDate, number, wholeNumber, yesNo } from '../fields';

const minuteOfDay = wholeNumber(0, 1440, 'a time of day');

const dayHours = z
  .strictObject({ fromMinute: minuteOfDay, toMinute: minuteOfDay })
  .refine(({ fromMinute, toMinute }) => fromMinute < toMinute, {
    error: 'a time from earlier to later on one day',
    path: ['toMinute'],
  });

const hoursOfDay = z.array(dayHours).max(6, 'at most 6 stretches of a day');
const week = z.array(hoursOfDay).length(7, 'the hours of seven days, Sunday first');
const exceptions = z
  .array(z.strictObject({ date: localDate, hours: hoursOfDay, note: line(0, 120) }))
  .max(200, 'at most 200 days');

/** Where and when the making is done. */
export const workshopSchema = z.strictObject({
  version: z.literal(1),
  week,
  exceptions,
  helpers: z
    .array(z.strictObject({ id: line(1, 60), name: line(1, 60), week, exceptions }))
    .max(6, 'at most 6 helpers'),
  dryingPlaces: z
    .array(z.strictObject({ id: line(1, 60), name: line(1, 60), areaM2: number(0.05, 200, 'an area in m²') }))
    .max(12, 'at most 12 places'),
  region: keyOf(climateRegions),
  isSouthern: yesNo,
  hasShelter: yesNo,
  carriesIn: yesNo.optional(),
}) satisfies z.ZodType<Workshop>;

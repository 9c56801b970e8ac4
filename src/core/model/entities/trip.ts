import { z } from 'zod';
import type { TripLeg } from '../../pricing/tripPlan';
import { defineEntity } from '../entity';
import { id, line, localDate, minorUnits, number, paragraph, refersTo, wholeNumber, yesNo } from '../fields';

const minutes = wholeNumber(0, 1440, 'minutes');

/** A way between two places of a trip that somebody knows; null is home. */
const leg = z.strictObject({
  fromId: refersTo('sources').nullable(),
  toId: refersTo('sources').nullable(),
  minutes,
  distanceM: number(0, 2_000_000, 'a distance in m').nullable(),
}) satisfies z.ZodType<TripLeg>;

/** A round through shops on one day. */
export const trip = defineEntity({
  table: 'trips',
  name: 'trip',
  noun: 'trip',
  owner: 'project',
  travels: 'always',
  most: { count: 200, per: 'project' },
  fields: {
    name: line(1, 120),
    onDate: localDate,
    /** When one leaves home, minutes since midnight. */
    startMinute: wholeNumber(0, 1440, 'a time of day'),
    stops: z
      .array(z.strictObject({ id, sourceId: refersTo('sources'), minutes, done: yesNo }))
      .max(12, 'at most 12 stops'),
    legs: z.array(leg).max(200, 'at most 200 ways'),
    /** What a kilometer costs, and parking and fees on top; minor units. */
    costPerKm: minorUnits,
    extras: minorUnits,
    /** What was ticked off on the way, as the sheet names it. */
    ticked: z.array(line(1, 80)).max(400, 'at most 400 things'),
    /** It is over: it costs nothing more. */
    done: yesNo,
    note: paragraph(0, 1000),
  },
});

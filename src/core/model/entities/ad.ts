import { z } from 'zod';
import { defineEntity } from '../entity';
import { dateOrNothing, line, localDate, minorUnits, number, paragraph, refersTo, yesNo } from '../fields';
import { anyCurrency } from '../values/currency';
import { lengthMm } from '../values/surface';

/** Something that somebody offers second-hand, as a list of ads has it; what it cost each time it was looked at. */
export const ad = defineEntity({
  table: 'ads',
  name: 'ad',
  noun: 'ad',
  owner: 'project',
  travels: 'always',
  most: { count: 2000, per: 'project' },
  unique: [['feed', 'number']],
  fields: {
    /** The list it is from, and its number there. */
    feed: line(1, 120),
    number: line(1, 80),
    title: line(1, 200),
    text: paragraph(0, 2000),
    place: line(0, 120),
    distanceM: number(0, 20_000_000, 'a distance in m').nullable(),
    currency: anyCurrency,
    /** Its prices, the first seen first; null where it names none. */
    prices: z
      .array(z.strictObject({ onDate: localDate, price: minorUnits.nullable() }))
      .min(1, 'at least one price')
      .max(60, 'at most 60 prices'),
    widthMm: lengthMm.nullable(),
    depthMm: lengthMm.nullable(),
    heightMm: lengthMm.nullable(),
    postedOn: dateOrNothing,
    /** Whether it is looked at again each time the list comes in. */
    followed: yesNo,
    /** It stood in the list no more when that came in last. */
    gone: yesNo,
    /** The find that it became. */
    sightingId: refersTo('sightings').nullable(),
  },
});

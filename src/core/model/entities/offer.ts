import { z } from 'zod';
import { furnitureTemplates } from '../../surface/templates';
import { defineEntity } from '../entity';
import { line, localDate, minorUnits, refersTo, registered, wholeNumber, yesNo } from '../fields';
import { priceSchema } from '../values/price';
import { lab, measures } from '../values/surface';

/** Something sold new, as it was seen. */
export const offer = defineEntity({
  table: 'offers',
  name: 'offer',
  noun: 'offer',
  owner: 'project',
  travels: 'always',
  fields: {
    name: line(1, 120),
    sourceId: refersTo('sources').nullable(),
    price: priceSchema,
    /** What one order is delivered for; null while nobody knows. */
    delivery: minorUnits.nullable(),
    deliveryTaxed: yesNo,
    /** Pieces that one pack holds. */
    pieces: wholeNumber(1, 1000, 'pieces in a pack'),
    assemblyMinutes: wholeNumber(0, 6000, 'minutes'),
    leadDays: wholeNumber(0, 365, 'days'),
    templateId: registered(furnitureTemplates),
    measures,
    color: lab.nullable(),
    /** Only a dream: looked up to know what it would cost; it never counts in a saving. */
    dream: yesNo,
    /** The day on which what was ordered came; null while it is awaited, or not ordered. */
    arrivedOn: localDate.nullable(),
    /** Rented, not sold: when it goes back, and what is left for it and comes back; null where it is sold. */
    rented: z
      .strictObject({
        backBy: localDate.nullable(),
        deposit: minorUnits,
        /** The day on which it went back; null while it is here, or has not come yet. */
        wentBackOn: localDate.nullable(),
      })
      .nullable(),
  },
});

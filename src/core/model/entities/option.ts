import { z } from 'zod';
import { defineEntity } from '../entity';
import { minorUnits, oneOf, refersTo, wholeNumber, yesNo } from '../fields';
import { optionKinds } from '../rowKinds';

/** Pieces taken from a find or an offer, for each one of the slot's quantity. */
const optionPart = z
  .strictObject({
    findId: refersTo('sightings').nullable(),
    offerId: refersTo('offers').nullable(),
    pieces: wholeNumber(1, 200, 'pieces'),
  })
  .refine((part) => (part.findId === null) !== (part.offerId === null), {
    error: 'a find or an offer, one of them',
  });
export type OptionPart = z.output<typeof optionPart>;

/** One way to fill a slot. */
export const option = defineEntity({
  table: 'options',
  name: 'option',
  noun: 'option',
  owner: 'project',
  travels: 'always',
  most: { count: 400, per: 'project' },
  fields: {
    slotId: refersTo('slots'),
    kind: oneOf(optionKinds),
    parts: z.array(optionPart).max(30),
    recipeId: refersTo('recipes').nullable(),
    /** Placing and the like, minutes; null takes the kind's usual. */
    handsOnMinutes: wholeNumber(0, 6000, 'minutes').nullable(),
    liking: wholeNumber(1, 5).nullable(),
    yardstick: yesNo,
    /** What it could be sold for once this is done to it, minor units; null where nobody thought about it. */
    resaleAfter: minorUnits.nullable(),
    /** How much use it is thought to be of: times used, looks it stands in, years it lasts; null where nobody said. */
    lasts: z.strictObject({
      uses: wholeNumber(1, 100_000, 'uses').nullable(),
      looks: wholeNumber(1, 1_000, 'looks').nullable(),
      years: wholeNumber(1, 200, 'years').nullable(),
    }),
  },
});

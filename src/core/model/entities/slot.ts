import { z } from 'zod';
import { defineEntity } from '../entity';
import { line, oneOf, paragraph, percentThousandths, refersTo, wholeNumber, yesNo } from '../fields';
import { MOST_QUANTITY } from '../mostQuantity';
import { importances, slotRoles } from '../rowKinds';
import { lengthMm, placeMm } from '../values/surface';

/** A wished size in mm; an open end is null. */
const sizeRange = z
  .strictObject({ minimumMm: lengthMm.nullable(), maximumMm: lengthMm.nullable() })
  .refine((range) => range.minimumMm === null || range.maximumMm === null || range.minimumMm <= range.maximumMm, {
    error: 'a smallest size that is not above the largest',
  });
export type SizeRange = z.output<typeof sizeRange>;

/** So many for each seat of the spot, plus spares. */
export const perSeat = z.strictObject({
  parts: wholeNumber(1, 20, 'pieces for each seat'),
  spares: wholeNumber(0, 100, 'spares'),
});

/** A slot's place in the sketch: mm from the left and up from the base (or from the front edge), its lower left corner. */
const slotBox = z.strictObject({ xMm: placeMm, yMm: placeMm, widthMm: lengthMm, heightMm: lengthMm });
export type SlotBox = z.output<typeof slotBox>;

/** How many a slot may ask for. */
export const slotQuantity = wholeNumber(1, MOST_QUANTITY, 'a quantity');

/** One numbered thing that the spot's sketch calls for. */
export const slot = defineEntity({
  table: 'slots',
  name: 'slot',
  noun: 'slot',
  owner: 'project',
  travels: 'always',
  most: { count: 100, per: 'project' },
  fields: {
    spotId: refersTo('spots'),
    number: wholeNumber(1, 999),
    name: line(1, 120),
    quantity: slotQuantity,
    importance: oneOf(importances),
    width: sizeRange,
    depth: sizeRange,
    height: sizeRange,
    note: paragraph(0, 1000),
    leftOut: yesNo,
    role: oneOf(slotRoles).nullable(),
    /** So many for each seat of the spot, plus spares; the quantity follows from it. */
    perSeat: perSeat.nullable(),
    /** What the place must keep doing and this slot takes over, in the words of the brief. */
    keeps: z.array(line(1, 120)).max(30, 'at most 30 functions'),
    /** Color cards it should have. */
    colorCardIds: z.array(refersTo('colorCards')).max(12, 'at most 12 colors'),
    /** Its own share of the budget in thousandths of a percent, or null to take part in the spread. */
    shareThousandths: percentThousandths(100_000).nullable(),
    /** Where it stands in the sketch; null while it is not placed. */
    box: slotBox.nullable(),
    /** Starred: filled from what is owned, by naming the piece. */
    star: z.strictObject({ what: line(1, 120) }).nullable(),
    /** Its choice stays as it is, whatever Balance finds. */
    locked: yesNo,
  },
});

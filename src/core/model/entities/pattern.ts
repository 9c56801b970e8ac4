import { z } from 'zod';
import { spotKinds } from '../../catalog/spotKinds';
import { defineEntity } from '../entity';
import { line, number, oneOf, registered } from '../fields';
import { importances, slotRoles } from '../rowKinds';
import { perSeat, slotQuantity } from './slot';

const share = number(0, 1, 'a share of the spot');

/** A slot in shares of the room, 0 to 1: lower left corner, width, height. */
const patternSlot = z.strictObject({
  name: line(1, 120),
  role: oneOf(slotRoles).nullable(),
  quantity: slotQuantity,
  importance: oneOf(importances),
  x: share,
  y: share,
  width: share,
  height: share,
  perSeat: perSeat.nullable(),
});
export type PatternSlot = z.output<typeof patternSlot>;

/** A sketch saved as a starting pattern. */
export const pattern = defineEntity({
  table: 'patterns',
  name: 'pattern',
  noun: 'pattern',
  owner: 'studio',
  travels: 'never',
  fields: {
    name: line(1, 120),
    spotKind: registered(spotKinds),
    reason: line(0, 400),
    slots: z.array(patternSlot).min(1, 'at least one slot').max(60, 'at most 60 slots'),
  },
});

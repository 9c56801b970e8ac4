import { defineEntity } from '../entity';
import { refersTo, wholeNumber } from '../fields';
import { MOST_QUANTITY } from '../mostQuantity';

/** How many of a slot's quantity an option covers. */
export const fillCount = wholeNumber(1, MOST_QUANTITY, 'a count');

/** An option that was chosen, for so many of its slot. */
export const fill = defineEntity({
  table: 'fills',
  name: 'fill',
  noun: 'choice',
  owner: 'project',
  travels: 'always',
  unique: [['slotId', 'optionId']],
  indexed: [['optionId']],
  fields: { slotId: refersTo('slots'), optionId: refersTo('options'), count: fillCount },
});

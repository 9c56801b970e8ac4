import { z } from 'zod';
import { slot } from '../../model/entities/slot';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';

/** Gives what the place must keep doing to one slot, and takes it from the others; null leaves it open again. */
export const keepFunction = projectAct({
  kind: 'keepFunction',
  title: 'Function given to a slot',
  payload: z.strictObject({ words: slot.fields.keeps.element, slotId: id.nullable() }),
  decide: (rows, { words, slotId }) => {
    const { functions } = rows.project.brief;
    if (!functions.includes(words)) return refuse('words', words, 'something that the brief says the place must keep');
    if (slotId !== null && !rows.slots.some((row) => row.id === slotId))
      return refuse('slotId', slotId, 'a slot that is still there');
    return rows.slots.flatMap((row) => {
      const isWanted = row.id === slotId;
      if (row.keeps.includes(words) === isWanted) return [];
      // What the brief says no more goes with it.
      const others = row.keeps.filter((other) => other !== words && functions.includes(other));
      return [update('slots', row.id, { keeps: isWanted ? [...others, words] : others })];
    });
  },
});

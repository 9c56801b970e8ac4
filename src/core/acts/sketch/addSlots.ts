import { z } from 'zod';
import { quantityOf } from '../../arrange/seats';
import { rowSchema } from '../../model/entities';
import type { ProjectRows, SlotRow } from '../../model/rows';
import { type Decision, projectAct, refuse } from '../act';
import { insert } from '../changes';

/** New slots, each on a spot of the project; what is per seat follows the spot's seats. */
export function placeSlots(rows: ProjectRows, slots: readonly SlotRow[], field: string): Decision {
  const misplaced = slots.find((row) => !rows.spots.some((spot) => spot.id === row.spotId));
  if (misplaced) return refuse(field, misplaced.spotId, 'a spot of this project');
  return slots.map((row) =>
    insert('slots', {
      ...row,
      quantity: quantityOf(
        row,
        rows.spots.find((spot) => spot.id === row.spotId),
      ),
    }),
  );
}

/** Several slots at once, from a starting pattern or one of the studio's own. */
export const addSlots = projectAct({
  kind: 'addSlots',
  title: 'Pattern laid',
  payload: z.strictObject({
    rows: z.array(rowSchema('slots')).min(1, 'at least one slot').max(60, 'at most 60 slots'),
  }),
  decide: (rows, payload) => placeSlots(rows, payload.rows, 'rows'),
});

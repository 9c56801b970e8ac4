import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';
import { removeOptions } from '../rowActs';

/** A spot goes with its slots and with the ways that were thought up for them. */
export const removeSpot = projectAct({
  kind: 'removeSpot',
  title: 'Spot removed with its slots',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    if (!rows.spots.some((spot) => spot.id === payload.id))
      return refuse('id', payload.id, 'a spot that is still there');
    const slots = rows.slots.filter((slot) => slot.spotId === payload.id);
    const ids = new Set(slots.map((slot) => slot.id));
    return [
      ...removeOptions(rows, (option) => ids.has(option.slotId), { slotIds: ids, spotIds: new Set([payload.id]) }),
      ...slots.map((slot) => remove('slots', slot.id)),
      remove('spots', payload.id),
    ];
  },
});

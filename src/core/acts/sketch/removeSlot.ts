import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';
import { removeOptions } from '../rowActs';

/** A slot goes with the ways that were thought up for it. */
export const removeSlot = projectAct({
  kind: 'removeSlot',
  title: 'Slot removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) =>
    rows.slots.some((slot) => slot.id === payload.id)
      ? [
          ...removeOptions(rows, (option) => option.slotId === payload.id, { slotIds: new Set([payload.id]) }),
          remove('slots', payload.id),
        ]
      : refuse('id', payload.id, 'a slot that is still there'),
});

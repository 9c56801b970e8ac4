import { z } from 'zod';
import { fillCount } from '../../model/entities/fill';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { fillSlot } from './fillSlot';

/** Fills a slot, or a part of its quantity, with an option. */
export const choose = projectAct({
  kind: 'choose',
  title: 'Chosen',
  payload: z.strictObject({ slotId: id, optionId: id, count: fillCount, fillId: id }),
  decide: (rows, payload) => {
    const slot = rows.slots.find((row) => row.id === payload.slotId);
    const option = rows.options.find((row) => row.id === payload.optionId && row.slotId === payload.slotId);
    if (!slot || !option) return refuse('optionId', payload.optionId, 'an option of this slot');
    if (payload.count > slot.quantity)
      return refuse('count', payload.count, `at most the ${slot.quantity} that the slot asks for`);
    return fillSlot(rows, slot, option.id, payload.count, payload.fillId);
  },
});

import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove, update } from '../changes';

/** A slot that shall stay empty; a must cannot. */
export const leaveOut = projectAct({
  kind: 'leaveOut',
  title: 'Left out',
  payload: z.strictObject({ slotId: id }),
  decide: (rows, payload) => {
    const slot = rows.slots.find((row) => row.id === payload.slotId);
    if (!slot) return refuse('slotId', payload.slotId, 'a slot of this project');
    if (slot.importance === 'must') return refuse('slotId', slot.name, 'a slot that is not a must');
    return [
      ...rows.fills.filter((fill) => fill.slotId === slot.id).map((fill) => remove('fills', fill.id)),
      update('slots', slot.id, { leftOut: true }),
    ];
  },
});

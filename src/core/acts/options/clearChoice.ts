import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { remove, update } from '../changes';

/** Opens a slot again: its choices go, and it is no longer left out. */
export const clearChoice = projectAct({
  kind: 'clearChoice',
  title: 'Left open',
  payload: z.strictObject({ slotId: id }),
  decide: (rows, payload) => {
    const slot = rows.slots.find((row) => row.id === payload.slotId);
    if (!slot) return refuse('slotId', payload.slotId, 'a slot of this project');
    return [
      ...rows.fills.filter((fill) => fill.slotId === slot.id).map((fill) => remove('fills', fill.id)),
      ...(slot.leftOut ? [update('slots', slot.id, { leftOut: false })] : []),
    ];
  },
});

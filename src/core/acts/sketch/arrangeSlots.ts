import { z } from 'zod';
import { slot } from '../../model/entities/slot';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';

/** Moves several slots of a sketch in one act. */
export const arrangeSlots = projectAct({
  kind: 'arrangeSlots',
  title: 'Sketch changed',
  payload: z.strictObject({
    boxes: z
      .array(z.strictObject({ id, box: slot.fields.box }))
      .min(1)
      .max(100, 'at most 100 slots'),
  }),
  decide: (rows, payload) => {
    const gone = payload.boxes.find((entry) => !rows.slots.some((row) => row.id === entry.id));
    if (gone) return refuse('boxes', gone.id, 'slots that are still there');
    return payload.boxes.map((entry) => update('slots', entry.id, { box: entry.box }));
  },
});

import { z } from 'zod';
import { box } from '../../model/entities/box';
import { id } from '../../model/fields';
import { houseAct, refuse } from '../act';
import { update } from '../changes';

const { name: _name, ...rest } = box.fields;

/** Changes what is said of a box; its name stands on its label and stays. */
export const editBox = houseAct({
  kind: 'editBox',
  title: 'Box changed',
  payload: z.strictObject({ id, values: z.strictObject(rest).partial() }),
  decide: (rows, payload) =>
    rows.boxes.some((row) => row.id === payload.id)
      ? [update('boxes', payload.id, payload.values)]
      : refuse('id', payload.id, 'a box that is still there'),
});

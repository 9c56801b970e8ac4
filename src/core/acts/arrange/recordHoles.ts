import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { houseAct } from '../act';
import { insert } from '../changes';

/** Holes that were made in a wall, kept for the next project there. */
export const recordHoles = houseAct({
  kind: 'recordHoles',
  title: 'Holes recorded',
  payload: z.strictObject({
    rows: z.array(rowSchema('holes')).min(1, 'at least one hole').max(200, 'at most 200 holes'),
  }),
  decide: (_rows, payload) => payload.rows.map((row) => insert('holes', row)),
});

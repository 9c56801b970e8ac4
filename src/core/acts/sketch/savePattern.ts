import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { houseAct } from '../act';
import { insert } from '../changes';

/** Keeps a sketch as a pattern of the studio. */
export const savePattern = houseAct({
  kind: 'savePattern',
  title: 'Pattern kept',
  payload: z.strictObject({ pattern: rowSchema('patterns') }),
  decide: (_rows, payload) => [insert('patterns', payload.pattern)],
});

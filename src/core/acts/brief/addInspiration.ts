import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { insert } from '../changes';

/** Something that inspires, with or without a picture. */
export const addInspiration = projectAct({
  kind: 'addInspiration',
  title: 'Inspiration noted',
  payload: z.strictObject({ inspiration: rowSchema('inspirations') }),
  decide: (_rows, payload) => [insert('inspirations', payload.inspiration)],
});

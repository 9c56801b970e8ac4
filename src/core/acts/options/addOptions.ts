import { z } from 'zod';
import { projectAct } from '../act';
import { newOption, newOptionsChanges } from './newOptionChanges';

/** Several new ways to fill slots in one act: none of them stands when one is refused. */
export const addOptions = projectAct({
  kind: 'addOptions',
  title: 'Ways added',
  payload: z.strictObject({ options: z.array(newOption).min(1, 'at least one way').max(400, 'at most 400 ways') }),
  decide: (rows, { options }) => newOptionsChanges(rows, options),
});

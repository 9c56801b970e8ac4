import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { removeLooks } from './lookChanges';

/** A look goes with the places of its pieces; the pieces themselves stay. */
export const removeLook = projectAct({
  kind: 'removeLook',
  title: 'Look removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) =>
    rows.looks.some((look) => look.id === payload.id)
      ? removeLooks(rows, (look) => look.id === payload.id)
      : refuse('id', payload.id, 'a look that is still there'),
});

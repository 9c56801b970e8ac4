import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';

/** Removes the open project; its rows stay where they are, and come back with it. */
export const removeProject = projectAct({
  kind: 'removeProject',
  title: 'Project removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) =>
    payload.id === rows.project.id
      ? [{ table: 'project', op: 'remove', id: payload.id }]
      : refuse('id', payload.id, 'the project that is open'),
});

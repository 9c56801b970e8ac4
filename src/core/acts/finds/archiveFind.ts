import { z } from 'zod';
import { id } from '../../model/fields';
import { isRefusal, projectAct, refuse } from '../act';
import { update } from '../changes';
import { withoutFind } from './findOptions';

/** Puts away a find that has a history: what was paid stays in the books, the ways that use it leave the board. */
export const archiveFind = projectAct({
  kind: 'archiveFind',
  title: 'Find put away',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.id);
    if (!find) return refuse('id', payload.id, 'a find that is still there');
    const changes = withoutFind(rows, find, true);
    return isRefusal(changes) ? changes : [...changes, update('sightings', find.id, { archived: true })];
  },
});

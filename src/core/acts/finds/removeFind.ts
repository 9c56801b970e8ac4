import { z } from 'zod';
import { id } from '../../model/fields';
import { settledIds } from '../../pricing/ledger';
import { isRefusal, projectAct, refuse } from '../act';
import { remove } from '../changes';
import { withoutFind } from './findOptions';

/**
 * Removes a find from the project with the options that use it. Its piece stays; one that was paid or promised is put
 * away instead.
 */
export const removeFind = projectAct({
  kind: 'removeFind',
  title: 'Find removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.id);
    if (!find) return refuse('id', payload.id, 'a find that is still there');
    if (settledIds(rows.ledger).get('piece')?.has(find.pieceId))
      return refuse('id', find.name, 'a find that nothing was paid or promised for; this one can be put away');
    const changes = withoutFind(rows, find, false);
    return isRefusal(changes) ? changes : [...changes, remove('sightings', find.id)];
  },
});

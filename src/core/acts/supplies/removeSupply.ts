import { z } from 'zod';
import { id } from '../../model/fields';
import { houseAct, refuse } from '../act';
import { isProject, remove } from '../changes';

/** A supply goes with its packs; that nothing was paid for it or taken from it is asked of all projects. */
export const removeSupply = houseAct({
  kind: 'removeSupply',
  title: 'Supply removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    if (isProject(rows) && rows.ledger.some((line) => line.subject.id === payload.id))
      return refuse('id', payload.id, 'a supply that nothing was paid for in this project');
    return rows.supplies.some((row) => row.id === payload.id)
      ? [
          ...rows.packs.filter((pack) => pack.supplyId === payload.id).map((pack) => remove('packs', pack.id)),
          remove('supplies', payload.id),
        ]
      : refuse('id', payload.id, 'a supply that is still there');
  },
});

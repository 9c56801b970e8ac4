import { z } from 'zod';
import { id } from '../../model/fields';
import { piecesBought } from '../../pricing/priceStory';
import { projectAct, refuse } from '../act';
import { settle, settlement } from './ledgerChanges';

/** Pays for a find, or promises to; what it cost stands in the ledger and nowhere else. */
export const buyFind = projectAct({
  kind: 'buyFind',
  title: 'Bought',
  payload: z.strictObject({ findId: id, ...settlement }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.findId);
    if (!find) return refuse('findId', payload.findId, 'a find of this project');
    if (find.state === 'bought' || find.state === 'owned' || find.state === 'sold')
      return refuse('findId', find.name, 'a find that is not bought yet');
    const { sourceId, story } = find;
    return settle(
      rows,
      payload,
      'findId',
      find.name,
      { kind: 'piece', id: find.pieceId },
      {
        sourceId,
        pieces: piecesBought(story),
      },
    );
  },
});

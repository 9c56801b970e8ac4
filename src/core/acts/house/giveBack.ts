import { z } from 'zod';
import { id } from '../../model/fields';
import { houseAct, refuse } from '../act';
import { update } from '../changes';

/** A borrowed piece goes back to its owner. */
export const giveBack = houseAct({
  kind: 'giveBack',
  title: 'Given back',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const piece = rows.pieces.find((row) => row.id === payload.id);
    if (!piece?.inHouse) return refuse('id', payload.id, 'a piece that is still in the house');
    if (piece.borrowedFrom === '') return refuse('id', piece.name, 'a borrowed piece');
    return [update('pieces', piece.id, { inHouse: false })];
  },
});

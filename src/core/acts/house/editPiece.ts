import { z } from 'zod';
import { piece } from '../../model/entities/piece';
import { id } from '../../model/fields';
import { houseAct, refuse } from '../act';
import { update } from '../changes';

/** Changes what is said of a piece; that it comes and goes is said by other acts. */
export const editPiece = houseAct({
  kind: 'editPiece',
  title: 'Piece changed',
  payload: z.strictObject({ id, values: z.strictObject(piece.fields).omit({ inHouse: true }).partial() }),
  decide: (rows, payload) =>
    rows.pieces.some((row) => row.id === payload.id)
      ? [update('pieces', payload.id, payload.values)]
      : refuse('id', payload.id, 'a piece that is still there'),
});

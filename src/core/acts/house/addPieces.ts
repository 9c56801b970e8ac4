import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { houseAct } from '../act';
import { insert } from '../changes';

/** Pieces that came into view: from a quick entry, a row of photos, or one by one. */
export const addPieces = houseAct({
  kind: 'addPieces',
  title: 'Pieces noted',
  payload: z.strictObject({
    pieces: z.array(rowSchema('pieces')).min(1, 'at least one piece').max(60, 'at most 60 pieces at once'),
  }),
  decide: (_rows, payload) => payload.pieces.map((piece) => insert('pieces', { ...piece, inHouse: true })),
});

import { z } from 'zod';
import { id } from '../../model/fields';
import { houseAct, refuse } from '../act';
import { update } from '../changes';

/** Removes pieces from the house. Projects that have seen them keep their description. */
export const removePieces = houseAct({
  kind: 'removePieces',
  title: 'Pieces removed',
  payload: z.strictObject({ ids: z.array(id).min(1).max(200, 'at most 200 pieces at once') }),
  decide: (rows, payload) => {
    const ids = [...new Set(payload.ids)];
    const gone = ids.find((pieceId) => !rows.pieces.some((piece) => piece.id === pieceId && piece.inHouse));
    if (gone !== undefined) return refuse('ids', gone, 'pieces that are still in the house');
    return ids.map((pieceId) => update('pieces', pieceId, { inHouse: false }));
  },
});

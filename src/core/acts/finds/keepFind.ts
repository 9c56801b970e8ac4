import { z } from 'zod';
import { piece } from '../../model/entities/piece';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';

/** A find that stays: its piece is in the house from now on, with what is said of it there. */
export const keepFind = projectAct({
  kind: 'keepFind',
  title: 'Kept in the house',
  payload: z.strictObject({ findId: id, values: z.strictObject(piece.fields).omit({ inHouse: true }).partial() }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.findId);
    if (!find) return refuse('findId', payload.findId, 'a find of this project');
    if (find.inHouse) return refuse('findId', find.name, 'a find that is not in the house yet');
    if (find.state !== 'bought' && find.state !== 'owned')
      return refuse('findId', find.name, 'a find that is bought or ours');
    return [update('pieces', find.pieceId, { ...payload.values, inHouse: true })];
  },
});

import { z } from 'zod';
import { piece } from '../../model/entities/piece';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';

/** Keeps a find: its piece belongs to the house from now on, with the given values. Only what is bought or owned can stay. */
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

import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { houseAct } from '../act';
import { insert, update } from '../changes';

/** One line of the price book, new or as it shall be. */
export const savePrice = houseAct({
  kind: 'savePrice',
  title: 'Price noted',
  payload: z.strictObject({ note: rowSchema('priceNotes') }),
  decide: (rows, payload) => {
    const { id: noteId, version: _version, ...values } = payload.note;
    return [
      rows.priceNotes.some((row) => row.id === noteId)
        ? update('priceNotes', noteId, values)
        : insert('priceNotes', payload.note),
    ];
  },
});

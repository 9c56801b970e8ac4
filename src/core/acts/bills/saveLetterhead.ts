import { z } from 'zod';
import { letterhead } from '../../model/entities/letterhead';
import { id } from '../../model/fields';
import { houseAct } from '../act';
import { insert, update } from '../changes';

/** Notes what stands on all bills. There is one letterhead: what two devices note at once is one in the end. */
export const saveLetterhead = houseAct({
  kind: 'saveLetterhead',
  title: 'Letterhead kept',
  payload: z.strictObject({ id, values: z.strictObject(letterhead.fields) }),
  decide: ({ letterheads: [present] }, { id: newId, values }) => [
    present ? update('letterheads', present.id, values) : insert('letterheads', { id: newId, ...values }),
  ],
});

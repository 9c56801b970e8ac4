import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { projectAct } from '../act';
import { placeSlots } from './addSlots';

/** One slot on a spot. */
export const addSlot = projectAct({
  kind: 'addSlot',
  title: 'Slot added',
  payload: z.strictObject({ row: rowSchema('slots') }),
  decide: (rows, payload) => placeSlots(rows, [payload.row], 'row.spotId'),
});

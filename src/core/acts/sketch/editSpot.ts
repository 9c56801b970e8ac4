import { quantityOf } from '../../arrange/seats';
import type { SpotRow } from '../../model/rows';
import { projectAct, refuse } from '../act';
import { update } from '../changes';
import { editPayload } from '../rowActs';
import { slotChanges } from './slotChanges';

/** Changes a spot; slots per seat follow its seats. */
export const editSpot = projectAct({
  kind: 'editSpot',
  title: 'Spot changed',
  payload: editPayload('spots'),
  decide: (rows, payload) => {
    const spot = rows.spots.find((row) => row.id === payload.id);
    if (!spot) return refuse('id', payload.id, 'a spot that is still there');
    const values = payload.values as Partial<SpotRow>;
    const after = { ...spot, ...values };
    return [
      update('spots', spot.id, values),
      ...rows.slots
        .filter((slot) => slot.spotId === spot.id && slot.perSeat !== null)
        .flatMap((slot) => (quantityOf(slot, after) === slot.quantity ? [] : slotChanges(rows, slot, {}, after))),
    ];
  },
});

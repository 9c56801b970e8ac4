import type { SlotRow } from '../../model/rows';
import { projectAct, refuse } from '../act';
import { remove } from '../changes';
import { editPayload } from '../rowActs';
import { slotChanges } from './slotChanges';

/** Changes a slot; a quantity per seat is kept in step with the spot's seats, and what is left out has no choice. */
export const editSlot = projectAct({
  kind: 'editSlot',
  title: 'Slot changed',
  payload: editPayload('slots'),
  decide: (rows, payload) => {
    const slot = rows.slots.find((row) => row.id === payload.id);
    if (!slot) return refuse('id', payload.id, 'a slot that is still there');
    const values = payload.values as Partial<SlotRow>;
    const spot = rows.spots.find((row) => row.id === (values.spotId ?? slot.spotId));
    if (!spot) return refuse('values.spotId', values.spotId, 'a spot of this project');
    const changes = slotChanges(rows, slot, values, spot);
    return values.leftOut === true && !slot.leftOut
      ? [
          ...changes.filter((change) => change.table !== 'fills'),
          ...rows.fills.filter((fill) => fill.slotId === slot.id).map((fill) => remove('fills', fill.id)),
        ]
      : changes;
  },
});

import { quantityOf } from '../../arrange/seats';
import type { ProjectRows, SlotRow, SpotRow } from '../../model/rows';
import { type RowChange, remove, update } from '../changes';

/** Fills of a slot cut to a quantity: what no longer fits goes, the last chosen first. */
function trimFills(rows: ProjectRows, slotId: string, quantity: number): RowChange[] {
  let room = quantity;
  return rows.fills
    .filter((fill) => fill.slotId === slotId)
    .flatMap((fill): RowChange[] => {
      const count = Math.min(fill.count, room);
      room -= count;
      if (count === fill.count) return [];
      return count > 0 ? [update('fills', fill.id, { count })] : [remove('fills', fill.id)];
    });
}

/** A slot as it will be: what is per seat follows the seats, and fills follow the quantity. */
export function slotChanges(
  rows: ProjectRows,
  slot: SlotRow,
  values: Partial<SlotRow>,
  spot: SpotRow | undefined,
): RowChange[] {
  const after = { ...slot, ...values };
  const quantity = quantityOf(after, spot);
  const changed = quantity === after.quantity ? values : { ...values, quantity };
  const { id: _id, version: _version, ...fields } = changed;
  return [
    ...(Object.keys(fields).length > 0 ? [update('slots', slot.id, fields)] : []),
    ...(quantity < slot.quantity ? trimFills(rows, slot.id, quantity) : []),
  ];
}

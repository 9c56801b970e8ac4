import type { ProjectRows, SlotRow } from '../../model/rows';
import { type RowChange, remove, update } from '../changes';

/**
 * A slot filled by an option. What still fits beside the new choice stays (one of two lamps found, the other bought
 * new); the rest gives way.
 */
export function fillSlot(
  rows: ProjectRows,
  slot: SlotRow,
  optionId: string,
  count: number,
  fillId: string,
): RowChange[] {
  let room = slot.quantity - count;
  const changes: RowChange[] = [];
  for (const fill of rows.fills) {
    if (fill.slotId !== slot.id) continue;
    if (fill.optionId !== optionId && fill.count <= room) room -= fill.count;
    else changes.push(remove('fills', fill.id));
  }
  if (slot.leftOut) changes.push(update('slots', slot.id, { leftOut: false }));
  changes.push({ table: 'fills', op: 'insert', row: { id: fillId, version: 1, slotId: slot.id, optionId, count } });
  return changes;
}

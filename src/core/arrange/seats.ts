import { spotMeasure } from '../catalog/spotKind';
import { spotKindOf } from '../catalog/spotKinds';
import { MOST_QUANTITY } from '../model/mostQuantity';
import type { SlotRow, SpotRow } from '../model/rows';

/** Seats of a spot: as counted, else as usual for its kind; 0 where nobody sits. */
export function seatsOf(spot: Pick<SpotRow, 'kind' | 'measures'>): number {
  return Math.round(spotMeasure(spotKindOf(spot.kind), spot.measures, 'seats'));
}

/**
 * The quantity a slot asks for: as typed, or seats × parts + spares.
 * No more than a slot may ask for.
 * @example six seats, one plate each, two spares → 8
 */
export function quantityOf(
  slot: Pick<SlotRow, 'quantity' | 'perSeat'>,
  spot: Pick<SpotRow, 'kind' | 'measures'> | undefined,
): number {
  if (slot.perSeat === null || !spot) return slot.quantity;
  const asked = seatsOf(spot) * slot.perSeat.parts + slot.perSeat.spares;
  return Math.min(MOST_QUANTITY, Math.max(1, asked));
}

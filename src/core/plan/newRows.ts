import type { SlotRow, SpotRow } from './rows';

/** A slot of which only its spot, number and name are known; everything else is open to be said later. */
export function newSlot(id: string, spotId: string, number: number, name: string): SlotRow {
  const open = { minimumMm: null, maximumMm: null };
  return {
    id,
    version: 1,
    spotId,
    number,
    name,
    quantity: 1,
    importance: 'wanted',
    width: open,
    depth: open,
    height: open,
    note: '',
    leftOut: false,
    role: null,
    perSeat: null,
    colorCardIds: [],
    shareThousandths: null,
    box: null,
    star: null,
  };
}

/** A spot that is only named; its kind says what will be measured. */
export function newSpot(id: string, name: string, kind: string, position: number): SpotRow {
  return {
    id,
    version: 1,
    name,
    kind,
    widthMm: null,
    depthMm: null,
    heightMm: null,
    measures: {},
    features: [],
    tasks: [],
    position,
  };
}

/** The next free number for a slot: numbers are given once and not reused while a later one is taken. */
export function nextSlotNumber(slots: readonly SlotRow[]): number {
  return Math.max(0, ...slots.map((slot) => slot.number)) + 1;
}

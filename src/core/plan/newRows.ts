import type { Price } from '../kernel/price';
import type { PackRow, SlotRow, SpotRow, SupplyRow } from '../model/rows';

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
    keeps: [],
    colorCardIds: [],
    shareThousandths: null,
    box: null,
    star: null,
    locked: false,
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
    gapMm: null,
    measures: {},
    features: [],
    wall: null,
    daylight: 'unknown',
    tasks: [],
    position,
  };
}

/** The next free number for a slot: numbers are given once and not reused while a later one is taken. */
export function nextSlotNumber(slots: readonly SlotRow[]): number {
  return Math.max(0, ...slots.map((slot) => slot.number)) + 1;
}

/** A supply of which there is none yet and nothing is known but what it is. */
export function newSupply(
  id: string,
  kindId: string,
  colorCardId: string | null,
  sheen: SupplyRow['sheen'],
): SupplyRow {
  return {
    id,
    version: 1,
    kindId,
    colorCardId,
    sheen,
    stash: { state: 'none', amount: 0 },
    unitCostMillionths: null,
    stock: null,
    offcuts: [],
    base: '',
    containerSize: null,
    openedOn: null,
    keepsUntil: null,
    checkedOn: null,
  };
}

/** A pack that a supply is sold in; nobody has said yet where and when it was seen. */
export function newPack(
  id: string,
  supplyId: string,
  name: string,
  size: number,
  price: Price,
  currency = '',
): PackRow {
  return { id, version: 1, supplyId, name, size, price, currency, source: '', seenOn: '' };
}

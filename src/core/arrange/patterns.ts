import { sketchRoom } from '../catalog/spotKind';
import { spotKindOf } from '../catalog/spotKinds';
import { createRegistry } from '../kernel/registry';
import type { PatternSlot, SlotBox, SlotRow, SpotRow } from '../model/rows';
import { newSlot } from '../plan/newRows';
import { hangingHeightMm } from './hanging/hangingHeight';
import { baseHeightMm } from './look/lookRoom';
import { patternRows, type StartingPattern } from './patterns.data';
import { quantityOf } from './seats';
import { ontoBoard } from './sketchBoxes';

/** Every starting pattern by id. */
export const startingPatterns = createRegistry<StartingPattern>('starting patterns', patternRows);

/** Starting patterns made for a kind of spot. */
export function patternsFor(spotKind: string): StartingPattern[] {
  return startingPatterns.all.filter((pattern) => pattern.spotKinds.includes(spotKind));
}

/** The part of a spot that a pattern fills, mm from its lower left: all of it, or a field of a wall at the height of eyes. */
function fieldIn(spot: SpotRow, field: StartingPattern['field']) {
  const kind = spotKindOf(spot.kind);
  const { widthMm, heightMm } = sketchRoom(kind, spot);
  if (!field || kind.id !== 'wall') return { xMm: 0, yMm: 0, widthMm, heightMm };
  const wide = Math.min(widthMm, field.widthMm);
  const high = Math.min(heightMm, field.heightMm);
  const yMm = Math.min(Math.max(0, hangingHeightMm - baseHeightMm(spot) - high / 2), heightMm - high);
  return { xMm: (widthMm - wide) / 2, yMm, widthMm: wide, heightMm: high };
}

/**
 * Where a slot of a pattern is in a spot, mm of its room; on shelves it stands on the nearest board.
 */
export function patternBox(
  entry: Pick<PatternSlot, 'x' | 'y' | 'width' | 'height'>,
  spot: SpotRow,
  { field, openings }: Pick<StartingPattern, 'field' | 'openings'> = {},
): SlotBox {
  const of = fieldIn(spot, field);
  // Rounded down, so that a pattern never sticks out of its spot.
  const box = {
    xMm: Math.round(of.xMm + entry.x * of.widthMm),
    yMm: Math.round(of.yMm + entry.y * of.heightMm),
    widthMm: Math.max(1, Math.floor(entry.width * of.widthMm - 1)),
    heightMm: Math.max(1, Math.floor(entry.height * of.heightMm - 1)),
  };
  return ontoBoard(box, spot, openings === undefined ? undefined : openings * entry.height);
}

/**
 * A pattern as slots of a spot, numbered from `firstNumber`, each box in mm of the spot's room.
 * @param ids one new id per slot of the pattern
 */
export function slotsFromPattern(
  pattern: Pick<StartingPattern, 'slots' | 'field' | 'openings'>,
  spot: SpotRow,
  firstNumber: number,
  ids: readonly string[],
): SlotRow[] {
  return pattern.slots.map((entry, n) => {
    const row: SlotRow = {
      ...newSlot(ids[n] ?? '', spot.id, firstNumber + n, entry.name),
      role: entry.role,
      quantity: entry.quantity,
      importance: entry.importance,
      perSeat: entry.perSeat,
      box: patternBox(entry, spot, pattern),
    };
    return { ...row, quantity: quantityOf(row, spot) };
  });
}

/** A spot's sketch as a pattern: boxes as shares of the room, cut to it. Slots without a box are left out. */
export function patternFromSlots(spot: SpotRow, slots: readonly SlotRow[]): PatternSlot[] {
  const room = sketchRoom(spotKindOf(spot.kind), spot);
  const share = (value: number, whole: number) => Math.min(1, Math.max(0, value / whole));
  return [...slots]
    .sort((a, b) => a.number - b.number)
    .flatMap((slot) =>
      slot.box === null
        ? []
        : [
            {
              name: slot.name,
              role: slot.role,
              quantity: slot.quantity,
              importance: slot.importance,
              perSeat: slot.perSeat,
              x: share(slot.box.xMm, room.widthMm),
              y: share(slot.box.yMm, room.heightMm),
              width: share(slot.box.widthMm, room.widthMm),
              height: share(slot.box.heightMm, room.heightMm),
            },
          ],
    );
}

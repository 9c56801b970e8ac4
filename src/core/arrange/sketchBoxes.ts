import { spotBoards } from '../catalog/spotBoards';
import { type SketchRoom, sketchRoom } from '../catalog/spotKind';
import { spotKindOf } from '../catalog/spotKinds';
import type { SlotBox, SlotRow, SpotRow } from '../model/rows';

/** A slot with its place in the sketch; `placed` is false while the place is only proposed. */
export interface PlacedSlot {
  slot: SlotRow;
  box: SlotBox;
  placed: boolean;
}

/** The middle of a wished range, or the end that is known, or null. */
function wished(range: { minimumMm: number | null; maximumMm: number | null }): number | null {
  const { minimumMm, maximumMm } = range;
  if (minimumMm !== null && maximumMm !== null) return (minimumMm + maximumMm) / 2;
  return maximumMm ?? minimumMm;
}

/**
 * How large a slot is drawn while nobody said: its wished size, else a modest share of the room.
 * @returns mm; never larger than the room
 */
export function proposedSize(
  slot: SlotRow,
  room: SketchRoom,
  view: 'elevation' | 'plan',
): { widthMm: number; heightMm: number } {
  const tall = { height: 0.6, anchor: 0.5, light: 0.45, greenery: 0.35 }[slot.role as string] ?? 0.25;
  const up = view === 'plan' ? slot.depth : slot.height;
  return {
    widthMm: Math.min(room.widthMm, wished(slot.width) ?? room.widthMm * (slot.role === 'anchor' ? 0.4 : 0.14)),
    heightMm: Math.min(room.heightMm, wished(up) ?? room.heightMm * (view === 'plan' ? 0.25 : tall)),
  };
}

/** An opening of a spot: the base or a board of it, and how high it is free above that; mm. */
interface Opening {
  footMm: number;
  leftMm: number;
  rightMm: number;
  clearMm: number;
}

/** The openings of a spot, the lowest first: one where it has no shelves. */
function openingsOf(spot: SpotRow): Opening[] {
  const room = sketchRoom(spotKindOf(spot.kind), spot);
  const boards = spotKindOf(spot.kind).isShelved ? spotBoards(spot) : [];
  const floors = [{ topMm: 0, leftMm: 0, rightMm: room.widthMm }, ...boards];
  return floors.map(({ topMm, leftMm, rightMm }, n) => {
    const over = boards[n];
    const ceiling = over ? over.topMm - over.thickMm : room.heightMm;
    return { footMm: topMm, leftMm, rightMm, clearMm: Math.max(1, ceiling - topMm) };
  });
}

/**
 * A box set on the nearest board of its spot; as it is where the spot has no boards.
 * @param share how high it is as a share of the opening there; as high as it is, as far as it fits, where nothing is said
 */
export function ontoBoard(box: SlotBox, spot: SpotRow, share?: number): SlotBox {
  const openings = openingsOf(spot);
  if (openings.length < 2) return box;
  const far = ({ footMm }: Opening) => Math.abs(footMm - box.yMm);
  const opening = openings.reduce((best, one) => (far(one) < far(best) ? one : best));
  const widthMm = Math.min(box.widthMm, Math.floor(opening.rightMm - opening.leftMm));
  return {
    xMm: Math.round(Math.min(Math.max(opening.leftMm, box.xMm), opening.rightMm - widthMm)),
    yMm: Math.round(opening.footMm),
    widthMm,
    heightMm: Math.max(
      1,
      Math.floor(Math.min(opening.clearMm, share === undefined ? box.heightMm : opening.clearMm * share)),
    ),
  };
}

/**
 * Every slot of a spot with a box: the stored one, else a proposed one, laid from left to right in the order of numbers
 * along the base; on shelves from the lowest to the highest, as many on each. Nothing is stored by this.
 */
export function sketchBoxes(spot: SpotRow, slots: readonly SlotRow[]): PlacedSlot[] {
  const kind = spotKindOf(spot.kind);
  const room = sketchRoom(kind, spot);
  const ordered = [...slots].sort((a, b) => a.number - b.number);
  const open = ordered.filter((slot) => slot.box === null);
  const openings = openingsOf(spot);
  const each = Math.max(1, Math.ceil(open.length / openings.length));
  const proposed = new Map(
    openings.flatMap((opening, n) => rowIn(open.slice(n * each, (n + 1) * each), opening, room, kind.view)),
  );
  return ordered.map((slot) => ({
    slot,
    box: slot.box ?? proposed.get(slot.id) ?? { xMm: 0, yMm: 0, widthMm: 100, heightMm: 100 },
    placed: slot.box !== null,
  }));
}

/** Slots side by side in an opening, with even gaps; narrower where they would not fit. */
function rowIn(
  slots: readonly SlotRow[],
  { footMm, leftMm, rightMm, clearMm }: Opening,
  room: SketchRoom,
  view: 'elevation' | 'plan',
): [id: string, box: SlotBox][] {
  const wide = rightMm - leftMm;
  const sizes = slots.map((slot) => proposedSize(slot, { ...room, heightMm: Math.min(room.heightMm, clearMm) }, view));
  const total = sizes.reduce((sum, size) => sum + size.widthMm, 0);
  const squeeze = total > wide ? wide / total : 1;
  const gap = Math.max(0, wide - total * squeeze) / (slots.length + 1);
  let x = leftMm + gap;
  return slots.map((slot, n) => {
    const { widthMm, heightMm } = sizes[n] ?? { widthMm: 100, heightMm: 100 };
    const box = { xMm: x, yMm: footMm, widthMm: widthMm * squeeze, heightMm };
    x += box.widthMm + gap;
    return [slot.id, box];
  });
}

/**
 * A box moved back into the room, as far as it fits; its size is cut to the room's.
 * @param box mm from the lower left corner
 * @returns the same box where it is within the room
 */
export function insideRoom(box: SlotBox, room: SketchRoom): SlotBox {
  const widthMm = Math.min(box.widthMm, room.widthMm);
  const heightMm = Math.min(box.heightMm, room.heightMm);
  return {
    widthMm,
    heightMm,
    xMm: Math.min(Math.max(0, box.xMm), room.widthMm - widthMm),
    yMm: Math.min(Math.max(0, box.yMm), room.heightMm - heightMm),
  };
}

/**
 * Snaps a box to edges and middles of the others and of the room, within a reach in mm, each direction by itself.
 * @returns the box and the lines it snapped to, for drawing
 * @param box mm from the lower left corner of the room
 * @param others what it may snap to; itself not among them
 */
export function snapped(
  box: SlotBox,
  others: readonly SlotBox[],
  room: SketchRoom,
  reachMm: number,
): { box: SlotBox; atX: number | null; atY: number | null } {
  const linesX = [0, room.widthMm / 2, room.widthMm];
  const linesY = [0, room.heightMm / 2, room.heightMm];
  for (const other of others) {
    linesX.push(other.xMm, other.xMm + other.widthMm / 2, other.xMm + other.widthMm);
    linesY.push(other.yMm, other.yMm + other.heightMm / 2, other.yMm + other.heightMm);
  }
  const nearest = (start: number, size: number, lines: readonly number[]) => {
    let shift = 0;
    let at: number | null = null;
    let best = reachMm;
    for (const line of lines)
      for (const point of [start, start + size / 2, start + size]) {
        const distance = Math.abs(line - point);
        if (distance < best || (distance === best && at === null)) {
          best = distance;
          shift = line - point;
          at = line;
        }
      }
    return { shift, at };
  };
  const x = nearest(box.xMm, box.widthMm, linesX);
  const y = nearest(box.yMm, box.heightMm, linesY);
  return { box: { ...box, xMm: box.xMm + x.shift, yMm: box.yMm + y.shift }, atX: x.at, atY: y.at };
}

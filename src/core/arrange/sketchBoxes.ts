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

/**
 * Every slot of a spot with a box: the stored one, else a proposed one, laid from left to right in the order of numbers
 * along the base. Nothing is stored by this.
 */
export function sketchBoxes(spot: SpotRow, slots: readonly SlotRow[]): PlacedSlot[] {
  const kind = spotKindOf(spot.kind);
  const room = sketchRoom(kind, spot);
  const ordered = [...slots].sort((a, b) => a.number - b.number);
  const open = ordered.filter((slot) => slot.box === null);
  const sizes = new Map(open.map((slot) => [slot.id, proposedSize(slot, room, kind.view)]));
  const total = [...sizes.values()].reduce((sum, size) => sum + size.widthMm, 0);
  const squeeze = total > room.widthMm ? room.widthMm / total : 1;
  const gap = open.length > 0 ? Math.max(0, room.widthMm - total * squeeze) / (open.length + 1) : 0;
  let x = gap;
  return ordered.map((slot) => {
    if (slot.box) return { slot, box: slot.box, placed: true };
    const size = sizes.get(slot.id) ?? { widthMm: 100, heightMm: 100 };
    const box = { xMm: x, yMm: 0, widthMm: size.widthMm * squeeze, heightMm: size.heightMm };
    x += box.widthMm + gap;
    return { slot, box, placed: false };
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

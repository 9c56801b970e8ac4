import type { SketchRoom } from '../catalog/spotKind';
import type { SlotBox, SlotRow } from '../model/rows';

/** More pieces than this are only counted, not drawn. */
const MOST_DRAWN = 24;
/** Between the pieces of a row, and at least between the columns of a grid: this share of a piece. */
const GAP = 1 / 5;
const LEAST_GAP = 1 / 10;

const within = (box: SlotBox, room: SketchRoom) =>
  box.xMm >= -0.5 &&
  box.yMm >= -0.5 &&
  box.xMm + box.widthMm <= room.widthMm + 0.5 &&
  box.yMm + box.heightMm <= room.heightMm + 0.5;

/** Seats face each other: one half along the box's own side, the other half turned about the middle of the table. */
function facing(box: SlotBox, pieces: number, room: SketchRoom): SlotBox[] {
  const perSide = Math.ceil(pieces / 2);
  const near = Array.from({ length: perSide }, (_, n) => ({
    ...box,
    xMm: box.xMm + (n * room.widthMm) / perSide,
  }));
  const far = near.slice(0, pieces - perSide).map((entry) => ({
    ...entry,
    xMm: room.widthMm - entry.xMm - entry.widthMm,
    yMm: room.heightMm - entry.yMm - entry.heightMm,
  }));
  return [...near.slice(1), ...far];
}

/** A row to the right of the box. */
function row(box: SlotBox, pieces: number): SlotBox[] {
  return Array.from({ length: pieces - 1 }, (_, n) => ({ ...box, xMm: box.xMm + (n + 1) * box.widthMm * (1 + GAP) }));
}

/** A grid from the box to its mirror image, in as many columns as fit; null where fewer than two fit. */
function grid(box: SlotBox, pieces: number, room: SketchRoom): SlotBox[] | null {
  const span = room.widthMm - 2 * box.xMm;
  const columns = Math.min(pieces, Math.floor((span / box.widthMm + LEAST_GAP) / (1 + LEAST_GAP) + 1e-9));
  if (columns < 2) return null;
  const rows = Math.ceil(pieces / columns);
  const stepX = (span - box.widthMm) / (columns - 1);
  // Gaps are the same across and up where that fits, else the rows share the height.
  const even = box.heightMm + stepX - box.widthMm;
  const free = rows > 1 ? (room.heightMm - 2 * box.yMm - box.heightMm) / (rows - 1) : 0;
  const fitsEvenly = box.yMm + (rows - 1) * even + box.heightMm <= room.heightMm + 0.5;
  const stepY = fitsEvenly ? even : free >= box.heightMm ? free : box.heightMm * (1 + GAP);
  return Array.from({ length: pieces - 1 }, (_, n) => ({
    ...box,
    xMm: box.xMm + ((n + 1) % columns) * stepX,
    yMm: box.yMm + Math.floor((n + 1) / columns) * stepY,
  }));
}

/**
 * Where the further pieces of a slot are drawn, as a suggestion for the eye: two mirror each other about the middle, what
 * is counted per seat faces itself across the table, four and more make a grid, the rest a row. Spares are not drawn.
 * @param box the first piece, in mm from the lower left corner of the room
 * @returns boxes without the first; pieces that would leave the room are left out (common practice, no source)
 */
export function repeatsOf(
  box: SlotBox,
  slot: Pick<SlotRow, 'quantity' | 'perSeat'>,
  room: SketchRoom,
): readonly SlotBox[] {
  const pieces = slot.quantity - (slot.perSeat?.spares ?? 0);
  if (pieces < 2 || pieces > MOST_DRAWN) return [];
  const mirrored = { ...box, xMm: room.widthMm - box.xMm - box.widthMm };
  const apart = Math.abs(mirrored.xMm - box.xMm) >= box.widthMm;
  const all = slot.perSeat
    ? facing(box, pieces, room)
    : pieces === 2 && apart
      ? [mirrored]
      : ((pieces >= 4 ? grid(box, pieces, room) : null) ?? row(box, pieces));
  return all.filter((entry) => within(entry, room));
}

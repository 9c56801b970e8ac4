import { type Outline, outlineAreaMm2, rectangleOutline, turned } from '../../surface/outline';
import type { Filled, Filler, Laid, Piece, Room } from '../filler';
import type { Turn } from '../part';
import { SAME_MM } from '../question';
import { grown, longestStretches, type Raster, rasterOf, type Stretch } from './raster';
import { TakenCells } from './takenCells';

type Degrees = Laid['turnedDeg'];
const degreesFor: Readonly<Record<Turn, readonly Degrees[]>> = {
  fixed: [0],
  half: [0, 180],
  free: [0, 90, 180, 270],
};

/** A shape as it may lie: its own cells, and those that nothing else may take. */
interface Pose {
  degrees: Degrees;
  widthMm: number;
  lengthMm: number;
  cells: Raster;
  around: Raster;
  /** Its rows, the fullest first: they meet something soonest. */
  order: number[];
  /** Of each row its longest unbroken stretch, by which columns are passed over. */
  stretches: Stretch[];
}

/** Cells along the side of the square that all boxes together would fill: finer takes longer and wastes less. */
const CELLS_ACROSS = 400;
const LEAST_CELL_MM = 0.5;
const MOST_CELL_MM = 4;

/**
 * Lays true outlines, in the lowest place that is free and there at the left, in whichever way they may be turned; small
 * ones go into the holes of large ones. The room is a grid of cells; a shape takes every cell that it touches and keeps
 * all others off by the gap, so that what the grid allows holds in truth.
 */
export function outlineFiller(pieces: readonly Piece[], gapMm: number): Filler {
  const boxes = pieces.reduce((sum, { part }) => sum + part.widthMm * part.lengthMm, 0);
  const cell = Math.min(MOST_CELL_MM, Math.max(LEAST_CELL_MM, Math.sqrt(boxes) / CELLS_ACROSS));
  const gapCells = Math.ceil(gapMm / cell - 1e-9);
  const posesOfPart = new Map<string, Pose[]>();
  const outlineOf = ({ part }: Piece): Outline => part.outline ?? rectangleOutline(0, 0, part.widthMm, part.lengthMm);
  const posesOf = (piece: Piece): Pose[] => {
    const { part } = piece;
    const known = posesOfPart.get(part.key);
    if (known) return known;
    const poses = degreesFor[part.turn].map((degrees): Pose => {
      const isTurned = degrees % 180 !== 0;
      const widthMm = isTurned ? part.lengthMm : part.widthMm;
      const lengthMm = isTurned ? part.widthMm : part.lengthMm;
      const cells = rasterOf(turned(outlineOf(piece), part.widthMm, part.lengthMm, degrees), widthMm, lengthMm, cell);
      return {
        degrees,
        widthMm,
        lengthMm,
        cells,
        around: grown(cells, gapCells),
        order: fullestFirst(cells),
        stretches: longestStretches(cells),
      };
    });
    posesOfPart.set(part.key, poses);
    return poses;
  };
  const fits = (pose: Pose, room: Room) =>
    pose.widthMm <= room.widthMm + SAME_MM && pose.lengthMm <= room.lengthMm + SAME_MM;

  const fill = (room: Room, pinned: readonly Laid[], order: number[]): Filled => {
    const taken = new TakenCells(Math.ceil(room.widthMm / cell) + 1);
    const laid: Laid[] = [];
    let usedMm = 0;
    const put = (piece: number, pose: Pose, x: number, y: number) => {
      taken.take(pose.around, x - gapCells, y - gapCells);
      usedMm = Math.max(usedMm, y * cell + pose.lengthMm);
      return {
        piece,
        xMm: x * cell,
        yMm: y * cell,
        widthMm: pose.widthMm,
        lengthMm: pose.lengthMm,
        turnedDeg: pose.degrees,
      };
    };
    for (const pin of pinned) {
      const piece = pieces[pin.piece];
      const pose = piece && posesOf(piece).find(({ degrees }) => degrees === pin.turnedDeg);
      // A pin lies between cells: it takes those of both.
      if (pose)
        for (const dx of [Math.floor, Math.ceil])
          for (const dy of [Math.floor, Math.ceil]) put(pin.piece, pose, dx(pin.xMm / cell), dy(pin.yMm / cell));
    }
    // Below the place of the last part like it, there is none for the next either.
    const begun = new Map<Pose, number>();
    for (const index of [...order]) {
      const piece = pieces[index];
      if (!piece) continue;
      let best: { pose: Pose; x: number; y: number } | null = null;
      for (const pose of posesOf(piece)) {
        if (!fits(pose, room)) continue;
        const mostX = Math.floor((room.widthMm - pose.widthMm) / cell + 1e-6);
        const reach = best ? best.y * cell + best.pose.lengthMm : room.lengthMm;
        const mostY = Math.floor((Math.min(room.lengthMm, reach) - pose.lengthMm) / cell + 1e-6);
        const place = lowest(taken, pose, begun.get(pose) ?? 0, mostX, mostY);
        begun.set(pose, place?.y ?? (best ? (begun.get(pose) ?? 0) : mostY + 1));
        if (place && (best === null || isLower(pose, place, best))) best = { pose, ...place };
      }
      if (best === null) continue;
      order.splice(order.indexOf(index), 1);
      laid.push(put(index, best.pose, best.x, best.y));
    }
    return { laid, usedMm };
  };
  const isLower = (
    pose: Pose,
    place: { x: number; y: number },
    best: { pose: Pose; x: number; y: number },
  ): boolean => {
    const here = place.y * cell + pose.lengthMm;
    const there = best.y * cell + best.pose.lengthMm;
    return here < there - SAME_MM || (here < there + SAME_MM && place.x < best.x);
  };
  const descending = (measure: (piece: Piece) => number) =>
    pieces.map((_, n) => n).sort((a, b) => measure(pieces[b] as Piece) - measure(pieces[a] as Piece) || a - b);
  return {
    fill,
    fits: (piece, room) => {
      const of = pieces[piece];
      return of !== undefined && posesOf(of).some((pose) => fits(pose, room));
    },
    firstOrders: () => [
      descending((piece) => outlineAreaMm2(outlineOf(piece))),
      descending(({ part }) => Math.max(part.widthMm, part.lengthMm)),
      descending(({ part }) => part.widthMm * part.lengthMm),
    ],
  };
}

function lowest(
  taken: TakenCells,
  pose: Pose,
  fromY: number,
  mostX: number,
  mostY: number,
): { x: number; y: number } | null {
  for (let y = fromY; y <= mostY; y += 1)
    for (let x = 0; x <= mostX; ) {
      const next = taken.nextFree(pose.stretches, x, y);
      if (next === x) {
        if (!taken.meets(pose.cells, pose.order, x, y)) return { x, y };
        x += 1;
      } else x = next;
    }
  return null;
}

function fullestFirst({ rows, words, bits }: Raster): number[] {
  const fill = Array.from({ length: rows }, (_, row) => {
    let sum = 0;
    for (let n = 0; n < words; n += 1) sum += ones(bits[row * words + n] ?? 0);
    return sum;
  });
  return fill.map((_, row) => row).sort((a, b) => (fill[b] ?? 0) - (fill[a] ?? 0) || a - b);
}

function ones(word: number): number {
  let rest = word;
  let count = 0;
  while (rest !== 0) {
    rest &= rest - 1;
    count += 1;
  }
  return count;
}

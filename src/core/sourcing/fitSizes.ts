import type { PieceRow, SizeRange } from '../model/rows';
import type { FitNeed } from './fitNeed';
import { type Direction, directions, fitInRoom, goesInRoom, type RoomFit } from './spotRoom';

/** What of a need and of a piece its size is judged by, mm. */
type WantedSizes = Pick<FitNeed, 'width' | 'depth' | 'height' | 'room'>;
type Sized = Pick<PieceRow, 'widthMm' | 'depthMm' | 'heightMm'>;

/** A piece that is too small is forgiven down to nothing at a quarter below the range (modelling choice). */
const FORGIVEN = 0.25;
const sizeKeys = { width: 'widthMm', depth: 'depthMm', height: 'heightMm' } as const;
const asks = (range: SizeRange) => range.minimumMm !== null || range.maximumMm !== null;

/** How one measure lies to its range: 1 within, 0 above, falling to 0 at a quarter below it; an unknown one counts half. */
function measureScore({ minimumMm, maximumMm }: SizeRange, value: number | null): number {
  if (value === null) return 0.5;
  // What is larger than there is room for does not go in; it stands apart.
  if (maximumMm !== null && value > maximumMm + 0.5) return 0;
  if (minimumMm !== null && value < minimumMm - 0.5)
    return Math.max(0, 1 - (minimumMm - value) / (FORGIVEN * minimumMm));
  return 1;
}

/** The direction that lies worst to its range; null where none is asked for or all lie within. */
function worstDirection(need: WantedSizes, piece: Sized): Direction | null {
  let worst: Direction | null = null;
  let least = 1;
  for (const direction of directions) {
    if (!asks(need[direction])) continue;
    const score = measureScore(need[direction], piece[sizeKeys[direction]]);
    if (score < least) {
      least = score;
      worst = direction;
    }
  }
  return worst;
}

const sizeIsAsked = (need: WantedSizes) => asks(need.width) || asks(need.depth) || asks(need.height);

const sizeOf = (piece: Sized) => ({ width: piece.widthMm, depth: piece.depthMm, height: piece.heightMm });

/** Whether a piece goes into the room where it is to stand; what is not measured is no hindrance. */
const goesIn = ({ room }: WantedSizes, piece: Sized): boolean => room === null || goesInRoom(room, sizeOf(piece));

/** How a piece misses the room where it is to stand; null where it goes in. */
const missesRoom = (need: WantedSizes, piece: Sized): RoomFit | null =>
  need.room === null || goesIn(need, piece) ? null : fitInRoom(need.room, sizeOf(piece));

/** The direction in which something is too large, and by how much. */
function worstOf(fit: RoomFit): { direction: Direction; byMm: number } {
  const [worst] = [...fit.spare].sort((a, b) => a.byMm - b.byMm);
  return { direction: worst?.direction ?? 'width', byMm: -(worst?.byMm ?? 0) };
}

/** How the size lies to what is asked, 0 to 1: of its directions the worst; a half where nothing is asked or known. */
export function sizeScore(need: WantedSizes, piece: Sized): number {
  const worst = worstDirection(need, piece);
  if (!goesIn(need, piece)) return 0;
  if (worst === null) return sizeIsAsked(need) ? 1 : 0.5;
  return measureScore(need[worst], piece[sizeKeys[worst]]);
}

/** What the size is told as: the direction that lies worst, and by how much. */
export function sizeTold(need: WantedSizes, piece: Sized): { code: string; direction: string; byMm: number } {
  const worst = worstDirection(need, piece);
  const missed = missesRoom(need, piece);
  if (missed !== null && tooLarge({ ...need, room: null }, piece) === null)
    return { code: missed.blocked ? 'size.blocked' : 'size.noRoom', ...worstOf(missed) };
  if (worst === null) return { code: sizeIsAsked(need) ? 'size.within' : 'size.notAsked', direction: '', byMm: 0 };
  const value = piece[sizeKeys[worst]];
  const { minimumMm, maximumMm } = need[worst];
  if (value === null) return { code: 'size.unknown', direction: worst, byMm: 0 };
  return maximumMm !== null && value > maximumMm
    ? { code: 'size.over', direction: worst, byMm: value - maximumMm }
    : { code: 'size.under', direction: worst, byMm: (minimumMm ?? 0) - value };
}

/** How much a piece is larger than what a slot asks for, or its spot has room for, mm; null where it goes in. */
export function tooLarge(need: WantedSizes, piece: Sized): { direction: Direction; byMm: number } | null {
  let worst: { direction: Direction; byMm: number } | null = null;
  for (const direction of directions) {
    const { maximumMm } = need[direction];
    const value = piece[sizeKeys[direction]];
    if (maximumMm === null || value === null || value <= maximumMm + 0.5) continue;
    if (worst === null || value - maximumMm > worst.byMm) worst = { direction, byMm: value - maximumMm };
  }
  if (worst !== null) return worst;
  const missed = missesRoom(need, piece);
  return missed === null ? null : worstOf(missed);
}

import type { SpotFeature, SpotRow } from '../model/rows';
import { type Board, lowestFirst } from '../surface/board';
import { type DrawnShape, drawnRectangle } from '../surface/drawing';
import { type SpotKind, sketchRoom } from './spotKind';
import { spotKindOf } from './spotKinds';

/** What a spot's boards are worked out from. */
type Measured = Pick<SpotRow, 'kind' | 'widthMm' | 'depthMm' | 'heightMm' | 'measures' | 'features'>;

/** Whether somebody marked where the boards of a spot are. */
const markedBoards = ({ features }: Pick<SpotRow, 'features'>) => features.filter(({ kind }) => kind === 'board');

/**
 * Boards of a spot above its base on which things stand: those that somebody marked, else as its kind shares its height.
 * @returns the lowest first, mm above the base; none where it is seen from above
 */
export function spotBoards(spot: Measured): Board[] {
  const kind: SpotKind = spotKindOf(spot.kind);
  if (kind.view === 'plan') return [];
  const marked = markedBoards(spot);
  if (marked.length > 0)
    return lowestFirst(
      marked.map(({ xMm, yMm, widthMm, heightMm }) => ({
        topMm: yMm + heightMm,
        thickMm: heightMm,
        leftMm: xMm,
        rightMm: xMm + widthMm,
      })),
    );
  return kind.boards?.(sketchRoom(kind, spot), spot.measures) ?? [];
}

/**
 * The clear height of the tallest opening of a spot whose boards share its height; null where it has none, where nobody
 * measured its height or counted them, or where they are marked, which stand in the way themselves.
 */
export function clearHeightMm(spot: Measured): number | null {
  const { heightMm } = spot;
  if (heightMm === null || markedBoards(spot).length > 0) return null;
  const boards = spotBoards(spot);
  const isCounted = spotKindOf(spot.kind).measures.every(
    ({ id, kind }) => kind !== 'count' || spot.measures[id] !== undefined,
  );
  if (boards.length === 0 || !isCounted) return null;
  const floors = [0, ...boards.map(({ topMm }) => topMm)];
  const undersides = [...boards.map(({ topMm, thickMm }) => topMm - thickMm), heightMm];
  return Math.max(1, ...floors.slice(0, -1).map((floor, n) => (undersides[n] ?? heightMm) - floor));
}

/** What a spot looks like behind all that stands in it, with its boards; mm, y downward, in a drawing of its room's size. */
export function spotScenery(spot: Measured): DrawnShape[] {
  const kind = spotKindOf(spot.kind);
  const room = sketchRoom(kind, spot);
  return [
    ...kind.scenery(room, spot.measures),
    ...spotBoards(spot).map(({ topMm, thickMm, leftMm, rightMm }) =>
      drawnRectangle(null, leftMm, room.heightMm - topMm, rightMm - leftMm, thickMm),
    ),
  ];
}

/** A board that is marked where nobody said where: across the whole width, half way up. */
const HALF_WAY = 0.5;
const BOARD_MM = 20;

/**
 * Boards to mark in a spot: all that it is taken to have, to be put where they are; one more where some are marked already,
 * or where it is taken to have none.
 * @param newId gives a new id at each call
 */
export function boardsToMark(spot: Measured, newId: () => string): SpotFeature[] {
  const taken = markedBoards(spot).length > 0 ? [] : spotBoards(spot);
  const { widthMm, heightMm } = sketchRoom(spotKindOf(spot.kind), spot);
  const one: Board = {
    topMm: heightMm * HALF_WAY,
    thickMm: BOARD_MM,
    leftMm: 0,
    rightMm: widthMm,
  };
  return (taken.length > 0 ? taken : [one]).map(({ topMm, thickMm, leftMm, rightMm }) => ({
    id: newId(),
    kind: 'board',
    name: '',
    xMm: Math.max(0, leftMm),
    yMm: Math.max(0, topMm - thickMm),
    widthMm: rightMm - leftMm,
    heightMm: thickMm,
  }));
}

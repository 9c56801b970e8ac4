import { type Board, lowestFirst } from '../surface/board';
import { type DrawnShape, drawnRectangle } from '../surface/drawing';
import type { MarkedFeature } from './spotFeatures.data';
import { type SpotKind, type SpotSize, sketchRoom } from './spotKind';
import { spotKindOf } from './spotKinds';

/** A spot as its boards are worked out from it. */
interface Measured extends SpotSize {
  kind: string;
  features: readonly MarkedFeature[];
}

/** Whether somebody marked where the boards of a spot are. */
const markedBoards = ({ features }: Pick<Measured, 'features'>) => features.filter(({ kind }) => kind === 'board');

/**
 * Boards of a spot above its base on which things stand: those that somebody marked, and those of its kind, shelves only
 * while nobody marked where they are.
 * @returns the lowest first, mm above the base; none where it is seen from above
 */
export function spotBoards(spot: Measured): Board[] {
  const kind: SpotKind = spotKindOf(spot.kind);
  if (kind.view === 'plan') return [];
  const marked = markedBoards(spot).map(({ xMm, yMm, widthMm, heightMm }) => ({
    topMm: yMm + heightMm,
    thickMm: heightMm,
    leftMm: xMm,
    rightMm: xMm + widthMm,
  }));
  const replaces = kind.isShelved && marked.length > 0;
  const own = replaces ? [] : (kind.boards?.(sketchRoom(kind, spot), spot.measures) ?? []);
  return lowestFirst([...own, ...marked]);
}

/**
 * The clear height of the tallest opening between shelves; null where a spot has none, where nobody measured its height or
 * counted them, or where they are marked, which stand in the way themselves. Over the highest there is a board as well.
 */
export function clearHeightMm(spot: Measured): number | null {
  const { heightMm } = spot;
  const { isShelved, measures } = spotKindOf(spot.kind);
  const isCounted = measures.every(({ id, kind }) => kind !== 'count' || spot.measures[id] !== undefined);
  if (!isShelved || heightMm === null || !isCounted || markedBoards(spot).length > 0) return null;
  const boards = spotBoards(spot);
  const thickMm = boards[0]?.thickMm ?? 0;
  const tops = [0, ...boards.map(({ topMm }) => topMm), heightMm];
  return Math.max(1, ...tops.slice(1).map((topMm, n) => topMm - thickMm - (tops[n] ?? 0)));
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
export function boardsToMark(spot: Measured, newId: () => string): MarkedFeature[] {
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

/** What must be respected in a spot: what is marked in it, and what its kind always has where nobody marked such a thing. */
export function featuresOf(spot: Measured): MarkedFeature[] {
  const kind = spotKindOf(spot.kind);
  const own = kind.ownFeatures?.(sketchRoom(kind, spot), spot.measures) ?? [];
  const missing = own.filter((feature) => !spot.features.some((marked) => marked.kind === feature.kind));
  return [...spot.features, ...missing.map((feature) => ({ ...feature, id: `${kind.id} ${feature.kind}` }))];
}

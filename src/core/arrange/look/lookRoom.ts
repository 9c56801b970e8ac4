import { featuresOf, spotBoards } from '../../catalog/spotBoards';
import { sketchRoom } from '../../catalog/spotKind';
import { spotKindOf } from '../../catalog/spotKinds';
import type { SpotRow } from '../../model/rows';
import type { Board } from '../../surface/board';
import type { ThingBox } from './lookThing';

/** The room of a look, mm; where the spot is seen from above its depth is what the look's y runs along. */
export interface LookRoom {
  widthMm: number;
  heightMm: number;
  depthMm: number;
  /** Boards above its base on which things stand as well, the lowest first. */
  boards: readonly Board[];
  /** Stretches before doors, which stay free. */
  doors: readonly Pick<ThingBox, 'leftMm' | 'rightMm'>[];
  /** Whether something can hang: not on shelves. */
  hasWall: boolean;
  /** The height of its base above the floor. */
  baseMm: number;
  /** Whether there is floor before it as far as the room goes: before a wall. */
  isOpenToFront: boolean;
  /** What hangs at a window may reach so far beyond its glass. */
  beyondMm: number;
}

/** A door wants so much beside it, mm (2 in). */
const BESIDE_DOOR_MM = 50.8;
/** So far a look goes before a wall that has no surface of its own, mm (common practice, no source). */
const FLOOR_MM = 1200;

/** The room that a look has: the spot's measures, else what is usual for its kind; mm. */
export function lookRoom(spot: SpotRow): LookRoom {
  const kind = spotKindOf(spot.kind);
  const { widthMm } = sketchRoom(kind, spot);
  return {
    widthMm,
    heightMm: spot.heightMm ?? kind.usual.heightMm,
    // Before a wall there is the floor: what stands there may be as deep as furniture is.
    depthMm: kind.asks.depth === null ? FLOOR_MM : (spot.depthMm ?? kind.usual.depthMm),
    boards: spotBoards(spot),
    doors: featuresOf(spot)
      .filter((feature) => feature.kind === 'door')
      .map(({ xMm, widthMm: wide }) => ({ leftMm: xMm - BESIDE_DOOR_MM, rightMm: xMm + wide + BESIDE_DOOR_MM })),
    hasWall: kind.view === 'elevation' && kind.isShelved !== true,
    baseMm: baseHeightMm(spot),
    isOpenToFront: kind.view === 'elevation' && kind.asks.depth === null && baseHeightMm(spot) === 0,
    beyondMm: kind.beyondMm ?? 0,
  };
}

/** Whether a spot is seen from above. */
export const isSeenFromAbove = (spot: SpotRow): boolean => spotKindOf(spot.kind).view === 'plan';

/** The height of a spot's base above the floor, mm: what stands there stands so high. */
export function baseHeightMm(spot: SpotRow): number {
  const kind = spotKindOf(spot.kind);
  const measure = kind.measures.find(({ isBase }) => isBase);
  return (measure === undefined ? undefined : spot.measures[measure.id]) ?? kind.baseHeightMm;
}

/** The base and the boards above it, the lowest first. */
export const levelsOf = ({ widthMm, boards }: Pick<LookRoom, 'widthMm' | 'boards'>): Board[] => [
  { topMm: 0, thickMm: 0, leftMm: 0, rightMm: widthMm },
  ...boards,
];

/** The base and the boards of a spot, the lowest first, each as one calls it; the spot's own name where it has no boards. */
export function namedLevels(spot: SpotRow): { footMm: number; name: string }[] {
  const { isShelved, baseHeightMm: kindBaseMm } = spotKindOf(spot.kind);
  const levels = levelsOf(lookRoom(spot));
  if (levels.length === 1) return [{ footMm: 0, name: spot.name }];
  const ground = kindBaseMm === 0 ? 'The floor' : spot.name;
  return levels.map(({ topMm, name }, n) => ({
    footMm: topMm,
    name: isShelved
      ? n === 0
        ? 'Lowest board'
        : n === levels.length - 1
          ? 'Top board'
          : `Board ${n + 1} from below`
      : (name ?? (n === 0 ? ground : `Board ${n}`)),
  }));
}

/** Whether two stretches have more in common than a touch. */
export const share = (aFrom: number, aTo: number, bFrom: number, bTo: number, least = 0.5): boolean =>
  Math.min(aTo, bTo) - Math.max(aFrom, bFrom) > least;

/** A thing that stands on a board does so within this, mm. */
const ON_BOARD_MM = 2;

/** The height that a thing's board has above the base: 0 for what stands on the base itself. */
export function levelUnder({ boards }: Pick<LookRoom, 'boards'>, { leftMm, rightMm, footMm }: ThingBox): number {
  const below = boards.filter(
    (board) => board.topMm <= footMm + ON_BOARD_MM && share(leftMm, rightMm, board.leftMm, board.rightMm),
  );
  return below.at(-1)?.topMm ?? 0;
}

/** How high something may reach where it stands: to the next board over it, else to the top of the room. */
export function ceilingOver({ boards, heightMm }: LookRoom, { leftMm, rightMm, footMm }: ThingBox): number {
  // What reaches down to the floor, as a bed does, is no board over anything: things stand before it.
  const over = boards.find(
    (board) =>
      board.topMm - board.thickMm > footMm + ON_BOARD_MM && share(leftMm, rightMm, board.leftMm, board.rightMm),
  );
  return over ? over.topMm - over.thickMm : heightMm;
}

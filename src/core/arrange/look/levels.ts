import type { Board } from '../../surface/board';
import { inches } from '../lookChecks/where';
import { ceilingOver, type LookRoom, levelsOf, levelUnder } from './lookRoom';
import type { LookThing, ThingBox } from './lookThing';
import { gathers } from './trays';
import { isFurniture, isSeat, isSmall, isSoft } from './whereItBelongs';

/** A stretch of the width, mm. */
export type Stretch = Pick<ThingBox, 'leftMm' | 'rightMm'>;

/** A board on which a thing could be set, above the base of the spot, with what stands on it. */
export interface Level extends Stretch {
  footMm: number;
  /** The thing that has it; null for the spot's own. */
  of: LookThing | null;
  standing: readonly LookThing[];
  /** What takes room and cannot be pushed aside: the bed. */
  fixed: readonly Stretch[];
}

/** A free stretch of a level. */
export interface Gap extends Stretch {
  level: Level;
}

const SLACK_MM = 1;
const SAME_MM = 2;
/** A top higher than this is above what one looks at. */
const HIGH_TOP_MM = inches(50);
/** What reaches down to the floor: a bed. */
const isBed = ({ topMm, thickMm }: Board): boolean => topMm > 0 && thickMm >= topMm;

/** The levels of a spot itself on which a thing fits in height. A bed carries what is soft, and nothing else. */
function spotLevels(room: LookRoom, thing: LookThing, standing: readonly LookThing[]): Level[] {
  return levelsOf(room)
    .filter((board) => {
      const at = { ...thing.box, ...board, footMm: board.topMm };
      return !isBed(board) || isSoft(thing)
        ? board.topMm + thing.size.heightMm <= ceilingOver(room, at) + SLACK_MM
        : false;
    })
    .map(({ topMm, leftMm, rightMm }) => ({
      leftMm,
      rightMm,
      footMm: topMm,
      of: null,
      standing: standing.filter(({ placement, box }) => placement.onId === null && levelUnder(room, box) === topMm),
      // Before a door, and where a bed stands, nothing stands; a rug may lie there.
      fixed: topMm === 0 && !thing.kinds.has('rug') ? [...room.boards.filter(isBed), ...room.doors] : [],
    }));
}

/** The boards of furniture on which a thing fits. */
function furnitureLevels(
  room: LookRoom,
  thing: LookThing,
  things: readonly LookThing[],
  carries: (of: LookThing) => boolean = isFurniture,
): Level[] {
  const { heightMm, depthMm } = thing.size;
  return things
    .filter((of) => carries(of) && (isSoft(thing) || of.size.depthMm >= depthMm - SLACK_MM))
    .flatMap((of): Level[] =>
      of.boards.flatMap(({ topMm, leftMm, rightMm }, n) => {
        const footMm = of.box.footMm + topMm;
        const over = of.boards[n + 1];
        const ceiling = over ? of.box.footMm + over.topMm - over.thickMm : room.heightMm;
        if (footMm + heightMm > ceiling + SLACK_MM) return [];
        return [
          {
            leftMm: of.box.leftMm + leftMm,
            rightMm: of.box.leftMm + rightMm,
            footMm,
            of,
            standing: things.filter(
              ({ placement, box }) => placement.onId === of.id && Math.abs(box.footMm - footMm) < SAME_MM,
            ),
            fixed: [],
          },
        ];
      }),
    );
}

/** Free stretches of a level beside what is taken of it. */
export function gapsOn(level: Level): Gap[] {
  const { leftMm, rightMm } = level;
  const taken: Stretch[] = [...level.standing.map(({ box }) => box), ...level.fixed];
  const within = (mm: number) => Math.min(Math.max(leftMm, mm), rightMm);
  const edges = [leftMm, ...taken.flatMap((one) => [within(one.leftMm), within(one.rightMm)]), rightMm].sort(
    (a, b) => a - b,
  );
  return edges
    .slice(1)
    .map((to, n) => ({ leftMm: edges[n] ?? leftMm, rightMm: to, level }))
    .filter((gap) => !taken.some((one) => one.leftMm < gap.rightMm - SLACK_MM && one.rightMm > gap.leftMm + SLACK_MM));
}

export const wide = ({ leftMm, rightMm }: Stretch): number => rightMm - leftMm;
export const middleOf = ({ leftMm, rightMm }: Stretch): number => (leftMm + rightMm) / 2;

/** Levels in the order in which they come in question: each group before the next is looked at. */
export function levelGroups(room: LookRoom, thing: LookThing, things: readonly LookThing[]): Level[][] {
  const own = spotLevels(
    room,
    thing,
    things.filter(({ placement }) => placement.stance !== 'hangs'),
  );
  // What is heavy carries the lowest board; what is soft lies on the bed.
  if (thing.kinds.has('storage')) return own.map((level) => [level]);
  const raised = own.filter(({ footMm }) => footMm > 0);
  if (room.hasWall && isSoft(thing)) {
    if (raised.length > 0) return [raised];
    const seats = furnitureLevels(room, thing, things, isSeat);
    if (seats.length > 0) return [seats, own];
  }
  // A tray gathers what is small.
  const trays = room.hasWall ? furnitureLevels(room, thing, things, (of) => gathers(of, thing)) : [];
  const furniture = room.baseMm === 0 && room.hasWall && isSmall(thing) ? furnitureLevels(room, thing, things) : [];
  // The top of a console or a nightstand before the shelf under it, a bookcase's shelves before its top.
  const isTop = ({ of, footMm }: Level) => of !== null && footMm >= of.box.topMm - SAME_MM && footMm <= HIGH_TOP_MM;
  return [trays, furniture.filter(isTop), furniture.filter((level) => !isTop(level)), own];
}

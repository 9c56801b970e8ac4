import type { LookPieceRow } from '../../model/rows';
import type { Board } from '../../surface/board';
import { inches } from '../lookChecks/where';
import { identityOf } from './lookCost';
import { ceilingOver, type LookRoom, levelsOf, levelUnder } from './lookRoom';
import type { LookThing, ThingBox } from './lookThing';
import { carriedAlong, type Place, placeOf, restsOn } from './settle';
import { likenessOfThing } from './thingView';
import { gathers } from './trays';

/** Where one more thing is set down, and what is pushed aside for it. */
export interface FreePlace extends Pick<LookPieceRow, 'footMm' | 'onId'> {
  /** The middle of the stretch that it gets, from the left end of the spot. */
  middleMm: number;
  /** From where to where things in that place are deep; null where it is the spot itself. */
  depth: Pick<ThingBox, 'frontMm' | 'backMm'> | null;
  pushed: readonly Place[];
}

/** A stretch of the width, mm. */
type Stretch = Pick<ThingBox, 'leftMm' | 'rightMm'>;

/** A board on which a thing could be set, above the base of the spot, with what stands on it. */
interface Level extends Stretch {
  footMm: number;
  /** The thing that has it; null for the spot's own. */
  of: LookThing | null;
  standing: readonly LookThing[];
  /** What takes room and cannot be pushed aside: the bed. */
  fixed: readonly Stretch[];
}

/** A free stretch of a level. */
interface Gap extends Stretch {
  level: Level;
}

const SLACK_MM = 1;
/** Up to here a thing is set on furniture rather than on the floor beside it; a lamp a little higher (common practice, no source). */
const SMALL_MM = inches(24);
const SMALL_LAMP_MM = inches(32);
const SMALL_POT_MM = inches(14);
/** A top higher than this is above what one looks at. */
const HIGH_TOP_MM = inches(50);
/** Furniture lower than this is no place to set things on. */
const LEAST_FURNITURE_MM = inches(12);
const SAME_MM = 2;
/** Candles want so much between them (figures 10: 3 in). */
const BETWEEN_FLAMES_MM = inches(3.5);

export const isSoft = ({ kinds }: LookThing): boolean =>
  kinds.has('textile') && !kinds.has('rug') && !kinds.has('curtain');
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

/** Whether a thing is one that people set on furniture, not on the floor. */
export function isSmall(thing: LookThing): boolean {
  const { kinds, size, template } = thing;
  // However tall a television is, it stands on its console.
  if (kinds.has('display')) return true;
  if (
    kinds.has('onFloor') ||
    kinds.has('floorPiece') ||
    kinds.has('rug') ||
    kinds.has('seat') ||
    kinds.has('tree') ||
    kinds.has('storage')
  )
    return false;
  return size.heightMm <= (kinds.has('lamp') ? SMALL_LAMP_MM : template?.id === 'planter' ? SMALL_POT_MM : SMALL_MM);
}

/** Whether a thing is furniture that things are set on; so is a shelf on the wall. */
export const isFurniture = (thing: LookThing): boolean =>
  (thing.placement.stance === 'hangs' && thing.template?.id === 'shelf') || standsAsFurniture(thing);

const standsAsFurniture = (thing: LookThing): boolean =>
  restsOn(thing) &&
  thing.size.heightMm >= LEAST_FURNITURE_MM &&
  !thing.kinds.has('seat') &&
  thing.template?.id !== 'screen' &&
  (thing.kinds.has('floorPiece') || likenessOfThing(thing)?.boards !== undefined);

/** Whether a thing is a seat on which cushions lie. */
export const isSeat = (thing: LookThing): boolean => restsOn(thing) && thing.kinds.has('seat');

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
function gapsOn(level: Level): Gap[] {
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

const wide = ({ leftMm, rightMm }: Stretch): number => rightMm - leftMm;
const middleOf = ({ leftMm, rightMm }: Stretch): number => (leftMm + rightMm) / 2;

/**
 * Room made on a level by pushing aside what stands there, as little as that takes; null where there is not enough, where
 * something stands before something else on purpose, or where a bed is in the way.
 */
function pushedAside(
  level: Level,
  thing: LookThing,
  things: readonly LookThing[],
  gapMm: number,
): { middleMm: number; pushed: Place[] } | null {
  const row = [...level.standing].sort((a, b) => a.box.leftMm - b.box.leftMm);
  const own = thing.size.widthMm;
  const free = wide(level) - row.reduce((sum, { size }) => sum + size.widthMm, 0) - own;
  const overlap = row.some(({ box }, n) => n > 0 && box.leftMm < (row[n - 1]?.box.rightMm ?? 0) - SLACK_MM);
  if (row.length === 0 || free < 0 || overlap || level.fixed.length > 0) return null;
  const widest = gapsOn(level).sort((a, b) => wide(b) - wide(a))[0];
  const at = widest ? middleOf(widest) : level.rightMm;
  const air = Math.min(gapMm, free / (row.length + 2));
  const all = [
    ...row
      .filter(({ box }) => middleOf(box) <= at)
      .map((one) => ({ one, width: one.size.widthMm, left: one.box.leftMm })),
    { one: null, width: own, left: at - own / 2 },
    ...row
      .filter(({ box }) => middleOf(box) > at)
      .map((one) => ({ one, width: one.size.widthMm, left: one.box.leftMm })),
  ];
  let edge = level.leftMm;
  for (const entry of all) {
    entry.left = Math.max(entry.left, edge);
    edge = entry.left + entry.width + air;
  }
  edge = level.rightMm;
  for (const entry of [...all].reverse()) {
    entry.left = Math.min(entry.left, edge - entry.width);
    edge = entry.left - air;
  }
  // A pair at the two ends goes on being one.
  const [first, last] = [all[0], all.at(-1)];
  if (first?.one && last?.one && first !== last && isPair(level, first.one, last.one)) {
    const fromEnd = Math.min(first.left - level.leftMm, level.rightMm - last.left - last.width);
    first.left = level.leftMm + fromEnd;
    last.left = level.rightMm - fromEnd - last.width;
  }
  const middleMm = all.flatMap(({ one, left }) => (one === null ? left + own / 2 : []))[0] ?? at;
  const pushed = all.flatMap(({ one, left }) =>
    one === null || Math.abs(left - one.box.leftMm) < SLACK_MM
      ? []
      : carriedAlong(things, one, { ...placeOf(one), xMm: Math.round(left * 10) / 10 }),
  );
  return { middleMm, pushed };
}

/** Whether two things are alike and as far from the middle of their level. */
const isPair = (level: Level, one: LookThing, other: LookThing): boolean =>
  identityOf(one) === identityOf(other) &&
  Math.abs(middleOf(one.box) + middleOf(other.box) - 2 * middleOf(level)) < 2 * SLACK_MM;

/** Whether a stretch of a level is free but for one thing. */
const isFree = (level: Level, but: LookThing, { leftMm, rightMm }: Stretch): boolean =>
  leftMm >= level.leftMm - SLACK_MM &&
  rightMm <= level.rightMm + SLACK_MM &&
  [...level.standing.filter(({ id }) => id !== but.id).map(({ box }) => box), ...level.fixed].every(
    (one) => one.leftMm >= rightMm - SLACK_MM || one.rightMm <= leftMm + SLACK_MM,
  );

/**
 * The place that makes a pair of a thing and the one like it that stands on a level: as far from the middle on the other
 * side; both beside the middle where the first stands in it.
 * @returns null where there is none like it, or more than one, or where that place is taken
 */
function pairOn(
  level: Level,
  thing: LookThing,
  things: readonly LookThing[],
  gapMm: number,
): { level: Level; middleMm: number; pushed: Place[] } | null {
  const [other, third] = level.standing.filter((one) => identityOf(one) === identityOf(thing));
  if (!other || third || Math.abs(other.size.widthMm - thing.size.widthMm) > SLACK_MM) return null;
  const half = thing.size.widthMm / 2;
  const around = (middleMm: number): Stretch => ({ leftMm: middleMm - half, rightMm: middleMm + half });
  const middle = middleOf(level);
  const mirrored = 2 * middle - middleOf(other.box);
  // Lamps and chairs frame what comes between them.
  const frames = thing.kinds.has('lamp') || thing.kinds.has('seat');
  if (Math.abs(mirrored - middle) >= half + gapMm / 2)
    return isFree(level, other, around(mirrored)) ? { level, middleMm: mirrored, pushed: [] } : null;
  const atSixths = wide(level) / 3;
  const aside = frames && atSixths + half <= wide(level) / 2 ? Math.max(half + gapMm / 2, atSixths) : half + gapMm / 2;
  if (!isFree(level, other, { leftMm: middle - aside - half, rightMm: middle + aside + half })) return null;
  const pushed = carriedAlong(things, other, { ...placeOf(other), xMm: Math.round((middle - aside - half) * 10) / 10 });
  return { level, middleMm: middle + aside, pushed };
}

/** So much taller, at least, is what a thing may stand before; so much of its width may be hidden. */
const TALLER = 1.3;
const MOST_HIDDEN = 0.6;

/**
 * A place before taller things where a board is full side by side: where least of them is hidden; those go back to the wall as
 * far as that takes. Null where it is not deep enough, or where all that stands there is as low.
 */
function beforeTaller(
  room: LookRoom,
  levels: readonly Level[],
  thing: LookThing,
  things: readonly LookThing[],
): FreePlace | null {
  const { widthMm, heightMm, depthMm } = thing.size;
  const found = levels.flatMap((level) => {
    const ends = level.of?.box ?? { frontMm: 0, backMm: room.depthMm };
    const standing = level.standing.filter(({ kinds }) => !kinds.has('runner') && !kinds.has('rug'));
    const middles = standing.flatMap(({ box }) => [box.leftMm, middleOf(box), box.rightMm]);
    return middles.flatMap((middleMm) => {
      const own = { leftMm: middleMm - widthMm / 2, rightMm: middleMm + widthMm / 2 };
      const behind = standing.filter(
        ({ box }) => box.leftMm < own.rightMm - SLACK_MM && box.rightMm > own.leftMm + SLACK_MM,
      );
      const fits =
        own.leftMm >= level.leftMm - SLACK_MM &&
        own.rightMm <= level.rightMm + SLACK_MM &&
        behind.every(
          ({ size, box }) =>
            size.heightMm >= heightMm * TALLER &&
            ends.backMm - ends.frontMm >= depthMm + size.depthMm &&
            box.backMm <= ends.backMm + SLACK_MM,
        );
      if (!fits) return [];
      const hidden = Math.max(
        0,
        ...behind.map(({ box }) => (Math.min(box.rightMm, own.rightMm) - Math.max(box.leftMm, own.leftMm)) / wide(box)),
      );
      return hidden > MOST_HIDDEN ? [] : [{ level, ends, middleMm, behind, hidden }];
    });
  });
  const [best] = found.sort((a, b) => a.hidden - b.hidden);
  if (!best) return null;
  const { level, ends, middleMm, behind } = best;
  const backMm = ends.frontMm + depthMm;
  return {
    footMm: level.footMm,
    onId: level.of?.id ?? null,
    middleMm,
    depth: { frontMm: ends.frontMm, backMm },
    pushed: behind.flatMap((one) =>
      one.box.frontMm >= backMm
        ? []
        : carriedAlong(things, one, {
            ...placeOf(one),
            frontMm: Math.round((ends.backMm - one.size.depthMm) * 10) / 10,
          }),
    ),
  };
}

/** Levels in the order in which they come in question: each group before the next is looked at. */
function levelGroups(room: LookRoom, thing: LookThing, things: readonly LookThing[]): Level[][] {
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

/**
 * A place for one more thing in a look that is seen from the front: the widest free stretch where it fits, near the middle
 * of the height where several are as wide, or the place that makes a pair with the one like it. Small things go on furniture, what is soft on the bed, what is heavy on the
 * lowest board. Where nothing is wide enough, what stands there is pushed aside.
 * @param airMm air that two things want between them
 */
export function freePlace(room: LookRoom, thing: LookThing, things: readonly LookThing[], airMm: number): FreePlace {
  // One flame melts what is nearer.
  const gapMm = thing.kinds.has('candle') ? Math.max(airMm, BETWEEN_FLAMES_MM) : airMm;
  const middleUp = room.heightMm / 2;
  const groups = levelGroups(room, thing, things);
  const byWidth = (a: Gap, b: Gap) =>
    wide(b) - wide(a) || Math.abs(a.level.footMm - middleUp) - Math.abs(b.level.footMm - middleUp);
  const placed = ({ footMm, of }: Level, middleMm: number, pushed: readonly Place[] = []): FreePlace => ({
    footMm,
    onId: of?.id ?? null,
    middleMm,
    depth: of ? of.box : null,
    pushed,
  });
  const [ground] = groups.flat().filter(({ footMm, of }) => footMm === 0 && of === null);
  // A mat lies before the door, a rug beneath all that stands there.
  if (ground && thing.kinds.has('rug')) return placed(ground, middleOf(room.doors[0] ?? ground));
  const before = beforeItsSeat(room, thing, things);
  if (before) return before;
  // Cloth that is wider than a seat hangs over its sides.
  const { widthMm } = thing.size;
  const needed = (level: Level) => (isSoft(thing) && level.of ? Math.min(widthMm, wide(level)) : widthMm);
  const freeIn = (some: readonly Level[][]): FreePlace | null => {
    for (const group of some) {
      const pair = group.flatMap((level) => pairOn(level, thing, things, gapMm) ?? [])[0];
      if (pair) return placed(pair.level, pair.middleMm, pair.pushed);
      const gap = group
        .flatMap(gapsOn)
        .filter((one) => wide(one) >= needed(one.level))
        .sort(byWidth)[0];
      if (gap) return placed(gap.level, middleOf(gap));
    }
    return null;
  };
  const squeezedIn = (some: readonly Level[][]): FreePlace | null => {
    for (const group of some)
      for (const level of [...group].sort((a, b) => freeOn(b) - freeOn(a))) {
        const room = pushedAside(level, thing, things, gapMm);
        if (room) return placed(level, room.middleMm, room.pushed);
      }
    return beforeTaller(room, some.flat(), thing, things);
  };
  const isOwn = (group: readonly Level[]) => group.every(({ of }) => of === null);
  const isTray = (group: readonly Level[]) => group.some(({ of }) => of?.kinds.has('tray'));
  const [onThings, own] = [groups.filter((group) => !isOwn(group)), groups.filter(isOwn)];
  const onFurniture = onThings.filter((group) => !isTray(group));
  // What belongs on furniture is squeezed in there before it goes to the floor.
  const place =
    freeIn(onThings) ?? squeezedIn(onFurniture) ?? onItsSeat(onFurniture, thing) ?? freeIn(own) ?? squeezedIn(own);
  if (place) return place;
  // There is no room: it stands before the others, where the check says what is in its way.
  const widest = groups.flat().flatMap(gapsOn).sort(byWidth)[0];
  const level = widest?.level ?? groups.flat()[0];
  const ends = level ?? { leftMm: 0, rightMm: room.widthMm };
  const half = Math.min(thing.size.widthMm, wide(ends)) / 2;
  const middleMm = Math.min(Math.max(ends.leftMm + half, middleOf(widest ?? ends)), ends.rightMm - half);
  const { footMm = 0, of = null } = level ?? {};
  return { footMm, onId: of?.id ?? null, middleMm, depth: { frontMm: 0, backMm: thing.size.depthMm }, pushed: [] };
}

/** A coffee table is so far from its sofa: knees pass (14 to 18 in; common practice, no source). */
const KNEES_MM = inches(16);

/** Before a sofa or a chair, in its middle; null for what has no place there, and where something stands there already. */
function beforeItsSeat(room: LookRoom, thing: LookThing, things: readonly LookThing[]): FreePlace | null {
  if (!room.isOpenToFront || !thing.kinds.has('beforeSeat')) return null;
  if (things.some((one) => one.kinds.has('beforeSeat') && one.placement.onId === null)) return null;
  const [seat] = things
    .filter((one) => isSeat(one) && one.size.heightMm > thing.size.heightMm * TALLER)
    .sort((a, b) => b.size.widthMm - a.size.widthMm);
  if (!seat) return null;
  const backMm = seat.box.frontMm - KNEES_MM;
  return {
    footMm: 0,
    onId: null,
    middleMm: middleOf(seat.box),
    depth: { frontMm: backMm - thing.size.depthMm, backMm },
    pushed: [],
  };
}

/** Cushions and throws lie over each other on a seat. */
function onItsSeat(groups: readonly Level[][], thing: LookThing): FreePlace | null {
  const [seat] = groups.flat().filter(({ of }) => of !== null && isSeat(of));
  if (!seat?.of || !isSoft(thing)) return null;
  const { frontMm } = seat.of.box;
  return {
    footMm: seat.footMm,
    onId: seat.of.id,
    middleMm: middleOf(seat),
    depth: { frontMm, backMm: frontMm + thing.size.depthMm },
    pushed: [],
  };
}

const freeOn = (level: Level): number => wide(level) - level.standing.reduce((sum, { size }) => sum + size.widthMm, 0);

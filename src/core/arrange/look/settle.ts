import type { LookPieceRow, SpotRow } from '../../model/rows';
import { type LookRoom, levelsOf, levelUnder, namedLevels, share } from './lookRoom';
import { boxAt, type LookThing, meets, type ThingBox, thingAt } from './lookThing';
import { heldWithin, thingSpace } from './thingSpace';

/** A piece where it came to rest, as a row keeps it. */
export type Place = Pick<LookPieceRow, 'id' | 'xMm' | 'footMm' | 'frontMm' | 'onId' | 'layer'>;

export const placeOf = ({ placement }: LookThing): Place => {
  const { id, xMm, footMm, frontMm, onId, layer } = placement;
  return { id, xMm, footMm, frontMm, onId, layer };
};

/** Whether a thing is set on something below: hung things are not. */
export const restsOn = ({ placement }: Pick<LookThing, 'placement'>): boolean => placement.stance !== 'hangs';

/** Whether something can be set on a thing: on its top, or on a board within it. */
export const carries = ({ boards }: Pick<LookThing, 'boards'>): boolean => boards.length > 0;

/** Everything that stands on a thing, and on that in turn. */
export function restingOn(things: readonly LookThing[], id: string): LookThing[] {
  const direct = things.filter(({ placement }) => placement.onId === id);
  return direct.flatMap((thing) => [thing, ...restingOn(things, thing.id)]);
}

/** Before a wall things stand so far into the room, past what is drawn of its floor; elsewhere to the front edge, mm. */
const nearestFront = ({ isOpenToFront }: Pick<LookRoom, 'isOpenToFront'>): number =>
  isOpenToFront ? -INTO_ROOM_MM : 0;
const INTO_ROOM_MM = 2400;

/** At least so much of a thing's width must lie over what it stands on: its middle, and a third of it. */
const LEAST_SHARE = 1 / 3;

/** Something that things stand on: a board of the spot, the top of a thing, a board within it. */
interface Support {
  /** The thing that it belongs to; null for the spot's own. */
  of: LookThing | null;
  topMm: number;
  leftMm: number;
  rightMm: number;
  /** Whether it lies within its thing, so that a thing must be put in to stand on it. */
  isInside: boolean;
}

/** What things can stand on, above the base of the spot. */
export function supportsOf(others: readonly LookThing[], { boards }: Pick<LookRoom, 'boards'>): Support[] {
  return [
    ...boards.map((board) => ({ of: null, ...board, isInside: false })),
    ...others.flatMap((of) =>
      of.boards.map(({ topMm, leftMm, rightMm }) => ({
        of,
        topMm: of.box.footMm + topMm,
        leftMm: of.box.leftMm + leftMm,
        rightMm: of.box.leftMm + rightMm,
        isInside: of.boards.length > 1 && topMm < of.size.heightMm,
      })),
    ),
  ];
}

/** So much more than it is wide, and deep, something may be to go into an opening, mm. */
const SQUEEZE_MM = 2;

/** Whether a thing over some stretch would stand on a support without falling off, and goes in where it lies within one. */
function standsOn(box: ThingBox, below: Support): boolean {
  const middle = (box.leftMm + box.rightMm) / 2;
  const wide = box.rightMm - box.leftMm;
  const deep = box.backMm - box.frontMm;
  if (below.isInside && (wide > below.rightMm - below.leftMm + SQUEEZE_MM || deep > depthOf(below) + SQUEEZE_MM))
    return false;
  const width = Math.min(wide, below.rightMm - below.leftMm);
  const common = Math.min(box.rightMm, below.rightMm) - Math.max(box.leftMm, below.leftMm);
  return middle >= below.leftMm && middle <= below.rightMm && common >= width * LEAST_SHARE;
}
const depthOf = ({ of }: Support): number => (of ? of.size.depthMm : Number.POSITIVE_INFINITY);

/** Where something stands: how high, and on which thing; null for the spot itself or a board of it. */
export type Rest = Pick<Place, 'footMm' | 'onId'>;

/** Whether a support is the one that a thing stands on now. */
const isUnder = ({ placement }: LookThing, { of, topMm }: Support): boolean =>
  (of?.id ?? null) === placement.onId && Math.abs(topMm - placement.footMm) < SAME_MM;
const SAME_MM = 0.5;

/**
 * Where something that was let go comes to rest: on the highest board or thing that lies below its foot, else on the spot
 * itself.
 * @param reachMm so far it may be lifted onto something that is a little higher; into an opening it must be lifted itself
 */
export function fallen(
  thing: LookThing,
  wanted: ThingBox,
  others: readonly LookThing[],
  room: Pick<LookRoom, 'boards'>,
  reachMm: number,
): Rest {
  if (!restsOn(thing)) return { footMm: Math.max(0, wanted.footMm), onId: null };
  const reach = (support: Support) => (support.isInside && !isUnder(thing, support) ? 0 : reachMm);
  const below = supportsOf(others, room)
    .filter((support) => support.topMm <= wanted.footMm + reach(support) && standsOn(wanted, support))
    .sort((a, b) => b.topMm - a.topMm)[0];
  return below ? { footMm: below.topMm, onId: below.of?.id ?? null } : { footMm: 0, onId: null };
}

/** A place where something could stand, and as one calls it. */
export interface PlaceToStand extends Rest {
  name: string;
  /** The middle of it, from the left end of the spot. */
  middleMm: number;
}

/** All places where something could stand: the base and the boards of its spot, other things and the boards within them. */
export function placesToStand(
  thing: LookThing,
  things: readonly LookThing[],
  spot: SpotRow,
  room: LookRoom,
): PlaceToStand[] {
  const own = namedLevels(spot).map(({ footMm, name }, n) => {
    const { leftMm, rightMm } = levelsOf(room)[n] ?? { leftMm: 0, rightMm: room.widthMm };
    return { name, onId: null, footMm, middleMm: (leftMm + rightMm) / 2 };
  });
  const along = new Set([thing.id, ...restingOn(things, thing.id).map(({ id }) => id)]);
  const others = things
    .filter((other) => !along.has(other.id))
    .flatMap(({ id, name, box, boards, size }) =>
      boards.map(({ topMm, leftMm, rightMm }, n) => ({
        name: boards.length === 1 ? name : `${name}, ${topMm < size.heightMm ? `board ${n + 1}` : 'on top'}`,
        onId: id,
        footMm: box.footMm + topMm,
        middleMm: box.leftMm + (leftMm + rightMm) / 2,
      })),
    );
  return [...own, ...others];
}

/**
 * Where a thing stands that is lifted, or set down, by one: on the next thing or board over it, or under it, that lies
 * beneath its middle; null where there is none.
 */
export function restBeyond(
  thing: LookThing,
  others: readonly LookThing[],
  room: Pick<LookRoom, 'boards'>,
  way: 'up' | 'down',
): Rest | null {
  const { footMm } = thing.box;
  const far = ({ topMm }: Pick<Support, 'topMm'>) => (way === 'up' ? topMm - footMm : footMm - topMm);
  const base = { of: null, topMm: 0 };
  // On a board it does not go down into what stands there.
  const isTaken = ({ of, topMm }: Pick<Support, 'of' | 'topMm'>) => {
    const at = { ...thing.box, footMm: topMm, topMm: topMm + thing.size.heightMm };
    return of === null && others.some((other) => other.placement.stance === 'stands' && meets(at, other.box));
  };
  const next = [...supportsOf(others, room).filter((support) => standsOn(thing.box, support)), base]
    .filter((support) => far(support) > SAME_MM && !isTaken(support))
    .sort((a, b) => far(a) - far(b))[0];
  return next ? { footMm: next.topMm, onId: next.of?.id ?? null } : null;
}

/** How far a thing's front edge is from that of the spot on what it now stands on: over it, where it was beside it. */
function frontOver(thing: LookThing, { onId }: Rest, others: readonly LookThing[], room: LookRoom): number {
  const { frontMm } = thing.placement;
  const { depthMm } = thing.size;
  const below = others.find(({ id }) => id === onId)?.box;
  const [from, to] = below ? [below.frontMm, below.backMm] : [nearestFront(room), room.depthMm];
  const isOver = share(frontMm, frontMm + depthMm, from, to, Math.min(depthMm, to - from) / 2);
  return isOver ? frontMm : Math.max(0, (from + to - depthMm) / 2);
}

/** Lines that a thing snapped to, for drawing. */
export interface Snapped {
  atX: number | null;
  /** A height above the base, or a distance from the front edge where it is seen from above. */
  atY: number | null;
}

interface Line {
  at: number;
  /** Which of a thing's own lines may meet it. */
  of: 'start' | 'middle' | 'end' | 'any';
}

/** The smallest shift within a reach that brings one of a thing's three lines onto one of the others. */
function nearest(
  start: number,
  size: number,
  lines: readonly Line[],
  reachMm: number,
): { shift: number; at: number | null } {
  const own = { start, middle: start + size / 2, end: start + size };
  let best = reachMm;
  let shift = 0;
  let at: number | null = null;
  for (const line of lines)
    for (const of of ['start', 'middle', 'end'] as const) {
      if (line.of !== 'any' && line.of !== of) continue;
      const distance = Math.abs(line.at - own[of]);
      if (distance < best) {
        best = distance;
        shift = line.at - own[of];
        at = line.at;
      }
    }
  return { shift, at };
}

/** Lines of things and of the spot, along one direction. */
function linesAlong(ends: readonly (readonly [number, number])[], wholeMm: number): Line[] {
  const whole: Line[] = [
    { at: 0, of: 'start' },
    { at: wholeMm / 2, of: 'middle' },
    { at: wholeMm, of: 'end' },
  ];
  return [
    ...whole,
    ...ends.flatMap(([from, to]): Line[] => [
      { at: from, of: 'any' },
      { at: (from + to) / 2, of: 'middle' },
      { at: to, of: 'any' },
    ]),
  ];
}

/** Where a thing that is dragged comes to rest, with the lines that it snapped to. */
export interface Settled extends Snapped {
  place: Place;
}

/** A thing's left edge where it snaps along the spot, held within it; the line that it met, if it stayed on it. */
function snappedAlong(
  wantedMm: number,
  thing: LookThing,
  others: readonly LookThing[],
  room: LookRoom,
  reachMm: number,
): { xMm: number; at: number | null } {
  const lines = linesAlong(
    others.map(({ box }) => [box.leftMm, box.rightMm] as const),
    room.widthMm,
  );
  const { widthMm } = thing.size;
  const { leftMm, rightMm } = thingSpace(thing, room);
  const { shift, at } = nearest(wantedMm, widthMm, lines, reachMm);
  const xMm = heldWithin(wantedMm + shift, widthMm, leftMm, rightMm);
  return { xMm, at: Math.abs(xMm - wantedMm - shift) > 1e-6 ? null : at };
}

/**
 * A thing that is dragged over the front of a spot: it stays within it, snaps to edges and middles, and what does not
 * hang falls onto what is below.
 * @param wanted where the hand has it, mm
 * @param heights further heights at which the middle of what hangs may snap, above the base
 */
export function settledInFront(
  thing: LookThing,
  wanted: { xMm: number; footMm: number },
  others: readonly LookThing[],
  room: LookRoom,
  reachMm: number,
  heights: readonly number[] = [],
): Settled {
  const { heightMm } = thing.size;
  const x = snappedAlong(wanted.xMm, thing, others, room, reachMm);
  const { xMm } = x;
  if (restsOn(thing)) {
    const at = boxAt({ ...thing.placement, xMm, footMm: wanted.footMm }, thing.size);
    const rest = fallen(thing, at, others, room, reachMm);
    const frontMm = frontOver(thing, rest, others, room);
    return { place: { ...placeOf(thing), xMm, frontMm, ...rest }, atX: x.at, atY: null };
  }
  const hung = others.filter((other) => !restsOn(other)).map(({ box }) => [box.footMm, box.topMm] as const);
  const y = nearest(
    wanted.footMm,
    heightMm,
    [...linesAlong(hung, room.heightMm), ...heights.map((at): Line => ({ at, of: 'middle' }))],
    reachMm,
  );
  const space = thingSpace(thing, room);
  const footMm = heldWithin(wanted.footMm + y.shift, heightMm, space.footMm, space.topMm);
  return {
    place: { ...placeOf(thing), xMm, footMm, onId: null },
    atX: x.at,
    atY: Math.abs(footMm - wanted.footMm - y.shift) > 1e-6 ? null : y.at,
  };
}

/**
 * What a thing stands on after it was moved as seen from above: on what it stood before as long as it does, else on the
 * highest thing beneath it on the same board, else on that board.
 */
function restFromAbove(thing: LookThing, at: ThingBox, others: readonly LookThing[], room: LookRoom): Rest {
  const level = levelUnder(room, thing.box);
  const under = supportsOf(
    others.filter(({ box }) => levelUnder(room, box) === level),
    { boards: [] },
  ).filter(
    (support) =>
      standsOn(at, support) &&
      support.of !== null &&
      share(at.frontMm, at.backMm, support.of.box.frontMm, support.of.box.backMm, thing.size.depthMm / 3),
  );
  const own = under.find((support) => isUnder(thing, support));
  // What hangs on the wall is over it, however it is moved along the floor.
  const below =
    own ??
    under.filter(({ of, isInside }) => !isInside && of !== null && restsOn(of)).sort((a, b) => b.topMm - a.topMm)[0];
  return below ? { footMm: below.topMm, onId: below.of?.id ?? null } : { footMm: level, onId: null };
}

/** The same for a thing that is dragged over a spot seen from above; on a tray or a board it stands on it. */
export function settledAbove(
  thing: LookThing,
  wanted: { xMm: number; frontMm: number },
  others: readonly LookThing[],
  room: LookRoom,
  reachMm: number,
): Settled {
  const { depthMm } = thing.size;
  const boxes = others.map(({ box }) => box);
  const y = nearest(
    wanted.frontMm,
    depthMm,
    linesAlong(
      boxes.map(({ frontMm, backMm }) => [frontMm, backMm] as const),
      room.depthMm,
    ),
    reachMm,
  );
  const x = snappedAlong(wanted.xMm, thing, others, room, reachMm);
  const { xMm } = x;
  const frontMm = heldWithin(wanted.frontMm + y.shift, depthMm, nearestFront(room), room.depthMm);
  const at = boxAt({ ...thing.placement, xMm, frontMm }, thing.size);
  const rest = restsOn(thing) ? restFromAbove(thing, at, others, room) : { footMm: thing.placement.footMm, onId: null };
  return { place: { ...placeOf(thing), xMm, frontMm, ...rest }, atX: x.at, atY: y.at };
}

/** The places of a thing that moves and of all that stands on it, which goes along. */
export function carriedAlong(things: readonly LookThing[], moved: LookThing, place: Place): Place[] {
  const by = {
    x: place.xMm - moved.placement.xMm,
    foot: place.footMm - moved.placement.footMm,
    front: place.frontMm - moved.placement.frontMm,
  };
  return [
    place,
    ...restingOn(things, moved.id).map((thing) => {
      const own = placeOf(thing);
      return { ...own, xMm: own.xMm + by.x, footMm: own.footMm + by.foot, frontMm: own.frontMm + by.front };
    }),
  ];
}

/** Things with some of them somewhere else, and in the order of their layers. */
export function withPlaces(things: readonly LookThing[], places: readonly Place[]): LookThing[] {
  const byId = new Map(places.map((place) => [place.id, place]));
  return things.map((thing) => {
    const place = byId.get(thing.id);
    return place ? thingAt(thing, place) : thing;
  });
}

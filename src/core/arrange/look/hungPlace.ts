import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, SpotRow } from '../../model/rows';
import { type Below, furnitureBelow } from '../lookChecks/furnitureBelow';
import { gaps } from '../lookChecks/gapOver';
import { inches } from '../lookChecks/where';
import { type LookRoom, lookRoom } from './lookRoom';
import { boxAt, type LookThing, meets } from './lookThing';
import { nearestFree } from './nearestFree';
import { clamp, round, usualFoot } from './startingLook';

/** Where something hangs. */
type OnWall = Pick<LookPieceRow, 'xMm' | 'footMm'>;

const hangs = ({ placement }: LookThing): boolean => placement.stance === 'hangs';
const faceOf = ({ box }: LookThing) => ({ left: box.leftMm, right: box.rightMm, low: box.footMm, high: box.topMm });

/**
 * Where a new thing hangs: a stocking from the edge of its mantel, a curtain beside its window, a wreath on its door; anything
 * else over what is below it, beside what hangs there already.
 */
export function hungPlace(
  spot: SpotRow,
  thing: LookThing,
  things: readonly LookThing[],
): OnWall & Partial<Pick<LookPieceRow, 'frontMm'>> {
  const room = lookRoom(spot);
  const { kinds } = thing;
  if (kinds.has('stocking') && room.baseMm > 0) return stockingPlace(room, thing, things);
  if (kinds.has('curtain') && room.beyondMm > 0) return curtainPlace(room, thing, things);
  const door = kinds.has('wreath') ? room.doors[0] : undefined;
  return (door && onDoor(room, door, thing, things)) ?? onWall(spot, room, thing, things);
}

/** Frames that hang beside each other keep so much between them (figures 8). */
const BETWEEN_FRAMES_MM = inches(2.5);

/** Hooks for coats hang so high above the floor (60 to 66 in; common practice, no source). */
const HOOKS_MM = inches(62);
/** The middle of a mirror shows faces from here up (figures 8). */
const LOWEST_FACE_MM = inches(57);

/** How high a thing hangs over furniture: by the usual gap; a mirror within the gap where it shows faces, hooks for coats. */
function footOver(below: Below, { kinds, size }: LookThing, room: LookRoom): number {
  const { usual, most } = gaps[below.kind];
  if (kinds.has('hooks')) return Math.max(below.topMm + usual, HOOKS_MM - room.baseMm);
  const faces = kinds.has('mirror') ? LOWEST_FACE_MM - room.baseMm - size.heightMm / 2 - below.topMm : usual;
  return below.topMm + Math.min(Math.max(usual, faces), most);
}

/** Over what is below it, beside what hangs there already; else in the middle of the wall. */
function onWall(spot: SpotRow, room: LookRoom, thing: LookThing, things: readonly LookThing[]): OnWall {
  const { widthMm, heightMm } = thing.size;
  const most = room.widthMm - widthMm;
  const facts = { kind: spotKindOf(spot.kind), room, spot, isAbove: false, things };
  const isHooks = thing.kinds.has('hooks');
  const at = (xMm: number): OnWall => {
    const below = furnitureBelow(facts, { leftMm: xMm, rightMm: xMm + widthMm, footMm: room.heightMm });
    const alone = isHooks ? HOOKS_MM - room.baseMm : usualFoot(spot, thing);
    const over = below && thing.template?.id !== 'shelf' ? footOver(below, thing, room) : alone;
    const foot = Math.max(0, clamp(over, room.heightMm - heightMm));
    return { xMm: round(clamp(xMm, most)), footMm: round(foot) };
  };
  // What stands on a shelf on the wall takes a place of that wall.
  const isOnWall = (one: LookThing): boolean => {
    const below = things.find(({ id }) => id === one.placement.onId);
    return hangs(one) || (below !== undefined && isOnWall(below));
  };
  const hung = things.filter(isOnWall);
  const isFree = ({ xMm, footMm }: OnWall) =>
    xMm >= 0 &&
    xMm <= most + 0.1 &&
    !hung.some(({ box }) =>
      meets({ ...boxAt({ xMm, footMm, frontMm: 0 }, thing.size), frontMm: box.frontMm, backMm: box.backMm }, box),
    );
  const middle = at(most / 2);
  const inRow = ({ box }: LookThing) =>
    [box.rightMm + BETWEEN_FRAMES_MM, box.leftMm - BETWEEN_FRAMES_MM - widthMm].map((xMm) => {
      const { footMm } = at(xMm);
      // Beside each other their middles are level, as far as what is below lets them.
      const level = (box.footMm + box.topMm - heightMm) / 2;
      return { xMm, footMm: isHooks ? footMm : round(clamp(Math.max(footMm, level), room.heightMm - heightMm)) };
    });
  const beside = hung
    .filter(hangs)
    .flatMap(inRow)
    .filter(({ xMm }) => xMm >= 0 && xMm <= most)
    .sort((a, b) => Math.abs(a.xMm - most / 2) - Math.abs(b.xMm - most / 2) || b.xMm - a.xMm)
    .map((place) => ({ ...place, xMm: round(place.xMm) }));
  return [middle, ...beside].find(isFree) ?? inNextRow(room, thing, things, middle) ?? middle;
}

/** The middle of a wreath on a door is at the eyes (common practice, no source). */
const WREATH_MM = inches(60);

/** On the middle of a door, above or below what hangs there already; null where there is no room on it. */
function onDoor(
  room: LookRoom,
  door: LookRoom['doors'][number],
  { size: { widthMm, heightMm } }: LookThing,
  things: readonly LookThing[],
): OnWall | null {
  const wanted = { x: (door.leftMm + door.rightMm - widthMm) / 2, y: WREATH_MM - room.baseMm - heightMm / 2 };
  const at = nearestFree({
    within: { left: wanted.x, right: wanted.x + widthMm, low: 0, high: room.heightMm },
    wide: widthMm,
    tall: heightMm,
    taken: things.filter(hangs).map(faceOf),
    wanted,
  });
  return at && { xMm: round(at.x), footMm: round(Math.max(0, at.y)) };
}

/**
 * A place above or below what hangs there already, where its row is full: the nearest to where it would hang alone.
 * Nothing hangs behind what stands.
 */
function inNextRow(
  room: LookRoom,
  { size: { widthMm, heightMm } }: LookThing,
  things: readonly LookThing[],
  wanted: OnWall,
): OnWall | null {
  const at = nearestFree({
    within: { left: 0, right: room.widthMm, low: 0, high: room.heightMm },
    wide: widthMm,
    tall: heightMm,
    taken: things.map(faceOf),
    wanted: { x: wanted.xMm, y: wanted.footMm },
    beside: things.filter(hangs).map(faceOf),
    gap: BETWEEN_FRAMES_MM,
  });
  return at && { xMm: round(clamp(at.x, room.widthMm - widthMm)), footMm: round(Math.max(0, at.y)) };
}

/** Stockings hang from the front edge of a mantel, beside each other around its middle. */
function stockingPlace(
  { widthMm, baseMm }: LookRoom,
  { size }: LookThing,
  things: readonly LookThing[],
): Pick<LookPieceRow, 'xMm' | 'footMm' | 'frontMm'> {
  const footMm = round(Math.max(-baseMm, -size.heightMm));
  const hung = things.filter((one) => one.kinds.has('stocking') && hangs(one));
  const rightMost = Math.max(...hung.map(({ box }) => box.rightMm));
  const leftMost = Math.min(...hung.map(({ box }) => box.leftMm));
  const middle = (widthMm - size.widthMm) / 2;
  const beside = hung.length % 2 === 1 ? rightMost + STOCKING_GAP_MM : leftMost - STOCKING_GAP_MM - size.widthMm;
  return { xMm: round(clamp(hung.length === 0 ? middle : beside, widthMm - size.widthMm)), footMm, frontMm: 0 };
}
const STOCKING_GAP_MM = inches(2);

/** A curtain begins so far over the frame of its window and reaches so far beyond its side (figures 8). */
const OVER_FRAME_MM = inches(5);
const BESIDE_FRAME_MM = inches(8);

/** Where a curtain hangs at a window: beyond its left side, or its right where one hangs there; no lower than the floor. */
function curtainPlace(
  { widthMm, heightMm, baseMm, beyondMm }: LookRoom,
  { size }: LookThing,
  things: readonly LookThing[],
): OnWall {
  const by = Math.min(beyondMm, BESIDE_FRAME_MM);
  const isTaken = things.some(
    (one) => one.kinds.has('curtain') && hangs(one) && (one.box.leftMm + one.box.rightMm) / 2 < widthMm / 2,
  );
  return {
    xMm: round(isTaken ? widthMm + by - size.widthMm : -by),
    footMm: round(Math.max(-baseMm, heightMm + OVER_FRAME_MM - size.heightMm)),
  };
}

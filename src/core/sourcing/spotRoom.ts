import { clearHeightMm } from '../catalog/spotBoards';
import { spotFeatures } from '../catalog/spotFeatures.data';
import type { SpotKind } from '../catalog/spotKind';
import { spotKindOf } from '../catalog/spotKinds';
import type { SlotRow, SpotRow } from '../model/rows';
import { emptyRectangles, type PlacedRectangle } from '../surface/emptyRectangles';

/** What a thing takes up, mm; null for what nobody measured, or it does not have. */
export interface ThingSize {
  width: number | null;
  depth: number | null;
  height: number | null;
}
export type Direction = keyof ThingSize;
export const directions = ['width', 'depth', 'height'] as const satisfies readonly Direction[];

/** One clear space of a spot, mm: no obstacle reaches into it. Infinite where nobody measured. */
type ClearSpace = Record<Direction, number>;

/** What is free in a spot: in a drawer beside its screw and slides, on a shelf between two boards, on a wall beside the door. */
export interface SpotRoom {
  clear: readonly ClearSpace[];
  /** What would be clear if nothing stood in the way. */
  bare: ClearSpace;
  /** What stands in the way, by name. */
  obstacles: readonly string[];
  /** Whether a thing may be turned by a quarter: seen from above, a box lies either way. */
  turns: boolean;
}

/** Whether a thing goes into a spot. */
export interface RoomFit {
  goes: boolean;
  /** Room that is left in each direction that is measured on both sides; negative where the thing is too large. */
  spare: { direction: Direction; byMm: number }[];
  /** Whether only the obstacles are in the way. */
  blocked: boolean;
}

/** A measure may be off by so much: half of what a tape shows. */
const TAPE_MM = 0.5;

/** What reaches into a spot: what was marked in its sketch, and what its kind has, like the screw of a drawer's knob. */
function obstaclesOf(kind: SpotKind, spot: SpotRow): (PlacedRectangle & { name: string })[] {
  const marked = spot.features
    // A socket is no thickness: what stands before it hides it, and the sketch says so.
    .filter((feature) => spotFeatures[feature.kind].takesRoom)
    .map((feature) => ({ ...feature, name: feature.name || spotFeatures[feature.kind].called }));
  return [...marked, ...(kind.intrusions?.(spot) ?? [])];
}

/**
 * What is free in a spot; null where nobody has measured it. What was not measured has no end.
 * In the sketch y goes up from the base, or away from the front edge where the spot is seen from above.
 */
export function spotRoom(spot: SpotRow): SpotRoom | null {
  const kind = spotKindOf(spot.kind);
  const of = (mm: number | null, asked: string | null) => (asked === null ? null : mm);
  const size = {
    width: of(spot.widthMm, kind.asks.width) ?? Number.POSITIVE_INFINITY,
    depth: of(spot.depthMm, kind.asks.depth) ?? Number.POSITIVE_INFINITY,
    height: Math.min(
      of(spot.heightMm, kind.asks.height) ?? Number.POSITIVE_INFINITY,
      clearHeightMm(spot) ?? Number.POSITIVE_INFINITY,
    ),
  };
  if (directions.every((direction) => size[direction] === Number.POSITIVE_INFINITY)) return null;
  const isAbove = kind.view === 'plan';
  const upward = isAbove ? size.depth : (of(spot.heightMm, kind.asks.height) ?? Number.POSITIVE_INFINITY);
  const obstacles = obstaclesOf(kind, spot);
  const clear = emptyRectangles({ widthMm: size.width, heightMm: upward }, obstacles).map(
    ({ widthMm, heightMm }): ClearSpace =>
      isAbove
        ? { width: widthMm, depth: heightMm, height: size.height }
        : { width: widthMm, depth: size.depth, height: Math.min(heightMm, size.height) },
  );
  return { clear, bare: size, obstacles: obstacles.map(({ name }) => name), turns: isAbove };
}

/** The room for what a slot takes; null where the spot is not measured, or the slot lies below what is sketched. */
export function roomOfSlot(slot: SlotRow, spots: readonly SpotRow[]): SpotRoom | null {
  const spot = spots.find(({ id }) => id === slot.spotId);
  return spot === undefined || (slot.box !== null && slot.box.yMm < 0) ? null : spotRoom(spot);
}

function spareIn(space: ClearSpace, size: ThingSize): RoomFit['spare'] {
  return directions.flatMap((direction) => {
    const [room, value] = [space[direction], size[direction]];
    return value === null || room === Number.POSITIVE_INFINITY ? [] : [{ direction, byMm: room - value }];
  });
}

const least = (spare: RoomFit['spare']) => Math.min(...spare.map(({ byMm }) => byMm));

/** Where a thing goes in best: the clear space, and the way round, that leaves the most in its tightest direction. */
function bestSpare(spaces: readonly ClearSpace[], size: ThingSize, turns: boolean): RoomFit['spare'] | null {
  const turned = { ...size, width: size.depth, depth: size.width };
  const canTurn = turns && size.width !== null && size.depth !== null;
  let best: RoomFit['spare'] | null = null;
  for (const space of spaces)
    for (const side of canTurn ? [size, turned] : [size]) {
      const spare = spareIn(space, side);
      if (best === null || least(spare) > least(best)) best = spare;
    }
  return best;
}

/** Whether it is no larger than the space, as far as both are measured. */
const isWithin = (space: ClearSpace, width: number | null, depth: number | null, height: number | null): boolean =>
  (width ?? 0) <= space.width + TAPE_MM &&
  (depth ?? 0) <= space.depth + TAPE_MM &&
  (height ?? 0) <= space.height + TAPE_MM;

/** Whether a thing goes into a room, as `fitInRoom` says it; plain numbers, for thousands at once. */
export function goesInRoom({ clear, turns }: SpotRoom, { width, depth, height }: ThingSize): boolean {
  const canTurn = turns && width !== null && depth !== null;
  for (const space of clear)
    if (isWithin(space, width, depth, height) || (canTurn && isWithin(space, depth, width, height))) return true;
  return false;
}

/**
 * Whether a thing goes into a room clear of what stands in it, upright, turned by a quarter where that is no matter, and by
 * how much. What is not measured is no hindrance.
 */
export function fitInRoom(room: SpotRoom, size: ThingSize): RoomFit {
  const spare = bestSpare(room.clear, size, room.turns);
  const bare = bestSpare([room.bare], size, room.turns) ?? [];
  if (spare !== null && least(spare) >= -TAPE_MM) return { goes: true, spare, blocked: false };
  const blocked = least(bare) >= -TAPE_MM;
  // Told is what is too large: beside the obstacles where they are what is in the way.
  return { goes: false, spare: blocked && spare !== null ? spare : bare, blocked };
}

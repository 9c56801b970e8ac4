import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, LookRow, SpotRow, Stance } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import { inches } from '../lookChecks/where';
import { floorShown, furnitureOf, isFurnitureItself, isTopOfFurniture, standsOnFloor } from './floorShown';
import { type FreePlace, freePlace } from './freePlace';
import { hungPlace } from './hungPlace';
import { isSeenFromAbove, type LookRoom, levelUnder, lookRoom } from './lookRoom';
import { boxAt, type LookThing, meets, thingAt } from './lookThing';
import { behindFirst, lookThing } from './lookThings';
import { newPlacement } from './newLook';
import { type Place, placeOf, restsOn, withPlaces } from './settle';
import { clamp, frontFor, layerOf, round, stanceOf } from './startingLook';
import { placeOnTable } from './tablePlace';
import type { ThingKind } from './thingKinds.data';
import { isFurniture, isSeat, isSmall, isSoft } from './whereItBelongs';

/** What is put into a look, and what is pushed aside for it. */
export interface Added {
  rows: LookPieceRow[];
  places: Place[];
  /** Where a spot that was the top of furniture must show its floor for it: that furniture, for each look of the spot. */
  floor?: { spotId: string; carriers: LookPieceRow[] };
}

/** One thing that is put in, and what is pushed aside for it. */
type AddedOne = { row: LookPieceRow; pushed: readonly Place[] };

/** Whether a spot is nothing but a piece of wall, above the floor: nothing stands there. */
function isWallOnly(spot: SpotRow): boolean {
  const { view, asks, baseHeightMm } = spotKindOf(spot.kind);
  return view === 'elevation' && asks.depth === null && baseHeightMm > 0;
}

/** A framed photo larger than this hangs (common practice, no source). */
const SMALL_PHOTO_MM = inches(13);
const standsByItself = ({ kinds, size }: LookThing): boolean =>
  kinds.has('standsUp') && (!kinds.has('art') || Math.max(size.widthMm, size.heightMm) <= SMALL_PHOTO_MM);

/** How a new thing is held up, and as it then stands: hung, leaning, lying; a runner along its table. */
function asItStands(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  of: Partial<LookPieceRow>,
  newId: () => string,
): LookThing {
  const room = lookRoom(spot);
  const isAbove = isSeenFromAbove(spot);
  const first = lookThing(plan, spot, newPlacement(newId(), look.id, of));
  // On shelves a frame leans; there is no wall to hang it on.
  const hangs =
    room.hasWall &&
    !first.kinds.has('onFloor') &&
    !standsByItself(first) &&
    (first.template?.traits.includes('hangs') === true ||
      first.kinds.has('mirror') ||
      first.kinds.has('hung') ||
      first.kinds.has('stocking') ||
      first.kinds.has('stringLights') ||
      (isWallOnly(spot) && !first.kinds.has('garland')));
  // On a table a plate lies; it is only on a wall or a ledge that it shows its face.
  const lies = isAbove && first.template?.plan === 'flat';
  const leans = room.hasWall && first.kinds.has('onFloor') && first.kinds.has('mirror');
  const stance: Stance =
    of.stance ??
    (hangs ? 'hangs' : lies ? 'lies' : leans ? 'leans' : standsByItself(first) ? 'stands' : stanceOf(first, false));
  // A garland drapes: however long it is, it is no wider than what it hangs along.
  const drapes = !isAbove && first.kinds.has('garland') && first.size.widthMm > room.widthMm;
  const draped = drapes ? { size: { ...first.size, widthMm: room.widthMm } } : {};
  const turned = isAbove && first.size.depthMm > first.size.widthMm && first.size.depthMm > room.depthMm;
  return lookThing(plan, spot, { ...first.placement, stance, turned, ...draped });
}

/**
 * One more thing for a look that is there already: set down where there is room for it, or hung over the middle.
 * @param of the slot, the piece of the house or the description that it is
 */
function addedTo(spot: SpotRow, things: readonly LookThing[], thing: LookThing, count = 1): AddedOne {
  const room = lookRoom(spot);
  const { stance } = thing.placement;
  const inFront = Math.max(
    layerOf(stance, 0),
    ...things.filter((one) => one.placement.stance === stance).map((one) => one.placement.layer + 1),
  );
  const row = { ...thing.placement, frontMm: frontFor(spot, stance, thing.size.depthMm), layer: inFront };
  if (isSeenFromAbove(spot)) return { row: { ...row, ...placeOnTable(spot, thing, things, count) }, pushed: [] };
  if (stance === 'hangs') return { row: { ...row, ...hungPlace(spot, thing, things) }, pushed: [] };
  const under = withWhatBelongsOn(spot, things, thing, count);
  if (under) return under;
  const free = freePlace(room, thing, things, airOf(spot));
  return { row: { ...row, ...standingAt(free, room, thing, row.frontMm) }, pushed: free.pushed };
}

/** Where a thing stands in a place that is free for it. @param frontMm how far from the front edge where the place is the spot itself */
function standingAt(
  { middleMm, footMm, onId, depth }: FreePlace,
  room: LookRoom,
  { size: { widthMm, depthMm } }: LookThing,
  frontMm: number,
): Pick<LookPieceRow, 'xMm' | 'footMm' | 'frontMm' | 'onId'> {
  const within = depth ? (depth.frontMm + depth.backMm - depthMm) / 2 : frontMm;
  return {
    xMm: round(clamp(middleMm - widthMm / 2, room.widthMm - widthMm)),
    footMm: round(footMm),
    frontMm: round(room.isOpenToFront ? within : Math.max(0, within)),
    onId,
  };
}

/** What stood on the floor only because there was nothing for it: a television before its console came. */
const BELONGS_ON: readonly ThingKind[] = [
  'display',
  'lamp',
  'vase',
  'candle',
  'books',
  'tray',
  'tableware',
  'fruit',
  'small',
];

/** Furniture that is put in takes onto it what belongs there and stood on the floor; null where nothing did. */
function withWhatBelongsOn(
  spot: SpotRow,
  things: readonly LookThing[],
  thing: LookThing,
  count: number,
): AddedOne | null {
  const room = lookRoom(spot);
  const [carries, seats] = [isFurniture(thing), isSeat(thing)];
  if (room.baseMm !== 0 || !room.hasWall || !(carries || seats)) return null;
  const goesOn = (one: LookThing) =>
    restsOn(one) &&
    one.placement.onId === null &&
    levelUnder(room, one.box) === 0 &&
    !things.some(({ placement }) => placement.onId === one.id) &&
    (carries ? isSmall(one) && BELONGS_ON.some((kind) => one.kinds.has(kind)) : isSoft(one));
  const loose = things.filter(goesOn);
  if (loose.length === 0) return null;
  const rest = things.filter((one) => !loose.includes(one));
  const { row, pushed } = addedTo(spot, rest, thing, count);
  let there = [...withPlaces(rest, pushed), thingAt(thing, row)];
  const moved: Place[] = [];
  for (const one of loose) {
    const free = freePlace(room, one, there, airOf(spot));
    const place = {
      ...placeOf(one),
      ...standingAt(free, room, one, one.placement.frontMm),
      layer: Math.max(one.placement.layer, row.layer + 1),
    };
    there = [...withPlaces(there, free.pushed), thingAt(one, place)];
    moved.push(place, ...free.pushed);
  }
  return { row, pushed: [...pushed, ...moved] };
}

/** From so many on, things alike are set down as a group. */
const LEAST_GROUP = 3;

/** Several alike as one group side by side, where there is room for all of them; null where they are no group. */
function groupOf(spot: SpotRow, things: readonly LookThing[], all: readonly LookThing[]): AddedOne[] | null {
  const [first] = all;
  if (!first || all.length < LEAST_GROUP || isSeenFromAbove(spot) || !restsOn(first)) return null;
  const gapMm = airOf(spot);
  const { widthMm } = first.size;
  const widthOfAll = all.length * widthMm + (all.length - 1) * gapMm;
  const room = lookRoom(spot);
  if (widthOfAll > room.widthMm) return null;
  const size = { ...first.size, widthMm: widthOfAll };
  const whole = { ...first, size, box: boxAt(first.placement, size) };
  const { row, pushed } = addedTo(spot, things, whole);
  const isTaken = things.some(
    ({ box, placement }) =>
      placement.stance !== 'hangs' && meets(boxAt(row, size), box) && !pushed.some(({ id }) => id === placement.id),
  );
  if (isTaken) return null;
  return all.map(({ placement }, n) => ({
    row: {
      ...row,
      id: placement.id,
      size: placement.size,
      xMm: round(row.xMm + n * (widthMm + gapMm)),
      layer: row.layer + n,
    },
    pushed: n === 0 ? pushed : [],
  }));
}

/** Air between two things where the spot says nothing: a finger. */
const GAP_MM = inches(0.5);
const airOf = ({ gapMm }: SpotRow): number => gapMm ?? GAP_MM;

/**
 * So many alike put into a look that is there already, one after the other, each where there is room for it.
 * @param of the slot, the piece of the house or the description that they are
 */
export function allAdded(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  things: readonly LookThing[],
  of: Partial<LookPieceRow>,
  count: number,
  newId: () => string,
): Added {
  const first = asItStands(plan, look, spot, of, newId);
  if (isTopOfFurniture(spot) && standsOnFloor(first)) return addedOnFloor(plan, look, spot, first, of, count, newId);
  let there = things;
  const newIds = new Set<string>();
  const put = ({ row, pushed }: AddedOne) => {
    newIds.add(row.id);
    there = [...withPlaces(there, pushed), lookThing(plan, spot, row)];
  };
  const all = Array.from({ length: count }, (_, n) => (n === 0 ? first : asItStands(plan, look, spot, of, newId)));
  const group = groupOf(spot, there, all);
  if (group) for (const one of group) put(one);
  else for (const thing of all) put(addedTo(spot, there, thing, count));
  const before = new Map(things.map(({ id, placement }) => [id, placement]));
  return {
    rows: there.filter(({ id }) => newIds.has(id)).map(({ placement }) => placement),
    places: there.filter(({ id, placement }) => !newIds.has(id) && before.get(id) !== placement).map(placeOf),
  };
}

/**
 * Something that stands on the floor, put into a look of a top: the spot shows its floor first. The very furniture whose
 * top it is takes the place of what was only supposed.
 */
function addedOnFloor(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  first: LookThing,
  of: Partial<LookPieceRow>,
  count: number,
  newId: () => string,
): Added {
  const { rows } = plan;
  const isItself = isFurnitureItself(spot, first);
  const carriers = rows.looks
    .filter(({ spotId }) => spotId === spot.id)
    .map((one): LookPieceRow => {
      const supposed = furnitureOf(spot, one, newId());
      if (!isItself || one.id !== look.id) return supposed;
      const { widthMm, depthMm } = first.size;
      const middleMm = supposed.xMm + (supposed.size?.widthMm ?? 0) / 2;
      const backMm = supposed.frontMm + (supposed.size?.depthMm ?? 0);
      return {
        ...first.placement,
        xMm: round(middleMm - widthMm / 2),
        footMm: 0,
        frontMm: round(backMm - depthMm),
        size: first.size,
        layer: supposed.layer,
      };
    });
  const shown = floorShown(rows, spot, carriers);
  const floor = { spotId: spot.id, carriers };
  const left = isItself ? count - 1 : count;
  if (left === 0) return { rows: [], places: [], floor };
  const there = behindFirst([...carriers, ...shown.lookPieces].filter(({ lookId }) => lookId === look.id)).map(
    (piece) => lookThing(plan, shown.spot, piece),
  );
  return { ...allAdded(plan, look, shown.spot, there, of, left, newId), floor };
}

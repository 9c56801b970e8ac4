import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, LookRow, SpotRow, Stance } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import { type Below, furnitureBelow } from '../lookChecks/furnitureBelow';
import { gaps } from '../lookChecks/gapOver';
import { inches } from '../lookChecks/where';
import { floorShown, furnitureOf, isFurnitureItself, isTopOfFurniture, standsOnFloor } from './floorShown';
import { freePlace, isFurniture, isSeat, isSmall, isSoft } from './freePlace';
import { isSeenFromAbove, type LookRoom, levelUnder, lookRoom } from './lookRoom';
import { boxAt, type LookThing, meets, thingAt } from './lookThing';
import { behindFirst, lookThing } from './lookThings';
import { nearestFree } from './nearestFree';
import { newPlacement } from './newLook';
import { type Place, placeOf, restsOn, withPlaces } from './settle';
import { clamp, frontFor, layerOf, round, stanceOf, usualFoot } from './startingLook';
import { placeOnTable } from './tablePlace';
import type { ThingKind } from './thingKinds.data';

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
  const { widthMm, depthMm } = thing.size;
  const inFront = Math.max(
    layerOf(stance, 0),
    ...things.filter((one) => one.placement.stance === stance).map((one) => one.placement.layer + 1),
  );
  const row = { ...thing.placement, frontMm: frontFor(spot, stance, depthMm), layer: inFront };
  const leftAt = (middleMm: number) => round(clamp(middleMm - widthMm / 2, room.widthMm - widthMm));
  if (isSeenFromAbove(spot)) return { row: { ...row, ...placeOnTable(spot, thing, things, count) }, pushed: [] };
  if (stance === 'hangs' && thing.kinds.has('stocking') && room.baseMm > 0)
    return { row: { ...row, ...stockingPlace(room, thing, things) }, pushed: [] };
  if (stance === 'hangs' && thing.kinds.has('curtain') && room.beyondMm > 0)
    return { row: { ...row, ...curtainPlace(room, thing, things) }, pushed: [] };
  if (stance === 'hangs') return { row: { ...row, ...hungPlace(spot, thing, things) }, pushed: [] };
  const under = withWhatBelongsOn(spot, things, thing, count);
  if (under) return under;
  const { middleMm, footMm, onId, depth, pushed } = freePlace(room, thing, things, spot.gapMm ?? GAP_MM);
  const within = depth ? (depth.frontMm + depth.backMm - depthMm) / 2 : row.frontMm;
  const frontMm = round(room.isOpenToFront ? within : Math.max(0, within));
  return { row: { ...row, xMm: leftAt(middleMm), footMm: round(footMm), frontMm, onId }, pushed };
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
    const at = freePlace(room, one, there, spot.gapMm ?? GAP_MM);
    const { size } = one;
    const place = {
      ...placeOf(one),
      xMm: round(clamp(at.middleMm - size.widthMm / 2, room.widthMm - size.widthMm)),
      footMm: round(at.footMm),
      frontMm: at.depth
        ? round(Math.max(0, (at.depth.frontMm + at.depth.backMm - size.depthMm) / 2))
        : one.placement.frontMm,
      onId: at.onId,
      layer: Math.max(one.placement.layer, row.layer + 1),
    };
    there = [...withPlaces(there, at.pushed), thingAt(one, place)];
    moved.push(place, ...at.pushed);
  }
  return { row, pushed: [...pushed, ...moved] };
}

/** From so many on, things alike are set down as a group. */
const LEAST_GROUP = 3;

/** Several alike as one group side by side, where there is room for all of them; null where they are no group. */
function groupOf(spot: SpotRow, things: readonly LookThing[], all: readonly LookThing[]): AddedOne[] | null {
  const [first] = all;
  if (!first || all.length < LEAST_GROUP || isSeenFromAbove(spot) || !restsOn(first)) return null;
  const gapMm = spot.gapMm ?? GAP_MM;
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

/** Where a thing hangs: over what is below it, beside what hangs there already; else in the middle. */
function hungPlace(
  spot: SpotRow,
  thing: LookThing,
  things: readonly LookThing[],
): Pick<LookPieceRow, 'xMm' | 'footMm'> {
  const room = lookRoom(spot);
  const { widthMm, heightMm } = thing.size;
  const most = room.widthMm - widthMm;
  const facts = { kind: spotKindOf(spot.kind), room, spot, isAbove: false, things };
  const isHooks = thing.kinds.has('hooks');
  const at = (xMm: number): Pick<LookPieceRow, 'xMm' | 'footMm'> => {
    const below = furnitureBelow(facts, { leftMm: xMm, rightMm: xMm + widthMm, footMm: room.heightMm });
    const hooks = isHooks ? HOOKS_MM - room.baseMm : null;
    const over = below && thing.template?.id !== 'shelf' ? footOver(below, thing, room) : hooks;
    const foot = Math.max(0, clamp(over ?? usualFoot(spot, thing), room.heightMm - heightMm));
    return { xMm: round(clamp(xMm, most)), footMm: round(foot) };
  };
  const hangs = ({ placement }: LookThing): boolean => placement.stance === 'hangs';
  // What stands on a shelf on the wall takes a place of that wall.
  const isOnWall = (one: LookThing): boolean => {
    const below = things.find(({ id }) => id === one.placement.onId);
    return hangs(one) || (below !== undefined && isOnWall(below));
  };
  const hung = things.filter(isOnWall);
  const isFree = ({ xMm, footMm }: Pick<LookPieceRow, 'xMm' | 'footMm'>) =>
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
  // A wreath hangs on its door.
  const door = thing.kinds.has('wreath') ? room.doors[0] : undefined;
  if (door) return onDoor(room, door, thing, things) ?? middle;
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
): Pick<LookPieceRow, 'xMm' | 'footMm'> | null {
  const wanted = { x: (door.leftMm + door.rightMm - widthMm) / 2, y: WREATH_MM - room.baseMm - heightMm / 2 };
  const at = nearestFree({
    within: { left: wanted.x, right: wanted.x + widthMm, low: 0, high: room.heightMm },
    wide: widthMm,
    tall: heightMm,
    taken: things
      .filter(({ placement }) => placement.stance === 'hangs')
      .map(({ box }) => ({ left: box.leftMm, right: box.rightMm, low: box.footMm, high: box.topMm })),
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
  wanted: Pick<LookPieceRow, 'xMm' | 'footMm'>,
): Pick<LookPieceRow, 'xMm' | 'footMm'> | null {
  const faceOf = ({ box }: LookThing) => ({ left: box.leftMm, right: box.rightMm, low: box.footMm, high: box.topMm });
  const at = nearestFree({
    within: { left: 0, right: room.widthMm, low: 0, high: room.heightMm },
    wide: widthMm,
    tall: heightMm,
    taken: things.map(faceOf),
    wanted: { x: wanted.xMm, y: wanted.footMm },
    beside: things.filter(({ placement }) => placement.stance === 'hangs').map(faceOf),
    gap: BETWEEN_FRAMES_MM,
  });
  return at && { xMm: round(clamp(at.x, room.widthMm - widthMm)), footMm: round(Math.max(0, at.y)) };
}

/** Air between two things where the spot says nothing: a finger. */
const GAP_MM = inches(0.5);

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
  const heights = new Map(carriers.map(({ id, lookId, size }) => [lookId, { id, heightMm: size?.heightMm ?? 0 }]));
  const shown = floorShown(rows, spot, heights);
  const floor = { spotId: spot.id, carriers };
  const left = isItself ? count - 1 : count;
  if (left === 0) return { rows: [], places: [], floor };
  const there = behindFirst([...carriers, ...shown.lookPieces].filter(({ lookId }) => lookId === look.id)).map(
    (piece) => lookThing(plan, shown.spot, piece),
  );
  return { ...allAdded(plan, look, shown.spot, there, of, left, newId), floor };
}

/** Stockings hang from the front edge of a mantel, beside each other around its middle. */
function stockingPlace(
  { widthMm, baseMm }: LookRoom,
  { size }: LookThing,
  things: readonly LookThing[],
): Pick<LookPieceRow, 'xMm' | 'footMm' | 'frontMm'> {
  const footMm = round(Math.max(-baseMm, -size.heightMm));
  const hung = things.filter(({ kinds, placement }) => kinds.has('stocking') && placement.stance === 'hangs');
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
): Pick<LookPieceRow, 'xMm' | 'footMm'> {
  const by = Math.min(beyondMm, BESIDE_FRAME_MM);
  const isTaken = things.some(
    ({ kinds, placement, box }) =>
      kinds.has('curtain') && placement.stance === 'hangs' && (box.leftMm + box.rightMm) / 2 < widthMm / 2,
  );
  return {
    xMm: round(isTaken ? widthMm + by - size.widthMm : -by),
    footMm: round(Math.max(-baseMm, heightMm + OVER_FRAME_MM - size.heightMm)),
  };
}

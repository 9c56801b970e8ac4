import { spotKindOf } from '../../catalog/spotKinds';
import type { LookPieceRow, SpotRow } from '../../model/rows';
import { seatsOf } from '../seats';
import { type LookRoom, lookRoom } from './lookRoom';
import type { LookThing } from './lookThing';
import { nearestFree } from './nearestFree';
import { besidePlate, seatPlaces } from './seatPlaces';
import { clamp, round } from './startingLook';
import { gathers, RIM_MM } from './trays';
import { isFurniture, isSeat, isSmall, isSoft } from './whereItBelongs';

type LaidAt = Pick<LookPieceRow, 'xMm' | 'frontMm'>;

/** A top seen from above, and where it begins in its spot, mm. */
interface Top extends Pick<LookRoom, 'widthMm' | 'depthMm'> {
  leftMm: number;
  frontMm: number;
}

const SLACK_MM = 1;

const isSetAtSeats = ({ kinds }: LookThing): boolean => kinds.has('setting') || kinds.has('tableware');
/** Cloth lies beneath what stands on a table. */
const isCloth = ({ placement, kinds, template }: LookThing): boolean =>
  kinds.has('rug') ||
  (placement.stance === 'lies' && (kinds.has('textile') || kinds.has('runner') || template?.id === 'flatCloth'));

/**
 * Where a thing goes on a table: at the next seat, onto a tray, or where there is room for it.
 * @param count how many alike are laid in one go: so many places at least
 */
export function placeOnTable(
  spot: SpotRow,
  thing: LookThing,
  things: readonly LookThing[],
  count: number,
): LaidAt & Partial<Pick<LookPieceRow, 'footMm' | 'onId'>> {
  const alike = things.filter((other) => other.name === thing.name).length;
  const seat = isSetAtSeats(thing) && seatsOf(spot) > 0 ? seatPlaces(spot, thing.size, count)[alike] : undefined;
  if (seat) return besideItsPlate(spot, thing, things, alike, count) ?? { xMm: seat.xMm, frontMm: seat.frontMm };
  const { widthMm, depthMm, heightMm } = lookRoom(spot);
  const top = { widthMm, depthMm, leftMm: 0, frontMm: 0 };
  // A rug lies beneath all, in the middle of its floor.
  if (thing.kinds.has('rug')) return alongTheMiddle(top, thing, []) ?? widestGap(top, thing, []);
  for (const tray of things) {
    const onTray = gathers(tray, thing) ? placeOnTray(tray, thing, things) : null;
    if (onTray) return onTray;
  }
  // On a floor what is small stands on furniture, and cushions lie on seats.
  if (spotKindOf(spot.kind).baseHeightMm === 0)
    for (const carrier of things) {
      const { leftMm, rightMm, frontMm, backMm, topMm } = carrier.box;
      const on = { leftMm, frontMm, widthMm: rightMm - leftMm, depthMm: backMm - frontMm };
      const goesOn = isFurniture(carrier) ? isSmall(thing) : isSeat(carrier) && isSoft(thing);
      const at = goesOn && topMm < heightMm ? placeOn(carrier, on, thing, things) : null;
      if (at) return at;
    }
  const inTheWay = things.filter((one) => !isCloth(one));
  return (
    alongTheMiddle(top, thing, inTheWay) ?? beforeOrBehind(top, thing, inTheWay) ?? widestGap(top, thing, inTheWay)
  );
}

/** So much lies between what a guest has before them (common practice, no source). */
const AIR_MM = 12;

/**
 * Where what belongs to a place lies beside the plate that is laid there: a napkin to its left, glasses and cups over its
 * right. Null for plates and what lies beneath them, and where none is laid at that seat.
 */
function besideItsPlate(
  spot: SpotRow,
  { kinds, size, template, name }: LookThing,
  things: readonly LookThing[],
  nth: number,
  count: number,
): LaidAt | null {
  if (kinds.has('setting') || kinds.has('plate') || /\bmats?\b/i.test(name)) return null;
  const plate = things.filter((one) => one.kinds.has('setting') || one.kinds.has('plate'))[nth];
  const seat = plate && seatPlaces(spot, plate.size, count)[nth];
  if (!plate || !seat || Math.hypot(seat.xMm - plate.box.leftMm, seat.frontMm - plate.box.frontMm) > SAME_SEAT_MM)
    return null;
  const isCloth = kinds.has('textile') || template?.id === 'flatCloth';
  const aside = plate.size.widthMm / 2 + size.widthMm / 2 + AIR_MM;
  const beside = isCloth
    ? { rightMm: -aside, awayMm: 0 }
    : {
        rightMm: (plate.size.widthMm / 2) * OVER_RIGHT,
        awayMm: plate.size.depthMm / 2 + size.depthMm / 2 + AIR_MM,
      };
  const room = lookRoom(spot);
  const at = besidePlate({ ...seat, ...plate.size }, beside, size);
  return {
    xMm: round(clamp(at.xMm, room.widthMm - size.widthMm)),
    frontMm: round(clamp(at.frontMm, room.depthMm - size.depthMm)),
  };
}
const SAME_SEAT_MM = 30;
/** A glass stands over the knife, at the right of its plate. */
const OVER_RIGHT = 0.8;

/** A free place on a tray; null where it is full. */
function placeOnTray(tray: LookThing, thing: LookThing, things: readonly LookThing[]) {
  const { leftMm, rightMm, frontMm, backMm } = tray.box;
  const top = {
    leftMm: leftMm + RIM_MM,
    frontMm: frontMm + RIM_MM,
    widthMm: rightMm - leftMm - 2 * RIM_MM,
    depthMm: backMm - frontMm - 2 * RIM_MM,
  };
  return placeOn(tray, top, thing, things);
}

/** A free place on something that carries others; null where it is full. */
function placeOn(carrier: LookThing, top: Top, thing: LookThing, things: readonly LookThing[]) {
  const standing = things.filter(({ placement }) => placement.onId === carrier.id);
  const at = alongTheMiddle(top, thing, standing) ?? beforeOrBehind(top, thing, standing);
  return at && { ...at, footMm: round(carrier.box.topMm), onId: carrier.id };
}

/** Free stretches along the middle of a top, the widest first. */
function gapsAlong(top: Top, { size }: LookThing, inTheWay: readonly LookThing[]) {
  const frontMm = round(top.frontMm + Math.max(0, (top.depthMm - size.depthMm) / 2));
  const taken = inTheWay.filter(({ box }) => box.frontMm < frontMm + size.depthMm && box.backMm > frontMm);
  const end = top.leftMm + top.widthMm;
  const edges = [top.leftMm, ...taken.flatMap(({ box }) => [box.leftMm, box.rightMm]), end]
    .filter((at) => at >= top.leftMm && at <= end)
    .sort((a, b) => a - b);
  const gaps = edges
    .slice(1)
    .map((to, n) => ({ from: edges[n] ?? top.leftMm, to }))
    .filter(({ from, to }) => !taken.some(({ box }) => box.leftMm < to - SLACK_MM && box.rightMm > from + SLACK_MM))
    .sort((a, b) => b.to - b.from - (a.to - a.from));
  return { frontMm, gaps };
}

/** In the widest free stretch along the middle; null where it is too narrow. */
function alongTheMiddle(top: Top, thing: LookThing, inTheWay: readonly LookThing[]): LaidAt | null {
  const { frontMm, gaps } = gapsAlong(top, thing, inTheWay);
  const [gap] = gaps;
  const { widthMm } = thing.size;
  return gap && gap.to - gap.from >= widthMm - SLACK_MM
    ? { xMm: round((gap.from + gap.to - widthMm) / 2), frontMm }
    : null;
}

/** Beside, before or behind what stands there, as near to the middle as it fits; null where it fits nowhere. */
function beforeOrBehind(top: Top, { size }: LookThing, inTheWay: readonly LookThing[]): LaidAt | null {
  const { widthMm, depthMm } = size;
  const { leftMm, frontMm } = top;
  const at = nearestFree({
    within: { left: leftMm, right: leftMm + top.widthMm, low: frontMm, high: frontMm + top.depthMm },
    wide: widthMm,
    tall: depthMm,
    taken: inTheWay.map(({ box }) => ({ left: box.leftMm, right: box.rightMm, low: box.frontMm, high: box.backMm })),
    wanted: { x: leftMm + (top.widthMm - widthMm) / 2, y: frontMm + (top.depthMm - depthMm) / 2 },
  });
  return at && { xMm: round(at.x), frontMm: round(at.y) };
}

/** Where nothing is free: over the widest stretch along the middle, where the check says what is in its way. */
function widestGap(top: Top, thing: LookThing, inTheWay: readonly LookThing[]): LaidAt {
  const { frontMm, gaps } = gapsAlong(top, thing, inTheWay);
  const gap = gaps[0] ?? { from: 0, to: top.widthMm };
  const { widthMm } = thing.size;
  return { xMm: round(clamp((gap.from + gap.to - widthMm) / 2, top.widthMm - widthMm)), frontMm };
}

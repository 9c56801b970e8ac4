import type { LookPieceRow, LookRow, SpotRow, Stance } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import type { Board } from '../../surface/board';
import { inches } from '../lookChecks/where';
import { seatsOf } from '../seats';
import { ceilingOver, isSeenFromAbove, type LookRoom, levelsOf, levelUnder, lookRoom } from './lookRoom';
import type { LookThing, ThingBox } from './lookThing';
import { lookThing } from './lookThings';
import { newPlacement } from './newLook';
import { clamp, frontFor, layerOf, round, stanceOf, usualFoot } from './startingLook';

/**
 * One more thing for a look that is there already: set down in the widest gap of the base, or hung over the middle.
 * @param of the slot, the piece of the house or the description that it is
 */
export function addedTo(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  things: readonly LookThing[],
  of: Partial<LookPieceRow>,
  newId: () => string,
): LookPieceRow {
  const room = lookRoom(spot);
  const isAbove = isSeenFromAbove(spot);
  const first = lookThing(plan, spot, newPlacement(newId(), look.id, of));
  // On shelves a frame leans; there is no wall to hang it on.
  const hangs = room.hasWall && (first.template?.traits.includes('hangs') === true || first.kinds.has('mirror'));
  // On a table a plate lies; it is only on a wall or a ledge that it shows its face.
  const lies = isAbove && first.template?.plan === 'flat';
  const stance: Stance = of.stance ?? (hangs ? 'hangs' : lies ? 'lies' : stanceOf(first, false));
  // A garland drapes: however long it is, it is no wider than what it hangs along.
  const drapes = !isAbove && first.kinds.has('garland') && first.size.widthMm > room.widthMm;
  const draped = drapes ? { size: { ...first.size, widthMm: room.widthMm } } : {};
  // A runner lies along its table.
  const turned = isAbove && first.size.depthMm > first.size.widthMm && first.size.depthMm > room.depthMm;
  const thing = lookThing(plan, spot, { ...first.placement, stance, turned, ...draped });
  const { widthMm, heightMm, depthMm } = thing.size;
  const seat = isAbove && isSetAtSeats(thing) ? freeSeat(spot, thing, things) : null;
  if (seat) return { ...thing.placement, ...seat, footMm: 0, layer: layerOf(stance, things.length) };
  // On a table only what stands along its middle is in the way: what lies there lies beneath.
  const front = isAbove ? Math.max(0, (room.depthMm - depthMm) / 2) : 0;
  const isInTheWay = ({ placement, box }: LookThing) =>
    isAbove
      ? placement.stance !== 'lies' && box.frontMm < front + depthMm && box.backMm > front
      : placement.stance !== 'hangs' && placement.onId === null;
  if (stance === 'hangs' && thing.kinds.has('curtain') && room.beyondMm > 0) {
    const beside = curtainPlace(room, thing, things);
    return {
      ...thing.placement,
      ...beside,
      frontMm: frontFor(spot, stance, depthMm),
      layer: layerOf(stance, things.length),
    };
  }
  const gap = widestGap(room, thing, things.filter(isInTheWay));
  const middle = stance === 'hangs' ? room.widthMm / 2 : (gap.from + gap.to) / 2;
  const foot = stance === 'hangs' ? clamp(usualFoot(spot, thing), room.heightMm - heightMm) : gap.footMm;
  return {
    ...thing.placement,
    xMm: round(clamp(middle - widthMm / 2, room.widthMm - widthMm)),
    footMm: round(Math.max(0, foot)),
    frontMm: isAbove ? round(front) : frontFor(spot, stance, depthMm),
    layer: Math.max(
      layerOf(stance, 0),
      ...things.filter((one) => one.placement.stance === stance).map((one) => one.placement.layer + 1),
    ),
  };
}

/** The same for several alike, one after the other. */
export function allAdded(
  plan: Plan,
  look: LookRow,
  spot: SpotRow,
  things: readonly LookThing[],
  of: Partial<LookPieceRow>,
  count: number,
  newId: () => string,
): LookPieceRow[] {
  const rows: LookPieceRow[] = [];
  let there = things;
  for (let n = 0; n < count; n += 1) {
    const row = addedTo(plan, look, spot, there, of, newId);
    rows.push(row);
    there = [...there, lookThing(plan, spot, row)];
  }
  return rows;
}

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

/** A free stretch of the spot's base or of one of its boards. */
interface Gap {
  from: number;
  to: number;
  footMm: number;
}

/** A stretch of the width, mm. */
type Stretch = Pick<ThingBox, 'leftMm' | 'rightMm'>;

/**
 * The widest free stretch on the boards on which a thing fits in height: near the middle where several are as wide, the
 * lowest with room for it where it is heavy, the bed where it is soft; the base where it fits nowhere.
 */
function widestGap(room: LookRoom, thing: LookThing, standing: readonly LookThing[]): Gap {
  const { heightMm, widthMm } = thing.size;
  const middle = room.heightMm / 2;
  const byWidth = (a: Gap, b: Gap) => b.to - b.from - (a.to - a.from);
  const gaps = levelsOf(room)
    .filter(({ topMm, leftMm, rightMm }) => {
      const at = { ...thing.box, leftMm, rightMm, footMm: topMm };
      return topMm + heightMm <= ceilingOver(room, at) + SLACK_MM;
    })
    .flatMap((board) =>
      gapsOn(board, [
        ...standing.filter(({ box }) => levelUnder(room, box) === board.topMm).map(({ box }) => box),
        // Where a bed stands nothing else does, but for the rug beneath it.
        ...room.boards.filter(({ topMm, thickMm }) => board.topMm === 0 && thickMm >= topMm && !thing.kinds.has('rug')),
      ]),
    )
    .sort((a, b) => byWidth(a, b) || Math.abs(a.footMm - middle) - Math.abs(b.footMm - middle));
  const roomy = gaps.filter(({ from, to }) => to - from >= widthMm);
  const first = levelFirst(room, thing);
  const best = first === null ? roomy : [...roomy].sort((a, b) => first(a) - first(b) || byWidth(a, b));
  return best[0] ?? gaps[0] ?? { from: 0, to: room.widthMm, footMm: 0 };
}
const SLACK_MM = 1;

/** Which board comes first for a thing: the lowest for what is heavy, the bed for what is soft; null where it is no matter. */
function levelFirst({ hasWall }: LookRoom, { kinds }: LookThing): ((gap: Gap) => number) | null {
  if (kinds.has('storage')) return ({ footMm }) => footMm;
  if (hasWall && kinds.has('textile') && !kinds.has('rug')) return ({ footMm }) => -footMm;
  return null;
}

/** Free stretches on a board beside what is taken of it. */
function gapsOn({ leftMm, rightMm, topMm }: Board, taken: readonly Stretch[]): Gap[] {
  const within = (mm: number) => Math.min(Math.max(leftMm, mm), rightMm);
  const edges = [leftMm, ...taken.flatMap((one) => [within(one.leftMm), within(one.rightMm)]), rightMm].sort(
    (a, b) => a - b,
  );
  return edges
    .slice(1)
    .map((to, n) => ({ from: edges[n] ?? leftMm, to, footMm: topMm }))
    .filter(({ from, to }) => !taken.some((one) => one.leftMm < to - SLACK_MM && one.rightMm > from + SLACK_MM));
}

/** What each guest has before them. */
const atSeats = /\b(?:plates?|chargers?|napkins?|place ?mats?|goblets?|glasses|tumblers?|cups?|mugs?|place cards?)\b/i;
const isSetAtSeats = ({ name, kinds }: LookThing): boolean => kinds.has('setting') || atSeats.test(name);
/** A plate lies a thumb from the edge of the table (common practice, no source). */
const FROM_EDGE_MM = 25;

/** The next seat that has none of a kind yet: along both long sides, across from each other; null where all have. */
function freeSeat(
  spot: SpotRow,
  thing: LookThing,
  things: readonly LookThing[],
): Pick<LookPieceRow, 'xMm' | 'frontMm'> | null {
  const seats = seatsOf(spot);
  const room = lookRoom(spot);
  const { widthMm, depthMm } = thing.size;
  const alike = things.filter((other) => other.name === thing.name).length;
  if (alike >= seats) return null;
  const across = Math.ceil(seats / 2);
  const column = Math.floor(alike / 2);
  const xMm = round(clamp(((column + 0.5) * room.widthMm) / across - widthMm / 2, room.widthMm - widthMm));
  const frontMm = round(
    clamp(alike % 2 === 0 ? FROM_EDGE_MM : room.depthMm - depthMm - FROM_EDGE_MM, room.depthMm - depthMm),
  );
  return { xMm, frontMm };
}

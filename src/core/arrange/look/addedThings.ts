import type { LookPieceRow, LookRow, SpotRow, Stance } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import type { Board } from '../../surface/board';
import { seatsOf } from '../seats';
import { ceilingOver, isSeenFromAbove, type LookRoom, levelUnder, lookRoom } from './lookRoom';
import type { LookThing } from './lookThing';
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
  const hasWall = !isAbove && room.boards.length === 0;
  const hangs = hasWall && (first.template?.traits.includes('hangs') === true || first.kinds.has('mirror'));
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

/** A free stretch of the spot's base or of one of its boards. */
interface Gap {
  from: number;
  to: number;
  footMm: number;
}

/**
 * The widest free stretch on the boards on which a thing fits in height, on the one at the eyes first where several are as
 * wide, on the lowest for what is heavy; the base where it fits nowhere.
 */
function widestGap(room: LookRoom, thing: LookThing, standing: readonly LookThing[]): Gap {
  const { heightMm, widthMm } = thing.size;
  const base = { topMm: 0, leftMm: 0, rightMm: room.widthMm };
  const at = ({ topMm, leftMm, rightMm }: typeof base) => ({ ...thing.box, leftMm, rightMm, footMm: topMm });
  const fits = (level: typeof base) => level.topMm + heightMm <= ceilingOver(room, at(level)) + 1;
  const levels = [base, ...room.boards].filter(fits);
  const middle = room.heightMm / 2;
  const byWidth = (a: Gap, b: Gap) => b.to - b.from - (a.to - a.from);
  const gaps = levels
    .flatMap((level) =>
      gapsOn(
        level,
        standing.filter(({ box }) => levelUnder(room, box) === level.topMm),
      ),
    )
    .sort((a, b) => byWidth(a, b) || Math.abs(a.footMm - middle) - Math.abs(b.footMm - middle));
  const lowest = gaps
    .filter(({ from, to }) => to - from >= widthMm)
    .sort((a, b) => a.footMm - b.footMm || byWidth(a, b));
  const best = thing.kinds.has('storage') && lowest.length > 0 ? lowest : gaps;
  return best[0] ?? { from: 0, to: room.widthMm, footMm: 0 };
}

/** Free stretches on a board between what stands on it. */
function gapsOn(
  { leftMm, rightMm, topMm }: Pick<Board, 'leftMm' | 'rightMm' | 'topMm'>,
  standing: readonly LookThing[],
): Gap[] {
  const edges = [leftMm, ...standing.flatMap(({ box }) => [box.leftMm, box.rightMm]), rightMm].sort((a, b) => a - b);
  return edges
    .slice(1)
    .map((to, n) => ({ from: edges[n] ?? leftMm, to, footMm: topMm }))
    .filter(({ from, to }) => !standing.some(({ box }) => box.leftMm < to - 1 && box.rightMm > from + 1));
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

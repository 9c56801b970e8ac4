import type { LookPieceRow } from '../../model/rows';
import { inches } from '../lookChecks/where';
import { beforeTaller, TALLER } from './beforeTaller';
import { type Gap, gapsOn, type Level, levelGroups, middleOf, type Stretch, wide } from './levels';
import { identityOf } from './lookCost';
import type { LookRoom } from './lookRoom';
import type { LookThing, ThingBox } from './lookThing';
import { carriedAlong, type Place, placeOf } from './settle';
import { isSeat, isSoft } from './whereItBelongs';

/** Where one more thing is set down, and what is pushed aside for it. */
export interface FreePlace extends Pick<LookPieceRow, 'footMm' | 'onId'> {
  /** The middle of the stretch that it gets, from the left end of the spot. */
  middleMm: number;
  /** From where to where things in that place are deep; null where it is the spot itself. */
  depth: Pick<ThingBox, 'frontMm' | 'backMm'> | null;
  pushed: readonly Place[];
}

const SLACK_MM = 1;
/** Candles want so much between them (figures 10: 3 in). */
const BETWEEN_FLAMES_MM = inches(3.5);

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
  const close = half + gapMm / 2;
  const atSixths = wide(level) / 3;
  const aside = frames && atSixths + half <= wide(level) / 2 ? Math.max(close, atSixths) : close;
  if (!isFree(level, other, { leftMm: middle - aside - half, rightMm: middle + aside + half })) return null;
  const pushed = carriedAlong(things, other, { ...placeOf(other), xMm: Math.round((middle - aside - half) * 10) / 10 });
  return { level, middleMm: middle + aside, pushed };
}

/**
 * A place for one more thing in a look that is seen from the front: the widest free stretch where it fits, near the middle
 * of the height where several are as wide, or the place that makes a pair with the one like it. Small things go on
 * furniture, what is soft on the bed, what is heavy on the lowest board. Where nothing is wide enough, what stands there is
 * pushed aside.
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
  // A mat lies before its door; a rug, which is wider than one, beneath all that stands there.
  const door = room.doors.find((one) => wide(one) >= thing.size.widthMm);
  if (ground && thing.kinds.has('rug')) return placed(ground, middleOf(door ?? ground));
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
        const made = pushedAside(level, thing, things, gapMm);
        if (made) return placed(level, made.middleMm, made.pushed);
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

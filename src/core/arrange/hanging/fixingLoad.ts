import { type Fixing, fixings } from '../../catalog/fixings';
import { wallFaces, wallKinds } from '../../catalog/walls.data';
import { G_PER_POUND } from '../../kernel/units';
import type { SpotWall } from '../../model/values/wall';

/** What decides how much a fixing holds where it is. */
export interface HungWhere {
  wall: SpotWall | null;
  isOutdoors: boolean;
  isOverBed: boolean;
  /** Days since the wall was painted; null for long ago. */
  paintedDaysAgo: number | null;
  /** Whether a stud is behind every one of the points. */
  isInStud: boolean;
}

/** Why a fixing holds less there than its packet says, or nothing. */
export type LoadReason =
  | 'adhesiveFace'
  | 'adhesiveFresh'
  | 'adhesiveHeat'
  | 'adhesiveOutdoors'
  | 'adhesiveBed'
  | 'damp'
  | 'plaster'
  | 'wrongWall'
  | 'noStud';

/** What a fixing holds at a place, all its points together. */
export interface FixingLoad {
  holdsG: number;
  reasons: readonly LoadReason[];
}

/** Two hooks share a load unevenly: of each eight tenths count (figures 6). */
const SHARED = 0.8;
const DAMP = 0.5;
const PLASTER = 0.5;
const CURED_DAYS = 7;

/**
 * What a fixing holds: its design load, or half of what its packet says; of two points eight tenths each; on plaster and
 * lath half; strips nothing on rough faces, fresh paint, outdoors, near heat and over a bed, and half where it steams.
 * @param ratedG what its packet says that one carries, or null
 * @param points how many of it hold the thing
 * @example one picture hook by design 10 lb; two of it 16 lb
 */
export function fixingLoad(fixing: Fixing, ratedG: number | null, points: number, where: HungWhere): FixingLoad {
  const reasons: LoadReason[] = [];
  const { wall } = where;
  const one = ratedG === null ? fixing.designLb * G_PER_POUND : ratedG * fixing.ofLabel;
  let share = points >= 2 ? points * SHARED : points;
  const lessen = (reason: LoadReason, by: number) => {
    reasons.push(reason);
    share *= by;
  };
  if (wall && wall.kind !== 'unknown' && !fixing.walls.includes(wall.kind)) lessen('wrongWall', 0);
  if (fixing.inStud && !where.isInStud && (wall === null || wallKinds[wall.kind].hasStuds)) lessen('noStud', 0);
  if (fixing.isAdhesive) {
    if (wall && !wallFaces[wall.face].holdsAdhesive) lessen('adhesiveFace', 0);
    if (where.paintedDaysAgo !== null && where.paintedDaysAgo < CURED_DAYS) lessen('adhesiveFresh', 0);
    if (wall?.isHot) lessen('adhesiveHeat', 0);
    if (where.isOutdoors) lessen('adhesiveOutdoors', 0);
    if (where.isOverBed) lessen('adhesiveBed', 0);
    if (wall?.isDamp) lessen('damp', DAMP);
  } else if (wall?.kind === 'plasterLath' && !fixing.inStud) lessen('plaster', PLASTER);
  return { holdsG: one * share, reasons };
}

/** From this weight on a thing wants a stud or a rated toggle, whatever else is said to hold it (figures 6). */
export const STUD_OR_TOGGLE_G = 50 * G_PER_POUND;
/** From this weight on somebody looks at the wall itself. */
export const STRUCTURE_G = 100 * G_PER_POUND;

const isStrong = ({ inStud, id }: Fixing) => inStud || id.startsWith('toggle') || id === 'masonryPlug';

/**
 * The least fixing that holds a thing there: the smallest hole that does.
 * @param mayDrill false where nothing may be driven into the wall: only strips are left
 * @returns null where nothing of the list holds it
 */
export function leastFixing(weightG: number, points: number, where: HungWhere, mayDrill: boolean): Fixing | null {
  return (
    fixings.all
      .filter((fixing) => mayDrill || fixing.isAdhesive)
      .filter((fixing) => weightG < STUD_OR_TOGGLE_G || isStrong(fixing))
      .filter((fixing) => fixingLoad(fixing, null, points, where).holdsG >= weightG)
      .sort((a, b) => a.designLb - b.designLb || a.holeMm - b.holeMm)[0] ?? null
  );
}

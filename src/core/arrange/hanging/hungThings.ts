import { daysBetween } from '../../calendar/localDates';
import type { StoredHanger } from '../../model/entities/lookPiece';
import type { SpotRow } from '../../model/rows';
import type { Household } from '../../state/brief';
import { baseHeightMm, isSeenFromAbove, lookRoom } from '../look/lookRoom';
import type { LookThing } from '../look/lookThing';
import { inches } from '../lookChecks/where';
import type { HungWhere } from './fixingLoad';
import { type NailPoint, nailPoints } from './nailPoints';
import { hangerOf, usualHanger } from './usualHanger';

/** A thing on the wall with its nails. */
export interface HungThing {
  thing: LookThing;
  hanger: StoredHanger;
  /** Whether that is only what is usual for its kind: nobody looked at its back. */
  isUsualHanger: boolean;
  /** From the left end of the spot, and above the floor; mm. */
  nails: readonly NailPoint[];
  centerHeightMm: number;
}

/** Everything of a look that hangs, from left to right, with the points where its nails go. */
export function hungThings(spot: SpotRow, things: readonly LookThing[]): HungThing[] {
  if (isSeenFromAbove(spot)) return [];
  const base = baseHeightMm(spot);
  return things
    .filter(({ placement }) => placement.stance === 'hangs')
    .map((thing): HungThing => {
      const { box, size, placement } = thing;
      const hanger = placement.hanger ?? usualHanger(thing);
      const centerHeightMm = (box.footMm + box.topMm) / 2 + base;
      return {
        thing,
        hanger,
        isUsualHanger: placement.hanger === null,
        centerHeightMm,
        nails: nailPoints(
          { leftMm: box.leftMm, centerHeightMm, widthMm: size.widthMm, heightMm: size.heightMm },
          hangerOf(hanger),
        ),
      };
    })
    .sort((a, b) => a.thing.box.leftMm - b.thing.box.leftMm || b.thing.box.topMm - a.thing.box.topMm);
}

/** A nail that is so far from the middle of a stud still meets it, mm (half an inch each way: figures 6). */
const STUD_HIT_MM = inches(1 / 2);

/** The nearest stud to a place along a wall; null where nobody knows where one is. */
export function nearestStud({ wall }: Pick<SpotRow, 'wall'>, xMm: number): number | null {
  if (!wall || wall.studAtMm === null) return null;
  if (wall.studEveryMm === null) return wall.studAtMm;
  return wall.studAtMm + Math.round((xMm - wall.studAtMm) / wall.studEveryMm) * wall.studEveryMm;
}

/** Whether a point of a wall has a stud behind it, as far as anybody knows. */
export function isAtStud(spot: Pick<SpotRow, 'wall'>, xMm: number): boolean {
  const stud = nearestStud(spot, xMm);
  return stud !== null && Math.abs(stud - xMm) <= STUD_HIT_MM;
}

/** What decides how much fixings hold for a thing on a spot's wall. */
export function hungWhere(
  spot: SpotRow,
  hung: HungThing,
  household: Pick<Household, 'outdoors'>,
  today: string,
): HungWhere {
  const bedMm = spot.measures.bedWidthMm ?? inches(60);
  const left = (lookRoom(spot).widthMm - bedMm) / 2;
  const { box } = hung.thing;
  return {
    wall: spot.wall,
    isOutdoors: household.outdoors || spot.kind === 'porch',
    isOverBed: spot.kind === 'bedWall' && box.leftMm < left + bedMm && box.rightMm > left,
    paintedDaysAgo: spot.wall?.paintedOn ? daysBetween(spot.wall.paintedOn, today) : null,
    isInStud: hung.nails.length > 0 && hung.nails.every(({ xMm }) => isAtStud(spot, xMm)),
  };
}

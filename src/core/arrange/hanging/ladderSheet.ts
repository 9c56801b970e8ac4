import { spotFeatures } from '../../catalog/spotFeatures.data';
import type { UnitSystem } from '../../kernel/units';
import { MM_PER_INCH } from '../../kernel/units';
import type { SpotRow } from '../../model/rows';
import { lookRoom } from '../look/lookRoom';
import type { LookThing } from '../look/lookThing';
import { inches } from '../lookChecks/where';
import { type HungThing, hungThings, isAtStud, nearestStud } from './hungThings';

/** A nail as somebody on a ladder reads it. */
export interface LadderNail {
  /** Above the floor, rounded as a tape shows it. */
  heightMm: number;
  /** From the named edge: to the right of the left one, to the left of the right one. */
  fromEdgeMm: number;
  xMm: number;
  /** A stud behind it, or how far the next one is; null where nobody knows of studs. */
  stud: { isHit: boolean; offMm: number } | null;
  /** What lies straight above, below or beside it that cables and pipes lead to. */
  danger: string | null;
}

/** A thing of the ladder sheet with its nails, in the order of hanging. */
export interface LadderThing extends HungThing {
  number: number;
  points: readonly LadderNail[];
}

/** The ladder sheet of a look. */
export interface LadderSheet {
  things: readonly LadderThing[];
  /** The end of the spot that everything is measured from, and what it is called. */
  side: 'left' | 'right';
  edge: string;
  /** The height of a level line that several nails share; null where none is shared. */
  levelMm: number | null;
}

/** A length as a tape shows it: to 1/16 in or to 1 mm. */
export function onTape(mm: number, units: UnitSystem): number {
  return units === 'us' ? (Math.round((mm / MM_PER_INCH) * 16) / 16) * MM_PER_INCH : Math.round(mm);
}

/** Cables and pipes run so far beside the line straight above and below what they lead to, mm (common practice, no source). */
const BESIDE_MM = inches(6);

/** What leads cables or pipes past a point of the wall. */
function dangerAt(spot: SpotRow, xMm: number): string | null {
  const found = spot.features.find(
    (feature) =>
      (feature.kind === 'socket' || feature.kind === 'water' || feature.kind === 'heater') &&
      xMm >= feature.xMm - BESIDE_MM &&
      xMm <= feature.xMm + feature.widthMm + BESIDE_MM,
  );
  return found ? found.name || spotFeatures[found.kind].called : null;
}

/**
 * The sheet for the ladder: each thing that hangs with its nails from the floor and from one end of the spot, to 1/16 in
 * or 1 mm. All are measured from the same end, so that no error of the wall's width comes in between two.
 * @example a frame of 20 in with its taut wire 2 1/2 in below its top, middle at 57 in → 64 1/2 in
 */
export function ladderSheet(
  spot: SpotRow,
  things: readonly LookThing[],
  units: UnitSystem,
  side: 'left' | 'right' = 'left',
): LadderSheet {
  const { widthMm } = lookRoom(spot);
  const all = hungThings(spot, things).map(
    (hung, n): LadderThing => ({
      ...hung,
      number: n + 1,
      points: hung.nails.map(({ xMm, heightMm }): LadderNail => {
        const stud = nearestStud(spot, xMm);
        return {
          heightMm: onTape(heightMm, units),
          fromEdgeMm: onTape(side === 'left' ? xMm : widthMm - xMm, units),
          xMm,
          stud: stud === null ? null : { isHit: isAtStud(spot, xMm), offMm: onTape(stud - xMm, units) },
          danger: dangerAt(spot, xMm),
        };
      }),
    }),
  );
  const heights = all.flatMap(({ points }) => points.map(({ heightMm }) => heightMm));
  const shared = heights.find((height, n) => heights.some((other, k) => k !== n && Math.abs(other - height) < 0.01));
  return {
    things: all,
    side,
    edge: (side === 'left' ? spot.wall?.leftEdge : spot.wall?.rightEdge) || `the ${side} end of ${spot.name}`,
    levelMm: shared ?? null,
  };
}

import type { LadderNail, LadderSheet } from '@core/arrange/hanging/ladderSheet';
import { formatLength } from '@core/kernel/formatLength';
import type { UnitSystem } from '@core/kernel/units';

/** A length for the ladder: sixteenths of an inch, or millimeters, as a tape shows them. */
export const tapeWords = (mm: number, units: UnitSystem): string =>
  units === 'us' ? formatLength(mm, 'us') : `${Math.round(mm)} mm`;

/** How far something is to the right of an edge, or to the left of it where that is less than nothing. */
export const besideWords = (rightMm: number, edge: string, units: UnitSystem): string =>
  `${tapeWords(Math.abs(rightMm), units)} ${rightMm >= 0 ? 'right' : 'left'} of ${edge}`;

/** How far a nail is from the end that all are measured from: "18 in right of the door frame"; beyond it, too. */
export const edgeWords = ({ fromEdgeMm }: LadderNail, { side, edge }: LadderSheet, units: UnitSystem): string =>
  besideWords(side === 'left' ? fromEdgeMm : -fromEdgeMm, edge, units);

/** What is known of the stud at a nail. */
export function studWords({ stud }: LadderNail, units: UnitSystem): string {
  if (!stud) return '';
  if (stud.isHit) return 'in a stud';
  return `the next stud is ${tapeWords(Math.abs(stud.offMm), units)} to the ${stud.offMm < 0 ? 'left' : 'right'}`;
}

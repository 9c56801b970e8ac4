import { sketchRoom } from '../catalog/spotKind';
import { spotKindOf } from '../catalog/spotKinds';
import { createRegistry } from '../kernel/registry';
import type { SlotRow, SpotRow } from '../model/rows';
import type { Brief } from '../state/brief';
import { artWidth } from './checks/artWidth';
import { centerpieceSight } from './checks/centerpieceSight';
import { centerpieceSize } from './checks/centerpieceSize';
import { covered } from './checks/covered';
import { doorSwing } from './checks/doorSwing';
import { oddGroups } from './checks/oddGroups';
import { outside } from './checks/outside';
import { paredBack } from './checks/paredBack';
import { seatWidth } from './checks/seatWidth';
import { sideBalance } from './checks/sideBalance';
import { widthsInRow } from './checks/widthsInRow';
import { seatsOf } from './seats';
import { sketchBoxes } from './sketchBoxes';
import type { SketchCheck } from './sketchCheck';
import type { SketchFinding } from './sketchSentences';

/** Every check of a sketch. */
export const sketchChecks = createRegistry<SketchCheck>('checks of a sketch', [
  outside,
  widthsInRow,
  seatWidth,
  centerpieceSight,
  centerpieceSize,
  doorSwing,
  covered,
  artWidth,
  oddGroups,
  sideBalance,
  paredBack,
]);

/** What the checks say of one spot's sketch as it is drawn. */
export function checkSketch(
  spot: SpotRow,
  slots: readonly SlotRow[],
  school: Pick<Brief, 'arranging' | 'grouping' | 'amount'>,
): SketchFinding[] {
  const kind = spotKindOf(spot.kind);
  const facts = {
    spot,
    kind,
    room: sketchRoom(kind, spot),
    seats: seatsOf(spot),
    slots: sketchBoxes(spot, slots),
    school,
  };
  return sketchChecks.all.flatMap((check) => check.check(facts));
}

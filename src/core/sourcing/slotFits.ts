import type { FindRow, SlotRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { overallSize } from '../plan/fitFindings';
import { fitNeed } from './fitNeed';
import { explainFit, type Fit, fitPiece } from './fitRanking';
import { tooLarge } from './fitSizes';
import { pieceKindOf } from './pieceKindOf';

/** How a thing lies to a slot: whether it goes in, how well it answers it, and what is to spare. Lengths in mm. */
export interface SlotFit {
  slot: SlotRow;
  /** How many of the slot are still open; none where it is filled. */
  open: number;
  fit: Fit;
  goesIn: boolean;
  /** Whether it is the kind of thing, or does what the slot asks for: not only small enough. */
  answers: boolean;
  /** Room that is left in each direction that has a limit; negative where it is too large. */
  spare: { direction: 'width' | 'depth' | 'height'; byMm: number }[];
}

/**
 * The slots, with how a thing that was seen lies to each: those that it answers first, open ones before filled ones, then
 * those that it goes into, the better fit first; equal ones by number. What is left out, or starred, asks for nothing.
 * @param today local date
 */
export function slotFits(plan: Plan, find: FindRow, today: string): SlotFit[] {
  const size = overallSize(find.templateId, find.measures);
  const kind = pieceKindOf(find.name);
  const piece = fitPiece({
    id: find.id,
    name: find.name,
    widthMm: size.width,
    depthMm: size.depth,
    heightMm: size.height,
    color: find.color,
    accent: null,
    roles: kind ? [...kind.roles] : [],
    style: '',
    season: 'any',
    count: find.count,
    counted: find.counted,
    lastUsedOn: null,
    fragile: kind?.fragile ?? false,
    borrowedFrom: '',
    backBy: null,
  });
  return plan.slots
    .filter(({ slot }) => !slot.leftOut && slot.star === null)
    .map(({ slot, open }): SlotFit => {
      const need = fitNeed(plan.rows, slot, today);
      const fit = explainFit(need, piece);
      const scored = (aspect: string) => fit.reasons.find((reason) => reason.aspect === aspect)?.code;
      return {
        slot,
        open,
        fit,
        goesIn: tooLarge(need, piece) === null,
        // A slot that names its kind of thing is answered by that kind alone.
        answers: scored('words') === 'words.match' || (need.kindId === null && scored('role') === 'role.does'),
        spare: (['width', 'depth', 'height'] as const).flatMap((direction) => {
          const { maximumMm } = slot[direction];
          const value = size[direction];
          return maximumMm === null || value === null ? [] : [{ direction, byMm: maximumMm - value }];
        }),
      };
    })
    .sort(
      (a, b) =>
        Number(b.answers && b.goesIn) - Number(a.answers && a.goesIn) ||
        Number(b.open > 0) - Number(a.open > 0) ||
        Number(b.goesIn) - Number(a.goesIn) ||
        b.fit.score - a.fit.score ||
        a.slot.number - b.slot.number,
    );
}

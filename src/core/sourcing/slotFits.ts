import type { FindRow, SlotRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { overallSize } from '../plan/fitFindings';
import { fitNeed } from './fitNeed';
import { explainFit, type Fit, fitPiece } from './fitRanking';
import { tooLarge } from './fitSizes';
import { pieceKindOf } from './pieceKindOf';
import { type Direction, directions, fitInRoom } from './spotRoom';

/** How a thing lies to a slot: whether it goes in, how well it answers it, and what is to spare. Lengths in mm. */
export interface SlotFit {
  slot: SlotRow;
  /** How many of the slot are still open; none where it is filled. */
  open: number;
  /** Whether it is the very thing that is chosen there. */
  isChosen: boolean;
  fit: Fit;
  goesIn: boolean;
  /** Whether it is the kind of thing, or does what the slot asks for: not only small enough. */
  answers: boolean;
  /** Room that is left in each direction that the slot limits or its place makes tight; negative where it is too large. */
  spare: { direction: Direction; byMm: number }[];
  /** What stands in the way, where it would go in without. */
  blockedBy: readonly string[];
}

/** What of a thing decides how it lies to slots: a find, or something sold new. */
export type FitThing = Pick<FindRow, 'id' | 'name' | 'templateId' | 'measures' | 'color' | 'count' | 'counted'>;

/** What a place leaves beyond this much is not told: four inches beside a thing are no question. */
const TIGHT_MM = 101.6;

/**
 * The slots, with how a thing that was seen lies to each: those that it answers first, open ones before filled ones, then
 * those that it goes into, the better fit first; equal ones by number. What is left out, or starred, asks for nothing.
 * @param today local date
 */
export function slotFits(plan: Plan, find: FitThing, today: string): SlotFit[] {
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
  const chosenFor = new Set(
    plan.chosen.flatMap(({ model }) => (model.finds.some(({ id }) => id === find.id) ? [model.slot.id] : [])),
  );
  return plan.slots
    .filter(({ slot }) => !slot.leftOut && slot.star === null)
    .map(({ slot, open }): SlotFit => {
      const need = fitNeed(plan.rows, slot, today);
      const fit = explainFit(need, piece);
      const inRoom = need.room === null ? null : fitInRoom(need.room, size);
      const scored = (aspect: string) => fit.reasons.find((reason) => reason.aspect === aspect)?.code;
      return {
        slot,
        open,
        isChosen: chosenFor.has(slot.id),
        fit,
        goesIn: tooLarge(need, piece) === null,
        // A slot that names its kind of thing is answered by that kind alone.
        answers: scored('words') === 'words.match' || (need.kindId === null && scored('role') === 'role.does'),
        spare: directions.flatMap((direction) => {
          const { maximumMm } = slot[direction];
          const value = size[direction];
          const left = [
            ...(maximumMm === null || value === null ? [] : [maximumMm - value]),
            ...(inRoom?.spare ?? [])
              .filter((entry) => entry.direction === direction && entry.byMm < TIGHT_MM)
              .map(({ byMm }) => byMm),
          ];
          return left.length === 0 ? [] : [{ direction, byMm: Math.min(...left) }];
        }),
        blockedBy: inRoom?.blocked ? (need.room?.obstacles ?? []) : [],
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

import type { Part, PartBag } from '../cutting/part';
import { nothing } from '../kernel/amount';
import type { SlotRow } from '../model/rows';
import { addedBy, type PlanSums, type RestOfPlan } from './added';
import type { DrawTotals } from './drawTotals';
import { beatsYardstick, type Comparison, compareWithYardstick, type SideOfComparison } from './makeOrBuy';
import type { OptionModel } from './model/optionModel';
import type { PlanModel, PlannedFill } from './model/planModel';
import { tripsOfPacks, tripsPulled } from './model/poolCost';
import { type Draw, drawOf, nothingDrawn, type Pool, totalDrawn } from './model/pools';
import { type OptionDates, optionDates } from './optionDates';
import { costOf, type OptionFigures, optionFigures } from './optionFigures';
import { findingsOfOption } from './optionFindings';
import type { OptionFinding } from './optionSentences';
import { sameFigures } from './sameFigures';
import { ownedIn } from './starOf';
import { type WorthUpTo, worthOfOption } from './worthUpTo';
import { yardstickOf } from './yardstick';

/** One option with every figure that the board shows. */
export interface OptionPlan extends OptionFigures {
  /** The yardstick of its slot at this option's count; null when there is none. */
  yardstickSide: SideOfComparison | null;
  comparison: Comparison;
  beatsYardstick: boolean | null;
  worthUpTo: WorthUpTo;
}

/** The figures of a slot's options, computed together, since each is held against the slot's yardstick. */
export interface SlotFigures {
  options: readonly OptionPlan[];
  yardstickId: string | null;
}

/** A slot in a plan. Its options are computed when they are first asked for. */
export class SlotPlan {
  readonly slot: SlotRow;
  /** How many of its quantity are covered, and how many are open. */
  readonly filled: number;
  readonly open: number;
  /** What of our own it is filled from; null while something else is chosen, or part of it is open. */
  readonly ours: string | null;
  private readonly compute: () => SlotFigures;
  private known: SlotFigures | null = null;

  constructor(slot: SlotRow, own: readonly PlannedFill[], compute: () => SlotFigures) {
    this.slot = slot;
    const covered = own.reduce((sum, fill) => sum + fill.count, 0);
    this.filled = Math.min(slot.quantity, covered);
    this.open = slot.leftOut || slot.star !== null ? 0 : slot.quantity - this.filled;
    this.ours = ownedIn(
      slot,
      own.map(({ model, count }) => ({ kind: model.option.kind, finds: model.finds, count })),
    );
    this.compute = compute;
  }

  private get figures(): SlotFigures {
    this.known ??= this.compute();
    return this.known;
  }

  /** Every way to fill it with its figures; the same list, and the same options in it, while nothing of them changed. */
  get options(): readonly OptionPlan[] {
    return this.figures.options;
  }

  get yardstickId(): string | null {
    return this.figures.yardstickId;
  }
}

/** The figures of a slot, taken over from an earlier plan while nothing that they are computed from has changed. */
export function figuresOfSlot(
  model: PlanModel,
  { totals, sums, asOfMs }: { totals: DrawTotals; sums: PlanSums; asOfMs: number },
  slot: SlotRow,
  own: readonly PlannedFill[],
): SlotFigures {
  const options = model.optionsOf(slot.id);
  const draws = new Map<string, Draw>();
  const note = (draw: Draw) => draws.set(draw.poolId, draw);
  for (const option of options)
    for (const draw of option.draws) {
      note(draw);
      for (const tripId of tripsOfPacks(model.pool(draw))) note(drawOf('trip', tripId, 1));
    }
  const { hourValue, currency } = model.rows.project;
  const countOf = (option: OptionModel) =>
    own.find((fill) => fill.model.option.id === option.option.id)?.count ?? Math.min(slot.quantity, option.capacity);
  return model.memo.part(
    slotFigures,
    slot.id,
    {
      ways: options.map((option): Way => {
        const count = countOf(option);
        return [option, count, optionDates(model, option, count, asOfMs), findingsOfOption(model, option)];
      }),
      chosen: own.map((fill) => [fill.model, fill.count] as const),
      pools: [...draws.values()].map((draw): DrawnPool => {
        const { amount, once, parts } = totals.without(slot.id, draw);
        return [draw.poolId, model.pool(draw), amount, once, parts.flatMap(({ part, count }) => [part, count])];
      }),
      pulledElsewhere: sums.pulls.flatMap(({ poolId, tripIds }) => (draws.has(poolId) ? [] : tripIds)),
      hourValue: hourValue ?? 0,
      currency,
    },
    keepEqual,
  );
}

// Lists, since that is what an input of a remembered part is compared by.
type Way = readonly [option: OptionModel, count: number, dates: OptionDates, findings: readonly OptionFinding[]];
type DrawnPool = readonly [
  id: string,
  pool: Pool | undefined,
  amountOfRest: number,
  onceOfRest: number,
  /** Parts that the rest cuts, each followed by its count. */
  partsOfRest: readonly (Part | number)[],
];

function bagFrom(list: readonly (Part | number)[]): PartBag {
  return list.flatMap((part, n) => {
    const count = list[n + 1];
    return typeof part === 'object' && typeof count === 'number' ? [{ part, count }] : [];
  });
}

function slotFigures(of: {
  ways: readonly Way[];
  /** What the slot is filled with now. */
  chosen: readonly (readonly [option: OptionModel, count: number])[];
  /** What its options draw on, with what the rest of the plan draws from it. */
  pools: readonly DrawnPool[];
  /** Trips on which supplies are fetched that no option of the slot takes. */
  pulledElsewhere: readonly string[];
  hourValue: number;
  currency: string;
}): SlotFigures {
  const pools = new Map(
    of.pools.map(([id, pool, amount, once, parts]) => [id, { pool, ofRest: { amount, once, parts: bagFrom(parts) } }]),
  );
  const rest: RestOfPlan = {
    poolOf: (draw) => pools.get(draw.poolId)?.pool,
    drawnFrom: (draw) => pools.get(draw.poolId)?.ofRest ?? nothingDrawn,
    tripsPulled: (except) => {
      const ofPools = [...pools].flatMap(([id, { pool, ofRest }]) =>
        pool && !except.has(id) ? tripsPulled(pool, totalDrawn(ofRest)) : [],
      );
      return new Set([...of.pulledElsewhere, ...ofPools]);
    },
  };
  const own = of.chosen.map(([model, count]) => ({ model, count }));
  const presentCash = own.length === 0 ? nothing : addedBy(rest, own).cash;
  const options = of.ways.map(([model, count, dates, findings]) =>
    optionFigures({
      model,
      chosenCount: own.find((fill) => fill.model === model)?.count ?? null,
      count,
      rest,
      presentCash,
      dates,
      findings,
    }),
  );
  const yardstick = yardstickOf(options);
  const sides = new Map<number, SideOfComparison>();
  const yardstickSide = (count: number): SideOfComparison | null => {
    if (!yardstick) return null;
    let side = sides.get(count);
    if (!side) {
      const { cash, stash, minutes } =
        count === yardstick.count ? yardstick.added : addedBy(rest, [{ model: yardstick.model, count }]);
      side = { cost: cash.likely + stash, minutes, atLeast: cash.atLeast };
      sides.set(count, side);
    }
    return side;
  };
  return {
    yardstickId: yardstick?.option.id ?? null,
    options: options.map((option) => {
      const isYardstick = option === yardstick;
      const against = yardstickSide(option.count);
      const side = { cost: costOf(option), minutes: option.hoursAdded, atLeast: option.cashAdded.atLeast };
      const comparison: Comparison =
        option.count === 0 ? { kind: 'noYardstick' } : compareWithYardstick(side, against, isYardstick);
      return {
        yardstickSide: against,
        comparison,
        beatsYardstick: beatsYardstick(comparison, of.hourValue),
        worthUpTo: worthOfOption(option, against, isYardstick, { rest, ...of }),
        ...option,
      };
    }),
  };
}

/** Options whose figures came out the same stay the very objects that they were, so that nothing of them is redrawn. */
function keepEqual(before: SlotFigures, now: SlotFigures): SlotFigures {
  const options = now.options.map((option) => {
    const was = before.options.find((known) => known.option.id === option.option.id);
    return was && sameFigures(was, option) ? was : option;
  });
  const isSame =
    now.yardstickId === before.yardstickId &&
    options.length === before.options.length &&
    options.every((option, n) => option === before.options[n]);
  return isSame ? before : { ...now, options };
}

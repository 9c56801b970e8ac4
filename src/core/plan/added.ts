import { type Amount, addAmounts, differenceByEnds, inOrder, nothing } from '../kernel/amount';
import { fromMicro } from '../kernel/micro';
import { addMinutes, type Minutes, minutesFromMicro, noMinutes, sureMinutes } from '../kernel/minutes';
import { type DrawTotals, drawsOfFills } from './drawTotals';
import { ownHandsOf } from './model/optionModel';
import type { PlanModel, PlannedFill } from './model/planModel';
import { type CashView, type PoolCost, poolCost, tripsPulled } from './model/poolCost';
import {
  type Draw,
  type Drawn,
  drawnTogether,
  drawOf,
  nothingDrawn,
  type Pool,
  type Total,
  totalDrawn,
} from './model/pools';

/** What one pool contributes to a figure: its cost with the fills, less its cost without them. */
export interface AddedLine {
  draw: Draw;
  pool: Pool;
  /** What the rest of the plan draws, and what is drawn with the fills. */
  before: Total;
  after: Total;
  /** By ends, not put in order, so that lines add up at every end. */
  cash: Amount;
  stashMicro: number;
  handsMicro: number;
}

/** What fills add to the rest of a plan, line by line; the figures are the sums of the lines. */
export interface Added {
  lines: readonly AddedLine[];
  /** Hands-on time that they share with nobody, in millionths of a minute. */
  ownHands: Minutes;
  cash: Amount;
  /** Minor units. */
  stash: number;
  minutes: Minutes;
}

/** The pools that options of a slot draw from, and what the rest of the plan draws from each. */
export interface RestOfPlan {
  poolOf(draw: Draw): Pool | undefined;
  drawnFrom(draw: Draw): Drawn;
  /** Trips on which the rest of the plan fetches supplies, other than some that are looked at themselves. */
  tripsPulled(except: ReadonlySet<string>): ReadonlySet<string>;
}

/** Nothing else is planned: the same pools, and nobody else draws. */
export function alone(of: RestOfPlan): RestOfPlan {
  return { poolOf: of.poolOf, drawnFrom: () => nothingDrawn, tripsPulled: () => new Set() };
}

/**
 * What fills of one slot add to what the other slots draw: C(X with them) − C(X with the slot left out), and stash and
 * hours in the same way (definitions of the figures). Only the pools that they draw from are looked at; all others
 * cancel.
 * @param rest the plan without the slot, or nothing beside the fills: {@link alone}
 * @param fills all of one slot
 * @param view `toGo` for what is neither paid nor ordered yet; `full` for what it costs, paid or not
 * @returns figures with the lines that they are the sums of; no fills add nothing
 * @example two pieces painted from one can of $24: each adds $0 of it to a plan with the other, and $24 alone
 */
export function addedBy(rest: RestOfPlan, fills: readonly PlannedFill[], view: CashView = 'toGo'): Added {
  const lines: AddedLine[] = [];
  let cash = nothing;
  let [stashMicro, handsMicro] = [0, 0];
  const add = (draw: Draw, before: Total, after: Total) => {
    const pool = rest.poolOf(draw);
    if (!pool) return;
    const [a, b] = [poolCost(pool, after, view), poolCost(pool, before, view)];
    const line = {
      draw,
      pool,
      before,
      after,
      cash: differenceByEnds(a.cash, b.cash),
      stashMicro: a.stashMicro - b.stashMicro,
      handsMicro: a.handsMicro - b.handsMicro,
    };
    lines.push(line);
    cash = addAmounts(cash, line.cash);
    stashMicro += line.stashMicro;
    handsMicro += line.handsMicro;
  };
  const trips = new Map<string, { draw: Draw; drawn: Drawn }>();
  for (const { draw, drawn } of drawsOfFills(fills).values()) {
    if (draw.kind === 'trip') {
      trips.set(draw.key, { draw, drawn });
      continue;
    }
    const others = rest.drawnFrom(draw);
    add(draw, totalDrawn(others), totalDrawn(drawnTogether(others, drawn)));
  }
  // Trips come last: which of them fetch a supply follows from the packs that it takes, with the fills and without.
  const pulled = {
    before: new Set(lines.flatMap(({ pool, before }) => tripsPulled(pool, before))),
    after: new Set(lines.flatMap(({ pool, after }) => tripsPulled(pool, after))),
  };
  for (const tripId of [...pulled.before, ...pulled.after])
    if (!trips.has(tripId)) trips.set(tripId, { draw: drawOf('trip', tripId, 1), drawn: nothingDrawn });
  if (trips.size > 0) {
    const ofOthers = rest.tripsPulled(new Set(lines.map(({ draw }) => draw.poolId)));
    for (const [tripId, { draw, drawn }] of trips) {
      const others = rest.drawnFrom(draw);
      const isPulled = (when: 'before' | 'after') => Number(ofOthers.has(tripId) || pulled[when].has(tripId));
      add(
        draw,
        more(totalDrawn(others), isPulled('before')),
        more(totalDrawn(drawnTogether(others, drawn)), isPulled('after')),
      );
    }
  }
  let ownHands = noMinutes;
  for (const { model, count } of fills) ownHands = addMinutes(ownHands, ownHandsOf(model, count));
  return {
    lines,
    ownHands,
    cash: inOrder(cash),
    stash: Math.round(fromMicro(stashMicro)),
    minutes: minutesFromMicro(addMinutes(ownHands, sureMinutes(handsMicro))),
  };
}

/** A total with so much more. */
const more = ({ amount, parts }: Total, by: number): Total => ({ amount: amount + by, parts });

/** What a whole plan draws and comes to: P or C, S and H of the definitions. */
export interface PlanSums {
  lines: readonly { draw: Draw; pool: Pool; drawn: Total; cost: PoolCost }[];
  /** Supplies that are fetched on trips, with these trips. */
  pulls: readonly { poolId: string; tripIds: readonly string[] }[];
  cash: Amount;
  /** Minor units, not rounded. */
  stash: number;
  minutes: Minutes;
}

/**
 * The sums over a set of fills.
 * @param totals what these fills draw
 * @param view `full` for P, what everything costs; `toGo` for C, without what is paid or promised
 */
export function sumsOf(
  model: PlanModel,
  totals: DrawTotals,
  fills: readonly PlannedFill[],
  view: CashView = 'toGo',
): PlanSums {
  const lines: PlanSums['lines'][number][] = [];
  const pulls: PlanSums['pulls'][number][] = [];
  let cash = nothing;
  let [stashMicro, handsMicro] = [0, 0];
  const add = (draw: Draw, drawn: Total) => {
    const pool = model.pool(draw);
    if (!pool) return;
    const cost = poolCost(pool, drawn, view);
    lines.push({ draw, pool, drawn, cost });
    cash = addAmounts(cash, cost.cash);
    stashMicro += cost.stashMicro;
    handsMicro += cost.handsMicro;
    const tripIds = tripsPulled(pool, drawn);
    if (tripIds.length > 0) pulls.push({ poolId: draw.poolId, tripIds });
  };
  const trips = new Map<string, { draw: Draw; total: Total }>();
  for (const { draw, total } of totals.all()) {
    if (draw.kind === 'trip') trips.set(draw.key, { draw, total });
    else add(draw, total);
  }
  for (const tripId of new Set(pulls.flatMap(({ tripIds }) => tripIds))) {
    const known = trips.get(tripId);
    trips.set(tripId, {
      draw: known?.draw ?? drawOf('trip', tripId, 1),
      total: more(known?.total ?? totalDrawn(nothingDrawn), 1),
    });
  }
  for (const { draw, total } of trips.values()) add(draw, total);
  let hands = sureMinutes(handsMicro);
  for (const { model: option, count } of fills) hands = addMinutes(hands, ownHandsOf(option, count));
  return { lines, pulls, cash, stash: fromMicro(stashMicro), minutes: minutesFromMicro(hands) };
}

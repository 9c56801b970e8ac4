import { dayBegins } from '../calendar/zonedTime';
import { coatings } from '../catalog/coatings';
import { skillFactors } from '../catalog/labor.data';
import type { Amount } from '../kernel/amount';
import { fromMicro } from '../kernel/micro';
import type { ThreePoints } from '../kernel/pertBeta';
import { QuantileTable } from '../kernel/pertBetaQuantile';
import { correlationOfRanks, ranksOf } from '../kernel/rankCorrelation';
import { seededRandom } from '../kernel/seededRandom';
import { MS_PER_DAY } from '../kernel/units';
import type { Plan } from '../plan/computePlan';
import { ownHandsOf } from '../plan/model/optionModel';
import type { SupplyPool } from '../plan/model/pools';
import { optionDates } from '../plan/optionDates';
import { coatingRateKey } from '../recipe/stack';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import { isFilm } from '../technique/sheetWork';
import { type PurchaseStep, purchaseSteps, stepAt } from './purchaseSteps';

/** How often a plan is drawn, and what the draws begin from. */
export const DRAWS = 10_000;
const SEED = 1;

/** How many prices are ranked by how far the money follows them. */
const MOST_RANKED = 8;

/** Hands-on minutes that an ordinary week has a day, on the average: two hours on five days, five on two. */
const MINUTES_A_DAY = (5 * 120 + 2 * 300) / 7;

/** What one cause of the spread is. */
export type Cause = { kind: 'minutes' } | { kind: 'skill' } | { kind: 'coverage' } | { kind: 'price'; name: string };

/** How a figure comes out over all draws. */
export interface Spread {
  low: number;
  middle: number;
  high: number;
  /** How many draws fall into each of twenty equal steps from the least to the most. */
  steps: readonly number[];
  least: number;
  most: number;
}

/** How sure a plan is. */
export interface PlanDraws {
  /** Cash to go, minor units; nine of ten draws lie above `low`, nine of ten below `high`. */
  cash: Spread;
  /** Hands-on time, minutes. */
  minutes: Spread;
  /** Chances from 0 to 1: of more money than there is, of more hours, of something not ready before the reveal. */
  overBudget: number;
  overHours: number | null;
  late: number | null;
  /** How often what is kept back covers what comes on top of the likely cash. */
  reserveCovers: number;
  /** What moves cash, and hours, most: by rank correlation, the strongest first, three at the most. */
  moves: { cash: readonly Driver[]; minutes: readonly Driver[] };
}

/** A cause, and how far the figure follows it, from −1 to 1. */
export interface Driver {
  cause: Cause;
  correlation: number;
}

/** A price that may come out otherwise; for a supply the whole purchase moves with it. */
interface PriceLine {
  name: string;
  table: QuantileTable;
  /** How far it can move, minor units. */
  widthMinor: number;
}

/** A supply whose need moves with how far it spreads. */
interface SupplyLine extends PriceLine {
  needMicro: number;
  steps: readonly PurchaseStep[];
  rate: QuantileTable;
  usualRate: number;
}

/** What one draw reads. */
interface Lines {
  fixedCash: number;
  prices: readonly PriceLine[];
  supplies: readonly SupplyLine[];
  fixedMinutes: number;
  /** Work of every choice, which moves with skill. */
  hands: readonly QuantileTable[];
  skill: QuantileTable;
  usualSkill: number;
}

const pointsOf = ({ low, likely, high }: Pick<Amount, 'low' | 'likely' | 'high'>): ThreePoints => ({
  low: Math.min(low, likely),
  usual: likely,
  high: Math.max(high, likely),
});

const sure: ThreePoints = { low: 1, usual: 1, high: 1 };

/** How far a coating spreads, as its table has it; sure where a label or the stylist said so, or it is no coating. */
function rateOf(plan: Plan, pool: SupplyPool): ThreePoints {
  const coating = coatings.find(partsOfSupplyKey(pool.key).kindId);
  if (!coating || isFilm(coating) || pool.isAlways || pool.cut) return sure;
  const { source } = plan.assumptions.get(coatingRateKey(coating), [`supply:${pool.key}`]);
  return source.kind === 'label' || source.kind === 'you' ? sure : coating.spreadingRate;
}

function linesOf(plan: Plan): Lines {
  const prices: PriceLine[] = [];
  const supplies: SupplyLine[] = [];
  let [fixedCash, fixedMinutes] = [0, 0];
  for (const { pool, drawn, cost } of plan.sums.lines) {
    const { cash } = cost;
    fixedMinutes += fromMicro(cost.handsMicro);
    if (pool.kind === 'supply' && drawn.parts.length === 0) {
      const rate = rateOf(plan, pool);
      const most = Math.ceil((drawn.amount * rate.usual) / rate.low);
      const steps = purchaseSteps(pool, most);
      const likely = Math.max(1, cash.likely);
      const factor = { low: cash.low / likely, likely: 1, high: cash.high / likely };
      if (steps && !pool.isAlways) {
        supplies.push({
          name: pool.name,
          widthMinor: cash.high - cash.low,
          table: new QuantileTable(cash.likely > 0 ? pointsOf(factor) : sure),
          needMicro: drawn.amount,
          steps,
          rate: new QuantileTable(rate),
          usualRate: rate.usual,
        });
        continue;
      }
    }
    if (cash.low === cash.high) fixedCash += cash.likely;
    else
      prices.push({ name: nameOf(pool), widthMinor: cash.high - cash.low, table: new QuantileTable(pointsOf(cash)) });
  }
  const hands = plan.chosen.map(({ model, count }) => {
    const own = ownHandsOf(model, count);
    // What is stated, like placing, moves with nobody's skill.
    const stated = model.hands.onceMicro + model.hands.eachMicro * count;
    fixedMinutes += fromMicro(stated);
    const work = (micro: number) => fromMicro(micro - stated);
    return new QuantileTable(pointsOf({ low: work(own.low), likely: work(own.likely), high: work(own.high) }));
  });
  const { skill: skillId } = plan.rows.project;
  const isSaid = plan.assumptions.get(`skill.${skillId}`).source.kind === 'you';
  const figure = isSaid ? sure : skillFactors[skillId];
  return {
    fixedCash,
    prices,
    supplies,
    fixedMinutes,
    hands,
    skill: new QuantileTable(figure),
    usualSkill: figure.usual,
  };
}

function nameOf(pool: Plan['sums']['lines'][number]['pool']): string {
  switch (pool.kind) {
    case 'find':
      return pool.find.name;
    case 'order':
      return pool.offer.name;
    case 'supply':
    case 'tool':
    case 'trip':
      return pool.name;
    case 'session':
      return '';
    default:
      return pool satisfies never;
  }
}

/** What many draws came to, and what each of them began from: chances from 0 to 1. */
interface Drawn {
  cash: Float64Array;
  minutes: Float64Array;
  byMinutes: Float64Array;
  bySkill: Float64Array;
  byCoverage: Float64Array;
  /** For each price that moves, in the order of {@link movingPrices}. */
  byPrice: readonly Float64Array[];
}

const movingPrices = ({ prices, supplies }: Lines): PriceLine[] =>
  [...prices, ...supplies].filter(({ table }) => !table.isSure);

/** Draws the lines so many times. */
function draw(lines: Lines, count: number): Drawn {
  const random = seededRandom(SEED);
  const list = () => new Float64Array(count);
  const moving = movingPrices(lines);
  const placeOf = new Map(moving.map((line, n) => [line, n]));
  const drawn = {
    cash: list(),
    minutes: list(),
    byMinutes: list(),
    bySkill: list(),
    byCoverage: list(),
    byPrice: moving.map(list),
  };
  for (let n = 0; n < count; n += 1) {
    const [byMinutes, bySkill, byCoverage] = [random(), random(), random()];
    drawn.byMinutes[n] = byMinutes;
    drawn.bySkill[n] = bySkill;
    drawn.byCoverage[n] = byCoverage;
    const priceOf = (line: PriceLine): number => {
      const place = placeOf.get(line);
      if (place === undefined) return line.table.at(0);
      const chance = random();
      const chances = drawn.byPrice[place];
      if (chances) chances[n] = chance;
      return line.table.at(chance);
    };
    let cash = lines.fixedCash;
    for (const line of lines.prices) cash += priceOf(line);
    for (const line of lines.supplies) {
      const need = (line.needMicro * line.usualRate) / line.rate.at(byCoverage);
      cash += (stepAt(line.steps, need)?.cash ?? 0) * priceOf(line);
    }
    drawn.cash[n] = Math.round(cash);
    let work = 0;
    for (const table of lines.hands) work += table.at(byMinutes);
    drawn.minutes[n] = lines.fixedMinutes + (work * lines.skill.at(bySkill)) / lines.usualSkill;
  }
  return drawn;
}

/** The causes of the spread with what each draw began from; of prices only the widest can be among the three strongest. */
function causesOf(lines: Lines, drawn: Drawn): { cause: Cause; ranks: Float64Array }[] {
  const prices = movingPrices(lines)
    .map(({ name, widthMinor }, n) => ({ name, widthMinor, chances: drawn.byPrice[n] ?? new Float64Array() }))
    .sort((a, b) => b.widthMinor - a.widthMinor)
    .slice(0, MOST_RANKED);
  const causes: [Cause, Float64Array][] = [
    [{ kind: 'minutes' }, drawn.byMinutes],
    [{ kind: 'skill' }, drawn.bySkill],
    [{ kind: 'coverage' }, drawn.byCoverage],
    ...prices.map(({ name, chances }): [Cause, Float64Array] => [{ kind: 'price', name }, chances]),
  ];
  return causes.map(([cause, values]) => ({ cause, ranks: ranksOf(values) }));
}

/** The share of values for which something holds. */
function share(values: Float64Array, holds: (value: number) => boolean): number {
  let hits = 0;
  for (const value of values) if (holds(value)) hits += 1;
  return hits / values.length;
}

/**
 * How sure a plan is: drawn many times, each draw with one skill, one bias of minutes and one of coverage for the whole
 * project, and every price by itself (PERT-beta, λ = 4; a modelling choice). The same plan gives the same answer.
 * What is late follows from the hours: what a draw takes more than is likely is added at the pace of an ordinary week.
 */
export function drawPlan(plan: Plan, count = DRAWS): PlanDraws {
  const lines = linesOf(plan);
  const drawn = draw(lines, count);
  const { cash, minutes } = drawn;
  const causes = causesOf(lines, drawn);
  const drivers = (figure: Float64Array): Driver[] => {
    const own = ranksOf(figure);
    return causes
      .map(({ cause, ranks }) => ({ cause, correlation: correlationOfRanks(ranks, own) }))
      .filter(({ correlation }) => Math.abs(correlation) > 0.05)
      .sort((a, b) => Math.abs(b.correlation) - Math.abs(a.correlation))
      .slice(0, 3);
  };
  const { money, hands } = plan.purse;
  const moneyLeft = plan.rows.project.budget - money.spent - money.promised;
  const hoursLeft = hands.onHandMinutes === null ? null : hands.onHandMinutes - hands.doneMinutes;
  return {
    cash: spreadOf(cash),
    minutes: spreadOf(minutes),
    overBudget: share(cash, (value) => value > moneyLeft),
    overHours: hoursLeft === null ? null : share(minutes, (value) => value > hoursLeft + 1e-6),
    late: lateness(plan, minutes),
    reserveCovers: share(cash, (value) => value <= money.planned.likely + money.keptBack.likely),
    moves: { cash: drivers(cash), minutes: drivers(minutes) },
  };
}

/** The chance that something is not ready before the reveal; null where there is no reveal, or nothing is chosen. */
function lateness(plan: Plan, minutes: Float64Array): number | null {
  const { revealDate, timeZone } = plan.rows.project;
  if (revealDate === null || plan.chosen.length === 0) return null;
  const reveal = dayBegins(revealDate, timeZone);
  const last = Math.max(
    ...plan.chosen.map(({ model, count }) => optionDates(plan.model, model, count, plan.asOfMs).usableMs),
  );
  const likely = plan.sums.minutes.likely;
  return share(minutes, (value) => {
    const moreDays = Math.max(0, value - likely) / MINUTES_A_DAY;
    return last + moreDays * MS_PER_DAY > reveal;
  });
}

const STEPS = 20;

/** The tenths at both ends, the middle, and a picture in twenty steps. */
export function spreadOf(values: Float64Array): Spread {
  const sorted = Float64Array.from(values).sort();
  const at = (share: number) => sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;
  const [least, most] = [sorted[0] ?? 0, sorted.at(-1) ?? 0];
  const steps = Array.from({ length: STEPS }, () => 0);
  for (const value of sorted) {
    const step = most > least ? Math.min(STEPS - 1, Math.floor(((value - least) / (most - least)) * STEPS)) : 0;
    steps[step] = (steps[step] ?? 0) + 1;
  }
  return { low: at(0.1), middle: at(0.5), high: at(0.9), steps, least, most };
}

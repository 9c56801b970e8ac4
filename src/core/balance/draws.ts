import { dayBegins } from '../calendar/zonedTime';
import { QuantileTable } from '../kernel/pertBetaQuantile';
import { correlationOfRanks, ranksOf } from '../kernel/rankCorrelation';
import { seededRandom } from '../kernel/seededRandom';
import { MS_PER_DAY } from '../kernel/units';
import type { OptionPlan, Plan } from '../plan/computePlan';
import { optionDates } from '../plan/optionDates';
import { type DrawLines, linesOfOption, linesOfPlan, type PriceLine } from './drawLines';
import { stepAt } from './purchaseSteps';

/** How often a plan is drawn, and what the draws begin from. */
export const DRAWS = 10_000;
const SEED = 1;

/** How the mending of a single flaw may go otherwise than was thought: half or twice as long (modelling choice). */
const noiseOfFlaw = new QuantileTable({ low: 0.5, usual: 1, high: 2 });

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

const movingPrices = ({ prices, supplies }: DrawLines): PriceLine[] =>
  [...prices, ...supplies].filter(({ table }) => !table.isSure);

/** Draws the lines so many times. */
function draw(lines: DrawLines, count: number): Drawn {
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
    for (const { table, noise } of lines.hands) work += table.at(byMinutes) * noise.at(random());
    let mending = 0;
    for (const minutes of lines.flaws) mending += minutes * noiseOfFlaw.at(random());
    drawn.minutes[n] = lines.fixedMinutes + mending + (work * lines.skill.at(bySkill)) / lines.usualSkill;
  }
  return drawn;
}

/** The causes of the spread with what each draw began from; of prices only the widest can be among the three strongest. */
function causesOf(lines: DrawLines, drawn: Drawn): { cause: Cause; ranks: Float64Array }[] {
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
 * project, and every price, coat and flaw by itself (PERT-beta, λ = 4; a modelling choice). The same plan gives the same answer.
 * What is late follows from the hours: what a draw takes more than is likely is added at the pace of an ordinary week.
 */
export function drawPlan(plan: Plan, count = DRAWS): PlanDraws {
  const lines = linesOfPlan(plan);
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

/** What an option may come to by itself: cash and hands-on time, its packs and sessions shared with nothing. */
export interface OptionDraws {
  cash: Spread;
  minutes: Spread;
}

/** Draws an option by itself, as {@link drawPlan} draws a plan. */
export function drawOption(plan: Plan, option: OptionPlan, count = DRAWS): OptionDraws {
  const { cash, minutes } = draw(linesOfOption(plan, option), count);
  return { cash: spreadOf(cash), minutes: spreadOf(minutes) };
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

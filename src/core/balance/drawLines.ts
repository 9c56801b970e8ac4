import { coatings } from '../catalog/coatings';
import { flawMinutes } from '../catalog/inspections';
import { skillFactors } from '../catalog/labor.data';
import type { Amount } from '../kernel/amount';
import { fromMicro } from '../kernel/micro';
import type { ThreePoints } from '../kernel/pertBeta';
import { QuantileTable } from '../kernel/pertBetaQuantile';
import type { OptionPlan, Plan, PlannedFill } from '../plan/computePlan';
import { type OptionModel, ownHandsOf } from '../plan/model/optionModel';
import type { Pool, SupplyPool, Total } from '../plan/model/pools';
import { coatingRateKey } from '../recipe/stack';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import { isFilm } from '../technique/sheetWork';
import { type PurchaseStep, purchaseSteps } from './purchaseSteps';

/** A price that may come out otherwise; for a supply the whole purchase moves with it. */
export interface PriceLine {
  name: string;
  table: QuantileTable;
  /** How far it can move, minor units. */
  widthMinor: number;
}

/** A supply whose need moves with how far it spreads. */
export interface SupplyLine extends PriceLine {
  needMicro: number;
  steps: readonly PurchaseStep[];
  rate: QuantileTable;
  usualRate: number;
}

/** Work of one choice: what it takes, and how its coats may go otherwise than the whole project does. */
export interface HandsLine {
  table: QuantileTable;
  noise: QuantileTable;
}

/** How much quicker or slower than the rest a single coat may go (modelling choice). */
const COAT_OFF = 0.3;
const noises = new Map<number, QuantileTable>();

/** The noise of so many coats together, as a factor: what goes wrong with one seldom goes wrong with all, so it shrinks with √n. */
export function noiseOfCoats(coats: number): QuantileTable {
  const known = noises.get(coats);
  if (known) return known;
  const off = COAT_OFF / Math.sqrt(coats);
  const table = new QuantileTable({ low: 1 - off, usual: 1, high: 1 + off });
  noises.set(coats, table);
  return table;
}

/** What one draw reads. */
export interface DrawLines {
  fixedCash: number;
  prices: readonly PriceLine[];
  supplies: readonly SupplyLine[];
  fixedMinutes: number;
  /** Work of every choice, which moves with skill. */
  hands: readonly HandsLine[];
  /** Minutes that the flaws of pieces take, each by itself. */
  flaws: readonly number[];
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
export function rateOf(plan: Plan, pool: SupplyPool): ThreePoints {
  const coating = coatings.find(partsOfSupplyKey(pool.key).kindId);
  if (!coating || isFilm(coating) || pool.isAlways || pool.cut) return sure;
  const { source } = plan.assumptions.get(coatingRateKey(coating), [`supply:${pool.key}`]);
  return source.kind === 'label' || source.kind === 'you' ? sure : coating.spreadingRate;
}

/** What a plan, or an option by itself, draws from one pool, and what that comes to. */
interface PoolLine {
  pool: Pool;
  drawn: Total;
  cash: Amount;
  handsMicro: number;
}

/** The lines of a whole plan. */
export const linesOfPlan = (plan: Plan): DrawLines =>
  linesFrom(
    plan,
    plan.sums.lines.map(({ pool, drawn, cost }) => ({ pool, drawn, cash: cost.cash, handsMicro: cost.handsMicro })),
    plan.chosen,
  );

/** The lines of an option by itself: nothing is shared with what else is chosen. */
export const linesOfOption = (plan: Plan, { alone, model, count }: OptionPlan): DrawLines =>
  linesFrom(
    plan,
    alone.lines.map(({ pool, after, cash, handsMicro }) => ({ pool, drawn: after, cash, handsMicro })),
    [{ model, count }],
  );

/** The coats that a choice lays: how often its work begins anew and may go otherwise. */
const coatsOf = ({ recipe }: OptionModel): number =>
  Math.max(1, recipe?.steps.filter(({ kind }) => kind === 'coat').length ?? 1);

/** The minutes of flaws that are mended by themselves; a makeover mends them in its own steps. */
const flawsOf = ({ finds, recipe }: OptionModel): number[] =>
  recipe ? [] : finds.map(({ inspected }) => flawMinutes(inspected)).filter((minutes) => minutes > 0);

function linesFrom(plan: Plan, of: readonly PoolLine[], fills: readonly PlannedFill[]): DrawLines {
  const prices: PriceLine[] = [];
  const supplies: SupplyLine[] = [];
  let [fixedCash, fixedMinutes] = [0, 0];
  for (const { pool, drawn, cash, handsMicro } of of) {
    fixedMinutes += fromMicro(handsMicro);
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
      prices.push({
        name: nameOfPool(pool),
        widthMinor: cash.high - cash.low,
        table: new QuantileTable(pointsOf(cash)),
      });
  }
  const flaws = fills.flatMap(({ model }) => flawsOf(model));
  fixedMinutes -= flaws.reduce((sum, minutes) => sum + minutes, 0);
  const hands = fills.map(({ model, count }): HandsLine => {
    const own = ownHandsOf(model, count);
    // What is stated, like placing, moves with nobody's skill.
    const stated = model.hands.onceMicro + model.hands.eachMicro * count;
    fixedMinutes += fromMicro(stated);
    const work = (micro: number) => fromMicro(micro - stated);
    const points = pointsOf({ low: work(own.low), likely: work(own.likely), high: work(own.high) });
    return { table: new QuantileTable(points), noise: noiseOfCoats(coatsOf(model)) };
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
    flaws,
    skill: new QuantileTable(figure),
    usualSkill: figure.usual,
  };
}

/** What a pool is called; a session has no name of its own. */
export function nameOfPool(pool: Pool): string {
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

import type { CutLayout } from '@core/cutting/layout';
import type { CutQuestion } from '@core/cutting/question';
import type { Plan } from '@core/plan/computePlan';
import { madeBody } from '@core/plan/madeBody';
import { type CutPurchase, cutPurchaseOf, cutQuestionOf } from '@core/plan/model/cutPurchase';
import type { SupplyPool, Total } from '@core/plan/model/pools';
import { takenBy } from '@core/plan/takenBy';

/** A stock that is cut, with the layout of all that is cut from it together. */
export interface CutStockView {
  supply: SupplyPool;
  total: Total;
  question: CutQuestion;
  cut: CutPurchase;
  layout: CutLayout;
}

/** How a stock is cut for a total; null where nothing is cut from it. */
export function cutStockView(plan: Plan, key: string, total: Total): CutStockView | null {
  const supply = plan.model.supply(key);
  const question = cutQuestionOf(supply, total);
  const cut = cutPurchaseOf(supply, total);
  // What is shown is what is cut: whole parts.
  return question && cut
    ? { supply, total: { ...total, parts: question.parts }, question, cut, layout: cut.layout }
    : null;
}

/** Every stock that the chosen makeovers cut, all together, by name. */
export function chosenStocks(plan: Plan): CutStockView[] {
  return plan.sums.lines
    .flatMap(({ pool, drawn }) => (pool.kind === 'supply' ? (cutStockView(plan, pool.key, drawn) ?? []) : []))
    .sort((a, b) => a.supply.name.localeCompare(b.supply.name) || (a.supply.key < b.supply.key ? -1 : 1));
}

/** What one recipe cuts from a stock by itself. */
export function recipeStocks(plan: Plan, recipeId: string): CutStockView[] {
  const row = plan.rows.recipes.find(({ id }) => id === recipeId);
  const computed = plan.model.recipe(recipeId);
  if (!row || !computed) return [];
  return [...takenBy(computed, madeBody(plan.rows, row))].flatMap(
    ([key, total]) => cutStockView(plan, key, total) ?? [],
  );
}

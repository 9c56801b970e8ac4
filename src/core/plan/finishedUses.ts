import type { Offcut } from '../cutting/question';
import { fromMicro } from '../kernel/micro';
import type { RowOf } from '../model/rows';
import type { RecipePlan } from '../recipe/computeRecipe';
import type { RecipeBody } from '../recipe/recipeBody';
import { cutPurchaseOf } from './model/cutPurchase';
import type { PlanModel } from './model/planModel';
import type { SupplyPool } from './model/pools';
import { takenBy } from './takenBy';

/** What a finished recipe takes off the shelf of one supply. */
export interface FinishedUse {
  supply: SupplyPool;
  amount: number;
  cut: RowOf<'supplyUses'>['cut'];
}

/**
 * What a recipe takes off the shelf once it is done: amounts, and of what is cut the units that its own layout takes,
 * with the leftovers that it cut into and those that it leaves. What came from bought units that nobody wrote down
 * leaves its rest all the same.
 * @param newId makes an id for each leftover
 */
export function finishedUses(model: PlanModel, plan: RecipePlan, body: RecipeBody, newId: () => string): FinishedUse[] {
  return [...takenBy(plan, body)].map(([key, total]) => {
    const supply = model.supply(key);
    const cut = cutPurchaseOf(supply, total);
    if (cut === null) return { supply, amount: fromMicro(total.amount), cut: null };
    const { units } = cut.layout;
    const taken = new Map<string, number>();
    for (const { origin } of units) if (origin.kind === 'offcut') taken.set(origin.id, (taken.get(origin.id) ?? 0) + 1);
    const left: Offcut[] = units.flatMap((unit) =>
      unit.leftovers.map(({ widthMm, lengthMm }) => ({ id: newId(), widthMm, lengthMm, count: 1 })),
    );
    const offcuts = supply.offcuts.flatMap((offcut) => {
      const count = taken.get(offcut.id) ?? 0;
      return count > 0 ? [{ ...offcut, count }] : [];
    });
    // Leftovers are counted by themselves; the stash gives only what is whole.
    return { supply, amount: fromMicro(cut.wholeMicro), cut: { taken: offcuts, left } };
  });
}

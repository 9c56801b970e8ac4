import { openedLifeMonths, supplyKind } from '../catalog/supplyKinds';
import type { Lab } from '../color/lab';
import type { Amount } from '../kernel/amount';
import { subtractAmounts } from '../kernel/amount';
import type { PackPurchase } from '../pricing/cheapestPacks';
import { needsOf } from '../recipe/needsOf';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import type { Plan } from './computePlan';
import { madeBody } from './madeBody';

/** Pieces that one can of a color serves. */
export interface ColorFamily {
  supplyKey: string;
  name: string;
  color: Lab;
  uses: { recipeId: string; name: string; pieces: number; amount: number }[];
  /** What all of them take together, in the supply's unit. */
  need: number;
  stash: number;
  purchase: PackPurchase;
  /** What is left when all are done. */
  left: number;
  /** How long an opened can keeps, months, or null when nothing is said. */
  keepsMonths: number | null;
  /** What one more piece like the average of these would take, and add in cash. */
  oneMore: { amount: number; cash: Amount };
}

/**
 * The makeovers of a project by the can they share, the widest family first. Done ones count no more. One more piece is
 * taken as the average of those there (a modelling choice); what it adds is whole packs, so often nothing.
 */
export function colorFamilies(plan: Plan): ColorFamily[] {
  const families = new Map<string, ColorFamily['uses']>();
  for (const recipe of plan.rows.recipes) {
    const computed = plan.model.recipe(recipe.id);
    if (!computed || recipe.doneOn !== null) continue;
    const body = madeBody(plan.rows, recipe);
    for (const [key, amount] of needsOf(computed, body)) {
      if (partsOfSupplyKey(key).colorCardId === null) continue;
      const pieces = body.pieces.reduce((sum, piece) => sum + piece.count, 0);
      const uses = families.get(key) ?? [];
      uses.push({ recipeId: recipe.id, name: recipe.name, pieces, amount });
      families.set(key, uses);
    }
  }
  return [...families]
    .flatMap(([supplyKey, uses]): ColorFamily[] => {
      const { kindId, colorCardId } = partsOfSupplyKey(supplyKey);
      const card = plan.rows.colorCards.find((candidate) => candidate.id === colorCardId);
      if (!card || !supplyKind(kindId)) return [];
      const supply = plan.model.supply(supplyKey);
      const need = uses.reduce((sum, use) => sum + use.amount, 0);
      const pieces = uses.reduce((sum, use) => sum + use.pieces, 0);
      const purchase = plan.model.purchase(supplyKey, need);
      const amount = need / Math.max(1, pieces);
      return [
        {
          supplyKey,
          name: supply.name,
          color: card.lab,
          uses,
          need,
          stash: supply.stash,
          purchase,
          left: Math.max(0, supply.stash + purchase.size - need),
          keepsMonths: openedLifeMonths(kindId),
          oneMore: {
            amount,
            cash: subtractAmounts(plan.model.purchase(supplyKey, need + amount).cash, purchase.cash),
          },
        },
      ];
    })
    .sort((a, b) => b.uses.length - a.uses.length || b.need - a.need || (a.supplyKey < b.supplyKey ? -1 : 1));
}

import type { Coating } from '../catalog/coating';
import { coatings } from '../catalog/coatings';
import { severityRank, worstSeverity } from '../kernel/finding';
import type { Memo } from '../kernel/memo';
import { fromMicro } from '../kernel/micro';
import { MS_PER_DAY } from '../kernel/units';
import type { RecipeRow } from '../model/rows';
import { Plan } from '../plan/computePlan';
import { neededMicro, purchaseOf } from '../plan/model/poolCost';
import { hasOwnPurpose, likeCoatings } from '../recipe/likeCoatings';
import type { RecipeBody } from '../recipe/recipeBody';
import { partsOfSupplyKey, supplyKey } from '../recipe/supplyKey';
import { withStandIn } from '../recipe/withStandIn';
import { type Sheen, sheens } from '../state/surfaceState';

/** Another coating that does what one on the shopping list does, and holds where that one would lie. */
export interface StandIn {
  coatingId: string;
  name: string;
  sheen: Sheen;
  /** Whether it shines as the one on the list does. */
  isSameSheen: boolean;
  /** What the whole plan costs more with it, minor units, and how much longer it takes, minutes; below 0 for less. */
  moreCashMinor: number;
  moreMinutes: number;
  /** Days by which the last of what it lies on is usable later; below 0 for earlier. */
  laterDays: number;
  /** What there is of it in the house, and whether that reaches. */
  stash: number;
  isThere: boolean;
  /** The recipes as they are with it. */
  recipes: readonly { id: string; body: RecipeBody }[];
}

/** The sheen of a coating that comes nearest to one; null where it is sold in none. */
function nearestSheen(coating: Coating, wanted: Sheen | null): Sheen | null {
  const off = (sheen: Sheen) => (wanted === null ? 0 : Math.abs(sheens.indexOf(sheen) - sheens.indexOf(wanted)));
  return [...coating.sheens].sort((a, b) => off(a) - off(b))[0] ?? null;
}

/** The recipes of what is chosen that lay a supply and are not done yet. */
function recipesWith(plan: Plan, key: string): RecipeRow[] {
  const ids = new Set(
    plan.chosen.flatMap(({ model }) =>
      model.recipe && !model.isDone && model.recipe.layers.some((layer) => layer.supplyKey === key)
        ? [model.recipe.recipeId]
        : [],
    ),
  );
  return plan.rows.recipes.filter(({ id }) => ids.has(id));
}

/** Primers that are made for every ground that one lies on, and hold back and bond as it does. */
function primersLike(plan: Plan, own: Coating, key: string, recipes: readonly RecipeRow[]): Coating[] {
  const grounds = new Set(
    recipes.flatMap(({ id }) => {
      const recipe = plan.recipes.get(id);
      const layers = new Set(recipe?.layers.flatMap((layer) => (layer.supplyKey === key ? [layer.id] : [])));
      return [...(recipe?.stacks.values() ?? [])].flatMap((stack) =>
        stack.flatMap(({ layerId, below }) => (layers.has(layerId) ? [below.substrateId] : [])),
      );
    }),
  );
  return coatings.all.filter(
    ({ id, primer, group }) =>
      primer !== null &&
      id !== own.id &&
      group === own.group &&
      [...grounds].every((ground) => primer.madeFor.includes(ground)) &&
      (primer.blocksBleed || !own.primer?.blocksBleed) &&
      (primer.bondsWithoutScuff || !own.primer?.bondsWithoutScuff) &&
      (primer.tintable || !own.primer?.tintable),
  );
}

/** How severe the worst is that is said of what these recipes make, way by way. */
function worstOf(plan: Plan, recipeIds: ReadonlySet<string>): { rank: number; isRefused: boolean } {
  const options = plan.chosen.flatMap(({ model }) =>
    recipeIds.has(model.option.recipeId ?? '') ? (plan.option(model.option.id) ?? []) : [],
  );
  return {
    rank: severityRank[worstSeverity(options.flatMap(({ findings }) => findings)) ?? 'note'],
    isRefused: options.some(({ refused }) => refused),
  };
}

/**
 * What can be bought in the place of a coating: products of the same kind and color that hold in every recipe of what is
 * chosen which lays it, and of which nothing worse is said. Each is tried in the plan itself, so its figures are those of
 * the board afterwards.
 * @param memo what trial plans remember of each other
 * @returns the same sheen first, then by what the plan costs with it; none for what is no coating
 */
export function standInsFor(plan: Plan, key: string, newId: () => string, memo: Memo): StandIn[] {
  const { kindId, colorCardId, sheen } = partsOfSupplyKey(key);
  const own = coatings.find(kindId);
  const recipes = recipesWith(plan, key);
  if (!own || own.role === 'film' || hasOwnPurpose(own) || recipes.length === 0) return [];
  const ids = new Set(recipes.map(({ id }) => id));
  const before = worstOf(plan, ids);
  const usable = (of: Plan) =>
    Math.max(
      ...of.chosen.map(({ model }) =>
        ids.has(model.option.recipeId ?? '') ? (of.option(model.option.id)?.usableMs ?? 0) : 0,
      ),
    );
  const tries = (own.role === 'primer' ? primersLike(plan, own, key, recipes) : likeCoatings(own))
    // What is brushed is not sprayed instead: that is another piece of work.
    .filter((coating) => coating.unit === own.unit && coating.role === own.role)
    .flatMap((coating): { coating: Coating; sheen: Sheen }[] => {
      const nearest = nearestSheen(coating, sheen);
      return nearest === null ? [] : [{ coating, sheen: nearest }];
    });
  const found = tries.flatMap(({ coating, sheen: tried }): StandIn[] => {
    const bodies: { id: string; body: RecipeBody }[] = [];
    for (const { id, body } of recipes) {
      const recipe = plan.recipes.get(id);
      const changed = recipe && withStandIn(body, recipe, key, { coatingId: coating.id, sheen: tried }, newId);
      if (!changed) return [];
      bodies.push({ id, body: changed });
    }
    const changed = new Map(bodies.map(({ id, body }) => [id, body]));
    const rows = {
      ...plan.rows,
      recipes: plan.rows.recipes.map((row) => ({ ...row, body: changed.get(row.id) ?? row.body })),
    };
    const after = new Plan(rows, plan.asOfMs, memo, plan.model.cutter);
    const then = worstOf(after, ids);
    if (then.isRefused || then.rank > before.rank || after.sums.cash.atLeast) return [];
    const laid = supplyKey(coating.id, colorCardId, tried);
    const pool = after.model.supply(laid);
    const drawn = after.totals.of(`supply ${laid}`);
    return [
      {
        coatingId: coating.id,
        name: pool.name,
        sheen: tried,
        isSameSheen: tried === sheen,
        moreCashMinor: after.sums.cash.likely - plan.sums.cash.likely,
        moreMinutes: after.sums.minutes.likely - plan.sums.minutes.likely,
        laterDays: Math.round((usable(after) - usable(plan)) / MS_PER_DAY),
        stash: pool.isAlways ? 0 : pool.stash,
        isThere: purchaseOf(pool, drawn).packs.length === 0 && fromMicro(neededMicro(pool, drawn)) > 0,
        recipes: bodies,
      },
    ];
  });
  return found.sort(
    (a, b) =>
      Number(b.isSameSheen) - Number(a.isSameSheen) ||
      a.moreCashMinor - b.moreCashMinor ||
      a.moreMinutes - b.moreMinutes,
  );
}

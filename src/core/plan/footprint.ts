import type { FindRow, OfferRow, OptionRow, ProjectRows, SlotRow } from '../model/rows';
import type { RecipePlan } from '../recipe/computeRecipe';

/** Minutes as a range: low, likely, high. */
export interface Minutes {
  low: number;
  likely: number;
  high: number;
}

/** What one option draws on for each piece of the slot's quantity; the plan's sums are built from these alone. */
export interface Footprint {
  option: OptionRow;
  slot: SlotRow;
  finds: FindRow[];
  offers: { offer: OfferRow; pieces: number }[];
  recipe: RecipePlan | null;
  /** Supply amounts for one of the quantity. */
  needs: Map<string, number>;
  sessions: Map<string, number>;
  /** Run minutes for one of the quantity, without overhead. */
  run: Minutes;
  /** Minutes once for the option, as stated: placing, mending. */
  fixedMinutes: number;
  /** Minutes for one of the quantity, as stated: assembling. */
  pieceMinutes: number;
  toolIds: readonly string[];
  /** Whether its recipe is done: nothing more is bought for it or worked on it. */
  done: boolean;
  /** How many of the slot's quantity it can cover. */
  capacity: number;
}

/** Placing what is owned, or found and wiped: usual minutes while the stylist says nothing (estimated). */
export const usualPlacingMinutes = { own: 10, asFound: 15, makeover: 0, make: 0, buyNew: 0 } as const;

/** The footprint of an option; parts that point nowhere are left out. */
export function footprintOf(
  option: OptionRow,
  slot: SlotRow,
  recipes: ReadonlyMap<string, RecipePlan>,
  index: RowIndex,
): Footprint {
  const finds: FindRow[] = [];
  const offers: Footprint['offers'] = [];
  const recipe = option.recipeId === null ? null : (recipes.get(option.recipeId) ?? null);
  const done = recipe !== null && index.done.has(recipe.recipeId);
  const needs = new Map<string, number>();
  const run: Minutes = { low: 0, likely: 0, high: 0 };
  let capacity = Number.POSITIVE_INFINITY;
  let pieceMinutes = 0;
  let fixedMinutes = option.handsOnMinutes ?? usualPlacingMinutes[option.kind];
  for (const part of option.parts) {
    const find = part.findId === null ? undefined : index.finds.get(part.findId);
    const offer = part.offerId === null ? undefined : index.offers.get(part.offerId);
    if (find) {
      finds.push(find);
      if (!done) fixedMinutes += find.repairMinutes;
      capacity = Math.min(capacity, Math.floor(find.count / part.pieces));
      const take = done ? undefined : recipe?.takes.get(find.id);
      if (take) {
        for (const [key, amount] of take.needs) needs.set(key, (needs.get(key) ?? 0) + amount * part.pieces);
        run.low += take.runLow * part.pieces;
        run.likely += take.runMinutes * part.pieces;
        run.high += take.runHigh * part.pieces;
      }
    }
    if (offer) {
      offers.push({ offer, pieces: part.pieces });
      pieceMinutes += offer.assemblyMinutes * part.pieces;
    }
  }
  return {
    option,
    slot,
    finds,
    offers,
    recipe,
    needs,
    sessions: recipe && needs.size > 0 ? recipe.sessions : new Map(),
    run,
    fixedMinutes,
    pieceMinutes,
    done,
    toolIds: recipe && needs.size > 0 ? recipe.toolIds : [],
    capacity: Number.isFinite(capacity) ? capacity : slot.quantity,
  };
}

/** Rows by id, built once a plan. */
export interface RowIndex {
  finds: ReadonlyMap<string, FindRow>;
  offers: ReadonlyMap<string, OfferRow>;
  /** Recipes that are done. */
  done: ReadonlySet<string>;
}

export function indexRows(rows: ProjectRows): RowIndex {
  return {
    finds: new Map(rows.finds.map((row) => [row.id, row])),
    offers: new Map(rows.offers.map((row) => [row.id, row])),
    done: new Set(rows.recipes.filter((row) => row.doneOn !== null).map((row) => row.id)),
  };
}

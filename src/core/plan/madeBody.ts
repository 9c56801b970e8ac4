import type { ProjectRows, RecipeRow } from '../model/rows';
import type { RecipeBody } from '../recipe/recipeBody';
import { isMade, workpieceId } from '../recipe/workpiece';

const countsOfRows = new WeakMap<ProjectRows, ReadonlyMap<string, ReadonlyMap<string, number>>>();
const bodies = new WeakMap<RecipeBody, Map<string, RecipeBody>>();

/** Stands for how often a recipe is made from scratch, beside the ids of finds. */
const TIMES_MADE = '';

/** How many pieces of each find the choices take through each recipe, and how often it is made from scratch. */
function chosenCounts(rows: ProjectRows): ReadonlyMap<string, ReadonlyMap<string, number>> {
  const known = countsOfRows.get(rows);
  if (known) return known;
  const options = new Map(rows.options.map((option) => [option.id, option]));
  const counts = new Map<string, Map<string, number>>();
  for (const fill of rows.fills) {
    const option = options.get(fill.optionId);
    if (!option || option.recipeId === null) continue;
    const made = counts.get(option.recipeId) ?? new Map<string, number>();
    for (const { findId, pieces } of option.parts)
      if (findId !== null) made.set(findId, (made.get(findId) ?? 0) + pieces * fill.count);
    if (option.kind === 'make') made.set(TIMES_MADE, (made.get(TIMES_MADE) ?? 0) + fill.count);
    counts.set(option.recipeId, made);
  }
  countsOfRows.set(rows, counts);
  return counts;
}

/**
 * A recipe as it will be made: as many like pieces as the choices take of each find. Until something is chosen, the
 * recipe's own count stands. The same counts give the same object, so that what was computed from it holds.
 * @example a slot asks for two and both are chosen → two pieces, whatever the recipe was first thought for
 */
export function madeBody(rows: ProjectRows, recipe: RecipeRow): RecipeBody {
  const { body } = recipe;
  const counts = chosenCounts(rows).get(recipe.id);
  // The first piece of a find stands for all like it; an own entry beside it keeps its count.
  const seen = new Set<string>();
  const wanted = body.pieces.map((piece) => {
    const id = workpieceId(piece);
    const chosen = seen.has(id) ? undefined : counts?.get(id);
    seen.add(id);
    const times = isMade(piece) ? counts?.get(TIMES_MADE) : undefined;
    return Math.min(200, times === undefined ? (chosen ?? piece.count) : times * piece.count);
  });
  if (wanted.every((count, n) => count === body.pieces[n]?.count)) return body;
  const key = wanted.join();
  const made = bodies.get(body) ?? new Map<string, RecipeBody>();
  bodies.set(body, made);
  const known = made.get(key);
  if (known) return known;
  const after = { ...body, pieces: body.pieces.map((piece, n) => ({ ...piece, count: wanted[n] ?? piece.count })) };
  made.set(key, after);
  return after;
}

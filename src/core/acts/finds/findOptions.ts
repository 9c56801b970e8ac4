import type { FindRow, ProjectRows } from '../../model/rows';
import { type Decision, refuse } from '../act';

/** The ids of the options that use a find. */
export const optionsWith = (rows: ProjectRows, findId: string): ReadonlySet<string> =>
  new Set(
    rows.options.filter((option) => option.parts.some((part) => part.findId === findId)).map((option) => option.id),
  );

/** Why a find cannot go with its options: a makeover that stays covers it too. Null where nothing stands in the way. */
export function coveredElsewhere(rows: ProjectRows, find: FindRow): Decision | null {
  const gone = optionsWith(rows, find.id);
  const left = rows.options.filter((option) => !gone.has(option.id));
  const covered = rows.recipes.find(
    (recipe) =>
      recipe.body.pieces.some((piece) => piece.findId === find.id) &&
      (left.some((option) => option.recipeId === recipe.id) ||
        !rows.options.some((option) => option.recipeId === recipe.id)),
  );
  return covered
    ? refuse('id', find.name, `a find that “${covered.name}” does not cover; take it out of that makeover first`)
    : null;
}

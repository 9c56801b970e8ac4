import type { FindRow, ProjectRows } from '../../model/rows';
import { withoutPiece } from '../../recipe/withoutPiece';
import { type Decision, isRefusal, refuse } from '../act';
import { type RowChange, update } from '../changes';
import { removeOptions } from '../rowActs';
import { after } from '../rowsAfter';

/**
 * Takes a find out of the project's ways: the options that use it go with their choices, and makeovers that stay for
 * other finds go on without it. One that is done is a record and is not changed: then the find can only be put away.
 * @returns the changes, or what stands in the way
 */
export function withoutFind(rows: ProjectRows, find: FindRow, isKept: boolean): Decision {
  const uses = (option: ProjectRows['options'][number]) => option.parts.some((part) => part.findId === find.id);
  const gone = new Set(rows.options.filter(uses).map(({ id }) => id));
  const left = rows.options.filter(({ id }) => !gone.has(id));
  const changes: RowChange[] = [];
  const recipeIds = new Set<string>();
  for (const recipe of rows.recipes) {
    const own = recipe.body.pieces.filter((piece) => piece.findId === find.id);
    const stays =
      left.some((option) => option.recipeId === recipe.id) ||
      !rows.options.some((option) => option.recipeId === recipe.id);
    if (own.length === 0 || !stays) continue;
    if (recipe.doneOn !== null) {
      if (isKept) continue;
      return refuse(
        'id',
        find.name,
        `a find that “${recipe.name}”, which is done, was not made of; this one can be put away`,
      );
    }
    const body = own.reduce((rest, { id }) => withoutPiece(rest, id), recipe.body);
    const isOrphan = body.pieces.length === 0 && !left.some((option) => option.recipeId === recipe.id);
    if (isOrphan) recipeIds.add(recipe.id);
    else changes.push(update('recipes', recipe.id, { body }));
  }
  return [...changes, ...removeOptions(rows, (option) => gone.has(option.id), { recipeIds })];
}

/**
 * Takes finds out of the project's ways and puts them away, one after the other, since the ways of one may be those of
 * the next.
 */
export function putAwayFinds(rows: ProjectRows, finds: readonly FindRow[]): Decision {
  const changes: RowChange[] = [];
  let present = rows;
  for (const find of finds) {
    const left = withoutFind(present, find, true);
    if (isRefusal(left)) return left;
    const own = [...left, update('sightings', find.id, { archived: true })];
    changes.push(...own);
    present = after(present, own);
  }
  return changes;
}

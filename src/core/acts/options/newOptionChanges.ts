import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import type { ProjectRows } from '../../model/rows';
import { type Decision, isRefusal, refuse } from '../act';
import { insert, type RowChange } from '../changes';
import { newFindChanges } from '../finds/addFind';
import { findSchema } from '../finds/findFields';
import { after } from '../rowsAfter';
import { refuseLent } from './lentPiece';

/** A new way to fill a slot with whatever is new about it: the find, the offer, the recipe, the color. */
export const newOption = z.strictObject({
  option: rowSchema('options'),
  find: findSchema.nullable(),
  offer: rowSchema('offers').nullable(),
  recipe: rowSchema('recipes').nullable(),
  colorCard: rowSchema('colorCards').nullable(),
});
export type NewOption = z.output<typeof newOption>;

/** What a new way adds. */
export function newOptionChanges(rows: ProjectRows, payload: NewOption): Decision {
  const { option, find, offer, recipe, colorCard } = payload;
  if (!rows.slots.some((slot) => slot.id === option.slotId))
    return refuse('option.slotId', option.slotId, 'a slot of this project');
  for (const part of option.parts) {
    if (part.findId !== null && part.findId !== find?.id && !rows.finds.some((row) => row.id === part.findId))
      return refuse('option.parts', part.findId, 'a find of this project');
    if (part.offerId !== null && part.offerId !== offer?.id && !rows.offers.some((row) => row.id === part.offerId))
      return refuse('option.parts', part.offerId, 'an offer of this project');
  }
  if (option.recipeId !== null) {
    const lent = refuseLent(
      rows,
      option.parts.map((part) => part.findId),
      'option.parts',
    );
    if (lent) return lent;
    if (option.recipeId !== recipe?.id && !rows.recipes.some((row) => row.id === option.recipeId))
      return refuse('option.recipeId', option.recipeId, 'a recipe of this project');
  }
  return [
    ...(colorCard ? [insert('colorCards', colorCard)] : []),
    ...(find ? newFindChanges(rows, find) : []),
    ...(offer ? [insert('offers', offer)] : []),
    ...(recipe ? [insert('recipes', recipe)] : []),
    insert('options', option),
  ];
}

/** A new way without what is there already: its color, find, offer or recipe, brought by another before it. */
function withoutKnown(rows: ProjectRows, payload: NewOption): NewOption {
  const unlessIn = <R extends { id: string }>(table: readonly { id: string }[], row: R | null): R | null =>
    row && table.some(({ id }) => id === row.id) ? null : row;
  return {
    option: payload.option,
    find: unlessIn(rows.sightings, payload.find),
    offer: unlessIn(rows.offers, payload.offer),
    recipe: unlessIn(rows.recipes, payload.recipe),
    colorCard: unlessIn(rows.colorCards, payload.colorCard),
  };
}

/** What several new ways add, one after the other; what one brought the next ones may use, and bring no second time. */
export function newOptionsChanges(rows: ProjectRows, payloads: readonly NewOption[]): Decision {
  const changes: RowChange[] = [];
  let present = rows;
  for (const payload of payloads) {
    const own = newOptionChanges(present, withoutKnown(present, payload));
    if (isRefusal(own)) return own;
    changes.push(...own);
    present = after(present, own);
  }
  return changes;
}

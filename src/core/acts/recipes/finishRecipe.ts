import { z } from 'zod';
import { substrates } from '../../catalog/substrates';
import { rowSchema } from '../../model/entities';
import { id, localDate, registered } from '../../model/fields';
import { recipeBodySchema } from '../../model/values/recipeBody';
import { lab, sheen } from '../../model/values/surface';
import { projectAct, refuse } from '../act';
import { insert, type RowChange, update } from '../changes';
import { planAsWorkBegan, workBegan } from '../closing/workBegan';
import { afterCutting } from '../supplies/afterCutting';

/** Marks a recipe as done: the supplies that it used leave the stash, with a record of what they were used on. */
export const finishRecipe = projectAct({
  kind: 'finishRecipe',
  title: 'Done, and taken off the shelf',
  payload: z.strictObject({
    recipeId: id,
    doneOn: localDate,
    uses: z.array(rowSchema('supplyUses')).max(60, 'at most 60 supplies'),
    /** The recipe with what was there written down, and the house's pieces as they are now. */
    body: recipeBodySchema.optional(),
    pieces: z
      .array(z.strictObject({ id, finishId: registered(substrates), sheen, color: lab.nullable() }))
      .max(30, 'at most 30 pieces')
      .default([]),
    freeze: planAsWorkBegan,
  }),
  decide: (rows, payload) => {
    const recipe = rows.recipes.find((row) => row.id === payload.recipeId);
    if (!recipe) return refuse('recipeId', payload.recipeId, 'a recipe of this project');
    if (recipe.doneOn !== null) return refuse('recipeId', recipe.name, 'a recipe that is not done yet');
    const changes: RowChange[] = [];
    for (const { id: pieceId, ...surface } of payload.pieces) {
      if (!rows.pieces.some((row) => row.id === pieceId)) return refuse('pieces.id', pieceId, 'a piece of the house');
      changes.push(update('pieces', pieceId, surface));
    }
    const taken = new Set<string>();
    const uses: string[] = [];
    for (const use of payload.uses) {
      const supply = rows.supplies.find((row) => row.id === use.supplyId);
      if (!supply) return refuse('uses.supplyId', use.supplyId, 'a supply of the studio');
      if (taken.has(supply.id)) return refuse('uses.supplyId', use.supplyId, 'each supply once');
      taken.add(supply.id);
      // What is noted is what really left the shelf: that much comes back when the recipe is not done after all.
      const there = supply.stash.state === 'none' ? 0 : supply.stash.amount;
      const amount = supply.stash.state === 'always' ? use.amount : Math.min(there, use.amount);
      const left = there - amount;
      const offcuts = use.cut === null ? supply.offcuts : afterCutting(supply.offcuts, use.cut);
      // What nobody counts is there as before.
      if (supply.stash.state !== 'always' || use.cut !== null)
        changes.push(
          update('supplies', supply.id, {
            ...(supply.stash.state === 'always'
              ? {}
              : {
                  stash: left > 0 ? { state: 'about' as const, amount: left } : { state: 'none' as const, amount: 0 },
                }),
            ...(use.cut === null ? {} : { offcuts }),
            openedOn: supply.openedOn ?? payload.doneOn,
          }),
        );
      changes.push(insert('supplyUses', { ...use, amount }));
      uses.push(use.id);
    }
    return [
      ...changes,
      ...workBegan(rows, payload.freeze),
      update('recipes', recipe.id, {
        doneOn: payload.doneOn,
        uses,
        ...(payload.body ? { body: payload.body } : {}),
      }),
    ];
  },
});

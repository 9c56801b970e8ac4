import type { RecipePlan } from './computeRecipe';

/**
 * The layer that a recipe is told by: the last that was chosen and is neither a primer nor there only to protect. Paper
 * counts, though what it is laid in is clear, and so does a wash, be it of thinned primer. Null where nothing such was chosen.
 */
export function mainLayer({ layers }: Pick<RecipePlan, 'layers'>): RecipePlan['layers'][number] | null {
  return (
    layers
      .filter(
        ({ origin, coating, sheet, technique }) =>
          origin === 'chosen' &&
          (sheet !== null ||
            technique.family === 'translucent' ||
            (coating.role !== 'primer' && coating.role !== 'clear')),
      )
      .at(-1) ?? null
  );
}

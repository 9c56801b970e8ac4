import { mostOf } from '../model/finds';
import type { FindRow, ProjectRows } from '../model/rows';

/** How many of a find are asked for, are there, and are made: three numbers that should be one. */
export interface Quantities {
  /** By the slots that have a way to use it, each slot once. */
  asked: number;
  /** That serve; infinite where nobody counted. */
  there: number;
  /** By the recipe, or null where nothing is made of it. */
  made: number | null;
}

/**
 * The quantities of a find.
 * @param recipeId only the slots with a way through this recipe are asked; null for all that use the find
 * @param made how many the recipe makes
 */
export function quantitiesOf(
  rows: ProjectRows,
  find: FindRow,
  recipeId: string | null,
  made: number | null,
): Quantities {
  const perSlot = new Map<string, number>();
  for (const option of rows.options) {
    if (recipeId !== null && option.recipeId !== recipeId) continue;
    const pieces = option.parts.filter((part) => part.findId === find.id).reduce((sum, part) => sum + part.pieces, 0);
    if (pieces > 0) perSlot.set(option.slotId, Math.max(perSlot.get(option.slotId) ?? 0, pieces));
  }
  const asked = rows.slots.reduce(
    (sum, slot) => sum + (slot.leftOut ? 0 : (perSlot.get(slot.id) ?? 0) * slot.quantity),
    0,
  );
  return { asked, there: mostOf(find), made };
}

/** What does not agree among the quantities of a find, in a sentence; empty where they do, or nothing asks for it. */
export function quantityWords({ asked, there, made }: Quantities): string {
  if (asked === 0) return made !== null && made > there ? `${made} made, ${there} there.` : '';
  const parts = [
    ...(there < asked ? [`${asked} asked for, ${there} there`] : []),
    ...(made !== null && made !== Math.min(asked, there)
      ? [made > there ? `${made} made of ${there}` : `${made} made, ${Math.min(asked, there)} wanted`]
      : []),
  ];
  return parts.length === 0 ? '' : `${parts.join('; ')}.`;
}

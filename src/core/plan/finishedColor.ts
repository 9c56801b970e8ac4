import type { Lab } from '../color/lab';
import type { OptionModel } from './model/optionModel';

/** What of an option decides its color. */
type Colored = Pick<OptionModel, 'recipe' | 'finds' | 'offers'>;

/** The color of an option's piece as it is now; null where nobody knows it, or it is not there yet. */
export const presentColor = ({ finds, offers }: Pick<OptionModel, 'finds' | 'offers'>): Lab | null =>
  finds[0]?.color ?? offers[0]?.offer.color ?? null;

/** The color that an option's piece will have: of the last coat that shows, else its present one; null where unknown. */
export function finishedColor(model: Colored): Lab | null {
  const shows = model.recipe
    ? [...model.recipe.stacks.values()]
        .flat()
        .filter((entry) => entry.coats.hiding !== null || entry.leaves.color !== null)
        .at(-1)?.leaves.color
    : null;
  return shows ?? presentColor(model);
}

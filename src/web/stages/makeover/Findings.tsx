import { saidOnce } from '@core/recipe/saidOnce';
import { Caution } from './Caution';
import type { RecipeAccess } from './useRecipe';

/** Findings of a recipe beside its steps; the same thing said of several zones stands once and names them all. */
export function Findings(props: { recipe: RecipeAccess }) {
  const { recipe } = props;
  const besideSteps = recipe.plan.findings.filter((finding) => finding.where.kind !== 'step');
  return saidOnce(besideSteps, 'joint').map((finding) => (
    <Caution key={`${finding.code}-${finding.where.id}`} finding={finding} recipeId={recipe.row.id} recipe={recipe} />
  ));
}

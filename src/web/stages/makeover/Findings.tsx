import type { Finding } from '@core/kernel/finding';
import { Caution } from './Caution';
import type { RecipeAccess } from './useRecipe';

/** Findings of a recipe beside its steps; the same thing said of several zones stands once and names them all. */
export function Findings(props: { recipe: RecipeAccess }) {
  const { recipe } = props;
  const shown: Finding[] = [];
  for (const finding of recipe.plan.findings) {
    if (finding.where.kind === 'step') continue;
    const same = shown.findIndex(
      (other) =>
        other.code === finding.code &&
        other.figures.coating === finding.figures.coating &&
        other.figures.reason === finding.figures.reason &&
        other.where.kind === 'joint',
    );
    const known = shown[same];
    if (finding.where.kind !== 'joint' || !known) shown.push(finding);
    else
      shown[same] = { ...known, figures: { ...known.figures, zone: `${known.figures.zone}, ${finding.figures.zone}` } };
  }
  return shown.map((finding) => (
    <Caution key={`${finding.code}-${finding.where.id}`} finding={finding} recipeId={recipe.row.id} recipe={recipe} />
  ));
}

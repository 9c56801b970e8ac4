import { preparations } from '../../catalog/preparations.data';
import type { RecipePlan } from '../../recipe/computeRecipe';
import { isPreparation } from '../../state/preparation';
import type { Step } from '../../state/step';
import { laborKey } from '../../technique';

/** The assumptions that the run minutes of a step go by. */
export function rateKeysOf(recipe: RecipePlan, step: Step): string[] {
  const layer = recipe.layers.find((candidate) => candidate.id === step.layerId);
  if (step.kind === 'coat' && layer) return [laborKey(layer.technique.rate)];
  const work = recipe.works.find((candidate) => candidate.id === step.layerId);
  if (step.kind === 'work' && work) return [laborKey(work.technique.rate)];
  if (step.kind === 'sandBetween') return ['labor.sandBetweenMinutesPerM2'];
  if (step.kind === 'mask') return ['labor.maskMeterMinutesEach', 'prepare.tapePerEdge'];
  const kind = isPreparation(step.kind) ? step.kind : null;
  if (!kind) return [];
  const { rate } = preparations[kind];
  return [rate === 'sealEdge' ? 'labor.sealEdgeMinutesEach' : `labor.${rate}MinutesPerM2`];
}

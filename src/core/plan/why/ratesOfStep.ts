import { preparations } from '../../catalog/preparations.data';
import type { RecipePlan } from '../../recipe/computeRecipe';
import { buildStepId } from '../../recipe/steps/buildWorks';
import { coatWork, type LaidOn } from '../../recipe/steps/coatMinutes';
import { cutMeters, cutRateKey } from '../../recipe/steps/sheetSteps';
import { isPreparation } from '../../state/preparation';
import type { Step } from '../../state/step';
import { laborKey } from '../../technique';

/** What run minutes of a step go by: a rate, and how often it is taken where that is not the area. */
export interface StepRate {
  /** The assumption of the rate. */
  key: string;
  /** All pieces together; null where the rate is by the area of the zones. */
  units: number | null;
}

/** The rates that the run minutes of a step go by, each with its units. */
export function ratesOfStep(recipe: RecipePlan, step: Step): StepRate[] {
  if (step.kind === 'coat' && step.layerId !== null) return ratesOfCoat(recipe, step);
  if (step.kind === 'cut' && step.layerId !== null) return ratesOfCut(recipe, step);
  const work = recipe.works.find((candidate) => candidate.id === step.layerId);
  if (step.kind === 'work' && work) return [byArea(laborKey(work.technique.rate))];
  if (step.kind === 'sandBetween') return [byArea('labor.sandBetweenMinutesPerM2')];
  if (step.kind === 'mask') return ['labor.maskMeterMinutesEach', 'prepare.tapePerEdge'].map(byArea);
  if (isPreparation(step.kind)) {
    const { rate } = preparations[step.kind];
    return [byArea(rate === 'sealEdge' ? 'labor.sealEdgeMinutesEach' : `labor.${rate}MinutesPerM2`)];
  }
  return ratesOfBuild(recipe, step);
}

const byArea = (key: string): StepRate => ({ key, units: null });

/** A step's zones with what its layer lays there. */
function laidIn(recipe: RecipePlan, step: Step): LaidOn[] {
  return recipe.zones.flatMap((zone) => {
    if (!step.zoneKeys.includes(zone.key)) return [];
    const entry = recipe.stacks.get(zone.key)?.find(({ layerId }) => layerId === step.layerId);
    return entry ? [{ zone, entry }] : [];
  });
}

function ratesOfCoat(recipe: RecipePlan, step: Step): StepRate[] {
  const layer = recipe.layers.find(({ id }) => id === step.layerId);
  if (!layer) return [];
  const taken = new Map<string, number | null>();
  for (const laid of laidIn(recipe, step)) {
    const { rates, least } = coatWork(layer, laid, step.coat ?? 1);
    for (const { key, units, byArea: isArea } of [...rates, ...(least ? [least] : [])])
      taken.set(key, isArea ? null : (taken.get(key) ?? 0) + units * laid.zone.pieceCount);
  }
  return [...taken].map(([key, units]) => ({ key, units }));
}

function ratesOfCut(recipe: RecipePlan, step: Step): StepRate[] {
  const laid = laidIn(recipe, step);
  const units = laid.reduce((sum, one) => sum + cutMeters(one) * one.zone.pieceCount, 0);
  return [{ key: cutRateKey(laid), units }];
}

function ratesOfBuild(recipe: RecipePlan, step: Step): StepRate[] {
  for (const { piece, plan } of recipe.built) {
    const work = plan.works.find(({ id }) => buildStepId(piece.id, id) === step.id);
    if (work) return [{ key: laborKey({ each: work.rate }), units: work.units * piece.count }];
  }
  return [];
}

import { preparations } from '../../catalog/preparations.data';
import type { RecipePlan } from '../../recipe/computeRecipe';
import type { StackEntry } from '../../recipe/stack';
import { buildStepId } from '../../recipe/steps/buildWorks';
import { LAID_SHEET_KEY, laysSmallSheets } from '../../recipe/steps/layerSteps';
import { CUT_BY_HAND_KEY, CUT_BY_MACHINE_KEY, cutMeters } from '../../recipe/steps/sheetSteps';
import type { ZonePlan } from '../../recipe/zonePlans';
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
function laidIn(recipe: RecipePlan, step: Step): { zone: ZonePlan; entry: StackEntry }[] {
  return recipe.zones.flatMap((zone) => {
    if (!step.zoneKeys.includes(zone.key)) return [];
    const entry = recipe.stacks.get(zone.key)?.find(({ layerId }) => layerId === step.layerId);
    return entry ? [{ zone, entry }] : [];
  });
}

function ratesOfCoat(recipe: RecipePlan, step: Step): StepRate[] {
  const layer = recipe.layers.find(({ id }) => id === step.layerId);
  if (!layer) return [];
  const { technique } = layer;
  if ((step.coat ?? 1) > 1 && technique.laterRate !== null) return [byArea(laborKey({ perM2: technique.laterRate }))];
  const laid = laidIn(recipe, step);
  const works = new Map<string, number>();
  for (const { zone, entry } of laid)
    for (const { rate, units } of entry.sheet?.demand.work ?? []) {
      const key = laborKey({ each: rate });
      works.set(key, (works.get(key) ?? 0) + units * zone.pieceCount);
    }
  if (works.size > 0) return [...works].map(([key, units]) => ({ key, units }));
  const sheets = laid.reduce(
    (sum, { zone, entry }) => sum + (entry.sheet?.demand.laidPieces ?? 0) * zone.pieceCount,
    0,
  );
  const key = laborKey(technique.rate);
  if ('each' in technique.rate) return [sheets > 0 ? { key, units: sheets } : byArea(key)];
  const usual = byArea(key);
  return laysSmallSheets(technique) && sheets > 0 ? [usual, { key: LAID_SHEET_KEY, units: sheets }] : [usual];
}

function ratesOfCut(recipe: RecipePlan, step: Step): StepRate[] {
  const laid = laidIn(recipe, step);
  const byMachine = laid.some(({ entry }) => entry.sheet?.demand.byMachine ?? false);
  const units = laid.reduce((sum, one) => sum + cutMeters(one) * one.zone.pieceCount, 0);
  return [{ key: byMachine ? CUT_BY_MACHINE_KEY : CUT_BY_HAND_KEY, units }];
}

function ratesOfBuild(recipe: RecipePlan, step: Step): StepRate[] {
  for (const { piece, plan } of recipe.built) {
    const work = plan.works.find(({ id }) => buildStepId(piece.id, id) === step.id);
    if (work) return [{ key: laborKey({ each: work.rate }), units: work.units * piece.count }];
  }
  return [];
}

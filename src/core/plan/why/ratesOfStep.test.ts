import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { readProjectFile } from '../../formats/project/read';
import type { Explained } from '../../kernel/explained';
import { computePlan, type Plan } from '../computePlan';
import { explainStep } from './explainStep';
import { ratesOfStep } from './ratesOfStep';

/** The demo that cuts, sews, builds and letters: every kind of work that goes by the piece or the meter. */
function diningNook(): Plan {
  const path = fileURLToPath(new URL('../../../../demo/3-dining-nook.project.json', import.meta.url));
  const read = readProjectFile(JSON.parse(readFileSync(path, 'utf8')));
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return computePlan(read.file, Date.parse(read.file.asOf));
}

const plan = diningNook();
const skill = plan.assumptions.number(`skill.${plan.rows.project.skill}`);
const steps = plan.rows.recipes.flatMap(({ id }) => {
  const recipe = plan.model.recipe(id);
  return (recipe?.steps ?? []).flatMap((step) => (recipe && !step.skipped ? [{ recipe, step }] : []));
});
const workOf = (tree: Explained) => tree.because.find(({ label }) => label === 'Work');

describe('the rates that minutes of a step go by', () => {
  const byPieces = steps.filter(({ recipe, step }) => {
    const rates = ratesOfStep(recipe, step);
    return rates.length > 0 && rates.every(({ units }) => units !== null) && step.overruled.length === 0;
  });

  it('are told for cutting, building and lettering, each with how often', () => {
    expect(new Set(byPieces.map(({ step }) => step.kind)).size).toBeGreaterThanOrEqual(3);
    expect(byPieces.length).toBeGreaterThan(20);
  });

  it('add up to the minutes of the step, at the hand of the project', () => {
    for (const { recipe, step } of byPieces) {
      const detail = Math.max(
        1,
        ...step.zoneKeys.flatMap((key) => {
          const zone = recipe.zones.find((candidate) => candidate.key === key);
          const layer = recipe.layers.find(({ id }) => id === step.layerId);
          return zone && layer && step.kind === 'coat' ? [layer.technique.detailFactor(zone.zone.detail)] : [];
        }),
      );
      const minutes = ratesOfStep(recipe, step).reduce(
        (sum, { key, units }) => sum + (units ?? 0) * plan.assumptions.number(key),
        0,
      );
      expect(step.runMinutes, step.title).toBeGreaterThanOrEqual(minutes * skill - 1e-6);
      expect(step.runMinutes, step.title).toBeLessThanOrEqual(minutes * skill * detail + 1e-6);
    }
  });

  it('stand in the reasons of the step: the area only where a rate goes by it', () => {
    for (const { recipe, step } of steps) {
      if (step.overruled.length > 0 || step.kind === 'own') continue;
      const rates = ratesOfStep(recipe, step);
      const work = workOf(explainStep(plan, recipe, step));
      const labels = work?.because.map(({ label }) => label) ?? [];
      const hasArea = labels.some((label) => label.startsWith('Area'));
      expect(hasArea, step.title).toBe(rates.some(({ units }) => units === null));
      expect(labels.length, step.title).toBeGreaterThanOrEqual(rates.length + 1);
    }
  });

  it('leave no work without a reason but taking apart and putting back, which go by the piece', () => {
    const unexplained = steps
      .filter(
        ({ recipe, step }) => step.runMinutes > 0 && step.kind !== 'own' && ratesOfStep(recipe, step).length === 0,
      )
      .map(({ step }) => step.kind);
    const byThePiece = ['dismantle', 'reassemble', 'testPatch', 'own'];
    expect(unexplained.filter((kind) => !byThePiece.includes(kind))).toEqual([]);
  });
});

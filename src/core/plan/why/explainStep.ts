import { type Explained, explain } from '../../kernel/explained';
import { calculated, commonPractice, fromYou } from '../../kernel/source';
import type { RecipePlan } from '../../recipe/computeRecipe';
import type { Step } from '../../state/step';
import { cleanUpKey } from '../../technique';
import type { Plan } from '../computePlan';
import { explainArea } from './explainArea';
import { explainAssumption } from './explainAssumption';
import { explainRate } from './explainRate';
import { ratesOfStep } from './ratesOfStep';

/** Why a step takes its minutes, and why it waits before. */
export function explainStep(plan: Plan, recipe: RecipePlan, step: Step): Explained {
  const overhead = plan.assumptions.number('labor.overheadPercent');
  const zones = recipe.zones.filter((zone) => step.zoneKeys.includes(zone.key));
  const layer = recipe.layers.find((candidate) => candidate.id === step.layerId);
  const area = zones.reduce((sum, zone) => sum + zone.areaM2 * zone.pieceCount, 0);
  const isOwn = step.overruled.includes('minutes') || step.kind === 'own';
  const rates = ratesOfStep(recipe, step);
  const byArea = rates.some(({ units }) => units === null);
  const because: Explained[] = [
    explain('Work', step.runMinutes, 'minutes', {
      source: isOwn ? fromYou : step.source,
      note: isOwn
        ? 'your own figure'
        : byArea
          ? 'area × rate × detail × skill'
          : rates.length > 0
            ? 'what there is of each × its rate × detail × skill'
            : 'by the piece and its hardware × skill',
      because: isOwn
        ? []
        : [
            ...(byArea
              ? [
                  explain('Area, all pieces, with texture', area, 'm2', {
                    source: calculated,
                    because: zones.map(explainArea),
                  }),
                ]
              : []),
            ...rates.map((rate) => explainRate(plan, rate)),
            explainAssumption(plan.assumptions, `skill.${plan.rows.project.skill}`),
          ],
    }),
  ];
  if (step.setUpMinutes > 0) because.push(explainAssumption(plan.assumptions, 'session.setUpMinutes'));
  if (step.cleanUpMinutes > 0 && layer) because.push(explainAssumption(plan.assumptions, cleanUpKey(layer.coating)));
  because.push(explainAssumption(plan.assumptions, 'labor.overheadPercent'));
  const entry =
    layer && zones[0] ? recipe.stacks.get(zones[0].key)?.find((one) => one.layerId === layer.id) : undefined;
  const wait = step.after[0]?.allowed[0]?.fromHours ?? 0;
  if (wait > 0)
    because.push(
      explain('Wait before it', wait, 'hours', {
        source: step.overruled.includes('wait') ? fromYou : commonPractice,
        note: step.overruled.includes('wait')
          ? 'your own figure'
          : step.coat === 1 && entry
            ? entry.joint.reason
            : 'drying at the air of the project',
      }),
    );
  const total = (step.setUpMinutes + step.runMinutes + step.cleanUpMinutes) * (1 + overhead / 100);
  return explain('Hands-on', total, 'minutes', { source: calculated, because });
}

import { LEAD_TEST } from '../catalog/labor.data';
import { cautionsFor } from '../safety/cautions';
import type { ZoneUse } from '../surface/zone';
import type { BuiltSteps } from './buildSteps';
import { cutFindings } from './cutFindings';
import { filmFindings } from './filmFindings';
import { lessonFindings } from './lessons';
import type { PlannedBuild } from './plannedBuilds';
import type { RecipeBody } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { safetyFactsOf } from './safetyFacts';
import type { ZoneStacks } from './stack';
import type { ZonePlan } from './zonePlans';

/** Everything there is to know about a recipe: what cannot be used as entered, joints, weather, lessons, cautions. */
export function recipeFindings(of: {
  recipeId: string;
  body: RecipeBody;
  context: RecipeContext;
  zones: readonly ZonePlan[];
  zoneFindings: readonly RecipeFinding[];
  stacked: ZoneStacks;
  built: BuiltSteps;
  making: readonly PlannedBuild[];
  uses: ReadonlySet<ZoneUse>;
}): RecipeFinding[] {
  const { recipeId, zones, stacked, built, context, uses } = of;
  const findings: RecipeFinding[] = [
    ...of.zoneFindings,
    ...stacked.findings(),
    ...built.findings(),
    ...filmFindings(stacked.layers, context),
    ...cutFindings(stacked.layers, stacked, of.making),
    ...lessonFindings(recipeId, zones, stacked.layers, built.steps, context),
  ];
  // Repeats fold into one card per step.
  const placeOf = (finding: RecipeFinding) => `${finding.code} ${finding.where.id}`;
  const said = new Set(findings.map(placeOf));
  const foodSafeFinish = isFoodSafe(zones, stacked);
  for (const { facts, safety } of safetyFactsOf(of.body, zones, stacked.layers, built.steps, context, of.making)) {
    for (const caution of cautionsFor({ uses, foodSafeFinish, ...safety }, recipeId)) {
      if (said.has(placeOf(caution))) continue;
      said.add(placeOf(caution));
      findings.push(caution);
    }
    if (facts.leadTest === 'notTested' && zones.some((zone) => zone.workpieceId === facts.id && zone.noSand))
      findings.push(leadTestOffer(facts));
  }
  return findings;
}

/** Whether every zone that touches food ends in a whole coat that may, by its label, once it is cured. */
function isFoodSafe(zones: readonly ZonePlan[], stacked: ZoneStacks): boolean {
  return zones
    .filter((zone) => zone.zone.use === 'food')
    .every((zone) => {
      const top = stacked.stacks.get(zone.key)?.at(-1);
      const layer = top && stacked.layers.find((candidate) => candidate.id === top.layerId);
      return !layer || (!layer.technique.partial && layer.coating.foodUse === 'afterFullCureIfLabelled');
    });
}

function leadTestOffer(facts: PieceFacts): RecipeFinding {
  return {
    code: 'lead.testOffered',
    severity: 'note',
    where: { kind: 'step', id: 'leadTest' },
    figures: {
      piece: facts.name,
      minutes: LEAD_TEST.minutes,
      kitLow: LEAD_TEST.kit.low,
      kitHigh: LEAD_TEST.kit.high,
    },
    fix: { kind: 'setLeadTest', findId: facts.id },
  };
}

/** The cautions and remarks that belong at a step of a recipe, where its card shows them. */
export function cautionsAt(recipe: { findings: readonly RecipeFinding[] }, stepId: string): RecipeFinding[] {
  return recipe.findings.filter(({ where }) => where.kind === 'step' && where.id === stepId);
}

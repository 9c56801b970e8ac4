import type { Hazard } from '../catalog/coating';
import { mayHoldLead } from '../catalog/substrates';
import type { SafetyFacts } from '../safety/facts';
import type { Step } from '../state/step';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import type { PlannedBuild } from './plannedBuilds';
import type { RecipeBody } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';
import type { PlannedLayer } from './stack';
import { factsOf } from './workpiece';
import type { ZonePlan } from './zonePlans';

/** What a step gives off: its coating, or the mist that seals a print. */
function hazardOf(step: Step, layer: PlannedLayer | undefined): Hazard | null {
  if (step.kind === 'sealInk') return 'aerosol';
  return step.kind === 'coat' ? (layer?.coating.hazard ?? null) : null;
}

/** The neutral record that cautions look at, for each piece of a recipe. */
export function safetyFactsOf(
  body: RecipeBody,
  zones: readonly ZonePlan[],
  layers: readonly PlannedLayer[],
  steps: readonly Step[],
  context: RecipeContext,
  built: readonly PlannedBuild[],
): { facts: PieceFacts; safety: Omit<SafetyFacts, 'uses' | 'foodSafeFinish'> }[] {
  const layerById = new Map(layers.map((layer) => [layer.id, layer]));
  return body.pieces.flatMap((piece) => {
    const facts = factsOf(piece, context);
    if (!facts) return [];
    const own = zones.filter((zone) => zone.pieceId === piece.id);
    const keys = new Set(own.map((zone) => zone.key));
    const template = furnitureTemplates.find(piece.templateId);
    const measures = template ? completeMeasures(template, piece.measures) : {};
    const old = own.filter((zone) => zone.substrate.layer === 'oldFinish' && mayHoldLead(zone.substrate.id));
    return [
      {
        facts,
        safety: {
          steps: steps
            .filter((step) => !step.skipped && step.zoneKeys.some((key) => keys.has(key)))
            .map((step) => {
              const layer = step.layerId === null ? undefined : layerById.get(step.layerId);
              return {
                id: step.id,
                kind: step.kind,
                hazard: hazardOf(step, layer),
                place: step.place,
                tools: step.tools,
              };
            }),
          piece: {
            id: facts.id,
            name: facts.name,
            kind: facts.kind,
            oldFinish: mayHoldLead(facts.finishId) || old.length > 0,
            era: facts.era,
            leadTest: facts.leadTest,
            cordCondition: facts.cordCondition,
            materials: [...new Set(own.map((zone) => zone.material.id))],
            heightMm: template ? (measures[template.overall.height] ?? null) : null,
            storesThings: template?.traits.includes('storesThings') ?? false,
            isShade: template?.traits.includes('shade') ?? false,
            isMusty: own.some((zone) => zone.conditions.includes('musty')),
            traits: built.find((made) => made.piece.id === piece.id)?.plan.traits ?? [],
            disturbedM2: old.reduce((sum, zone) => sum + zone.areaM2 * zone.pieceCount, 0),
          },
          household: context.household,
        },
      },
    ];
  });
}

import { mayHoldLead } from '../catalog/substrates';
import type { SafetyFacts } from '../safety/facts';
import type { Step } from '../state/step';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import type { RecipeBody } from './recipeBody';
import type { PieceFacts, RecipeContext } from './recipeContext';
import type { PlannedLayer } from './stack';
import type { ZonePlan } from './zonePlans';

/** The neutral record that cautions look at, for each piece of a recipe. */
export function safetyFactsOf(
  body: RecipeBody,
  zones: readonly ZonePlan[],
  layers: readonly PlannedLayer[],
  steps: readonly Step[],
  context: RecipeContext,
): { facts: PieceFacts; safety: Omit<SafetyFacts, 'uses' | 'foodSafeFinish'> }[] {
  const layerById = new Map(layers.map((layer) => [layer.id, layer]));
  return body.pieces.flatMap((piece) => {
    const facts = context.pieces.get(piece.findId);
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
                hazard: step.kind === 'coat' ? (layer?.coating.hazard ?? null) : null,
                place: step.place,
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
            disturbedM2: old.reduce((sum, zone) => sum + zone.areaM2 * zone.pieceCount, 0),
          },
          household: context.household,
        },
      },
    ];
  });
}

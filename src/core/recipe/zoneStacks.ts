import { chosenCandidates, coversZone } from './candidates';
import type { Exposed } from './exposed';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { saidOnce } from './saidOnce';
import type { PlannedLayer, StackEntry, ZoneStacks } from './stack';
import type { ZonePlan } from './zonePlans';
import { type Shared, ZoneStacker } from './zoneStacker';

/**
 * Stacks the layers of a recipe on each included zone, checks every joint, and proposes a primer where a joint would
 * fail and a top coat where the finish asks for one. What was dropped stays out, and its joint says what follows.
 */
export function zoneStacksOf(body: RecipeBody, zones: readonly ZonePlan[], context: RecipeContext): ZoneStacks {
  const { chosen, findings } = chosenCandidates(body, context);
  const shared: Shared = {
    layers: new Map(),
    works: new Map(),
    remarks: findings.map((finding) => () => finding),
  };
  const stacks = new Map<string, StackEntry[]>();
  const exposed = new Map<string, Exposed>();
  for (const zone of zones) {
    if (!zone.zone.included || zone.projectedAreaM2 <= 0) continue;
    const stacker = new ZoneStacker(zone, body, context, shared);
    for (const entry of chosen) {
      if (!coversZone(entry.layer, zone)) continue;
      if (entry.kind === 'coat') stacker.layChosen(entry.candidate);
      else stacker.work(entry.work);
    }
    stacker.protect();
    stacker.speakOfFood();
    stacks.set(zone.key, stacker.entries);
    exposed.set(zone.key, stacker.exposed);
  }
  return {
    layers: [...shared.layers.values()].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1)),
    works: [...shared.works.values()],
    stacks,
    exposed,
    findings: () =>
      saidOnce(
        [...shared.remarks.flatMap((remark) => remark() ?? []), ...stillShowing(shared.layers, stacks)],
        'layer',
      ),
  };
}

/** Layers whose table maximum ended the count while a difference still shows. */
function stillShowing(
  layers: ReadonlyMap<string, PlannedLayer>,
  stacks: ReadonlyMap<string, StackEntry[]>,
): RecipeFinding[] {
  const worst = new Map<string, number>();
  for (const entries of stacks.values())
    for (const { layerId, coats } of entries)
      if (coats.hiding?.cutShort)
        worst.set(layerId, Math.max(worst.get(layerId) ?? 0, coats.hiding.showing.at(-1) ?? 0));
  return [...worst].map(([layerId, difference]) => ({
    code: 'coats.stillShows',
    severity: 'note',
    where: { kind: 'layer', id: layerId },
    figures: {
      coating: layers.get(layerId)?.coating.name ?? layerId,
      difference: Math.round(difference * 10) / 10,
    },
  }));
}

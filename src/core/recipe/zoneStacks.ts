import type { Finding } from '../kernel/finding';
import { chosenCandidates, coversZone } from './candidates';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
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
  for (const zone of zones) {
    if (!zone.zone.included || zone.projectedAreaM2 <= 0) continue;
    const stacker = new ZoneStacker(zone, body, context, shared);
    for (const entry of chosen) {
      if (!coversZone(entry.layer, zone)) continue;
      if (entry.kind === 'coat') stacker.layChosen(entry.candidate);
      else stacker.work(entry.work);
    }
    stacker.protect();
    stacks.set(zone.key, stacker.entries);
  }
  return {
    layers: [...shared.layers.values()].sort((a, b) => a.order - b.order || (a.id < b.id ? -1 : 1)),
    works: [...shared.works.values()],
    stacks,
    findings: () =>
      folded([...shared.remarks.flatMap((remark) => remark() ?? []), ...stillShowing(shared.layers, stacks)]),
  };
}

/** Layers whose table maximum ended the count while a difference still shows. */
function stillShowing(layers: ReadonlyMap<string, PlannedLayer>, stacks: ReadonlyMap<string, StackEntry[]>): Finding[] {
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

/** The same thing said of a layer on several zones is said once, naming them all; joints speak for themselves. */
function folded(findings: readonly Finding[]): Finding[] {
  const kept: Finding[] = [];
  for (const finding of findings) {
    const same = kept.find(
      (known) =>
        finding.where.kind === 'layer' &&
        known.where.kind === 'layer' &&
        known.where.id === finding.where.id &&
        known.code === finding.code &&
        known.figures.reason === finding.figures.reason,
    );
    const zone = finding.figures.zone;
    if (!same) kept.push({ ...finding, figures: { ...finding.figures } });
    else if (zone !== undefined && !String(same.figures.zone).split(', ').includes(String(zone)))
      same.figures.zone = `${same.figures.zone}, ${zone}`;
  }
  return kept;
}

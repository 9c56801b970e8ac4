import { toMicro } from '../kernel/micro';
import type { Step } from '../state/step';
import type { ZoneUse } from '../surface/zone';
import { buildSteps } from './buildSteps';
import { type Difficulty, difficultyOf } from './difficulty';
import type { Exposed } from './exposed';
import { partsToCut } from './partsToCut';
import { amountTerm, type PieceDemand, type SupplyTerm, type WorkTerm } from './pieceDemand';
import { type PlannedBuild, plannedBuilds, termsOfBuild } from './plannedBuilds';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import { recipeFindings } from './recipeFindings';
import type { RecipeFinding } from './recipeSentences';
import { coatStepId, type PlannedLayer, type PlannedWork, type StackEntry } from './stack';
import type { Residue, RunShare } from './steps/stepBook';

import { workpieceId } from './workpiece';
import { type ZonePlan, zonePlansOf } from './zonePlans';
import { zoneStacksOf } from './zoneStacks';

/** A recipe, computed: the same body and context always give the same plan. */
export interface RecipePlan {
  recipeId: string;
  zones: ZonePlan[];
  layers: PlannedLayer[];
  works: PlannedWork[];
  stacks: Map<string, StackEntry[]>;
  /** What lies open of each zone once all is laid. */
  exposed: ReadonlyMap<string, Exposed>;
  steps: Step[];
  /** What it makes, part by part. */
  built: readonly PlannedBuild[];
  /** What one piece of each workpiece asks for, by its id: a find's, or that of a piece which is made. */
  demands: ReadonlyMap<string, PieceDemand>;
  /** Sessions of each supply: the most coats any layer of it gives. */
  sessions: Map<string, number>;
  /** What the sessions leave behind of each supply, once however many pieces and recipes they serve. */
  residues: readonly Residue[];
  toolIds: string[];
  readonly difficulty: Difficulty;
  /** Everything to know, cautions included; gathered when it is first read. {@link cautionsAt} gives those of a step. */
  readonly findings: readonly RecipeFinding[];
  /** The uses that decide when it is ready. */
  uses: ReadonlySet<ZoneUse>;
}

/**
 * Computes a recipe: zones, layers with their joints, coats, quantities, steps, cautions.
 * Nothing is refused as a whole for one bad field: what cannot be used is named in `findings`, the rest still computes.
 */
export function computeRecipe(recipeId: string, body: RecipeBody, context: RecipeContext): RecipePlan {
  const { zones, findings: zoneFindings } = zonePlansOf(body, context);
  const stacked = zoneStacksOf(body, zones, context);
  const making = plannedBuilds(body, context);
  const built = buildSteps(body, zones, stacked, context, making.built);
  const demands = new Map<string, { supplies: SupplyTerm[]; work: WorkTerm[] }>();
  const demandOf = (id: string) => {
    const known = demands.get(id);
    if (known) return known;
    const fresh = { supplies: [], work: [] };
    demands.set(id, fresh);
    return fresh;
  };
  const sessions = new Map<string, number>();
  const layerById = new Map(stacked.layers.map((layer) => [layer.id, layer]));
  for (const zone of zones) {
    for (const entry of stacked.stacks.get(zone.key) ?? []) {
      const layer = layerById.get(entry.layerId);
      if (!layer || entry.coats.coats === 0 || entry.laidShare === 0) continue;
      const { supplies } = demandOf(zone.workpieceId);
      const driver = { kind: 'layer', layerId: layer.id, zoneKey: zone.key } as const;
      if (entry.amount > 0) supplies.push(amountTerm(layer.supplyKey, toMicro(entry.amount * entry.laidShare), driver));
      if (entry.sheet !== null)
        supplies.push({
          supplyKey: entry.sheet.supplyKey,
          micro: toMicro(entry.sheet.demand.units),
          parts: partsToCut(recipeId, layer.id, zone.key, entry.sheet.demand),
          driver,
        });
    }
  }
  for (const one of making.built) demandOf(workpieceId(one.piece)).supplies.push(...termsOfBuild(recipeId, one));
  for (const { workpieceId: id, supplyKey, amount, stepId, zoneKey } of built.needs)
    demandOf(id).supplies.push(amountTerm(supplyKey, toMicro(amount), { kind: 'step', stepId, zoneKey }));
  const coatsLaid = new Map<string, number>();
  for (const { id, layerId, coat, skipped } of built.steps)
    if (layerId !== null && coat !== null && !skipped && id === coatStepId(layerId, coat, 'first'))
      coatsLaid.set(layerId, (coatsLaid.get(layerId) ?? 0) + 1);
  for (const [layerId, coats] of coatsLaid) {
    const key = layerById.get(layerId)?.supplyKey;
    if (key !== undefined) sessions.set(key, Math.max(sessions.get(key) ?? 0, coats));
  }
  // A primer that mends is opened once more than its layer, if it has one, asks for.
  for (const step of built.steps) {
    const key = step.supplies[0]?.supplyKey;
    if (step.kind !== 'mend' || step.setUpMinutes === 0 || key === undefined) continue;
    sessions.set(key, (sessions.get(key) ?? 0) + 1);
  }
  for (const run of built.runs) demandOf(run.workpieceId).work.push(workTermOf(run));

  const uses = new Set<ZoneUse>(zones.filter((zone) => stacked.stacks.has(zone.key)).map((zone) => zone.zone.use));
  let findings: RecipeFinding[] | null = null;
  let difficulty: Difficulty | null = null;
  return {
    recipeId,
    zones,
    layers: stacked.layers,
    works: stacked.works,
    stacks: stacked.stacks,
    exposed: stacked.exposed,
    steps: built.steps,
    built: making.built,
    demands,
    sessions,
    residues: residuesOf(built.residues),
    toolIds: [...new Set(built.steps.flatMap((step) => step.tools))].sort(),
    uses,
    get difficulty() {
      difficulty ??= difficultyOf(zones, stacked);
      return difficulty;
    },
    get findings() {
      findings ??= recipeFindings({
        recipeId,
        body,
        context,
        zones,
        zoneFindings: [...zoneFindings, ...making.findings],
        stacked,
        built,
        making: making.built,
        uses,
      });
      return findings;
    },
  };
}

/** Of several layers of one supply the one that leaves most behind: their sessions are the same. */
function residuesOf(all: readonly Residue[]): Residue[] {
  const byLayer = new Map<string, number>();
  for (const { layerId, micro } of all) byLayer.set(layerId, (byLayer.get(layerId) ?? 0) + micro);
  const decides = new Map<string, string>();
  for (const { layerId, supplyKey } of all) {
    const most = decides.get(supplyKey);
    if (most === undefined || (byLayer.get(layerId) ?? 0) > (byLayer.get(most) ?? 0)) decides.set(supplyKey, layerId);
  }
  return all.filter(({ layerId, supplyKey }) => decides.get(supplyKey) === layerId);
}

/** Minutes with their range: the spread of a rate and of a hand, never below three tenths of the likely. */
function workTermOf({ stepId, minutes, spread }: RunShare): WorkTerm {
  return {
    stepId,
    micro: {
      low: toMicro(minutes * Math.max(0.3, 1 - spread)),
      likely: toMicro(minutes),
      high: toMicro(minutes * (1 + spread)),
    },
  };
}

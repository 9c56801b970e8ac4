import { LEAD_TEST } from '../catalog/labor.data';
import type { Finding } from '../kernel/finding';
import { toMicro } from '../kernel/micro';
import { cautionsFor } from '../safety/cautions';
import type { Step } from '../state/step';
import type { ZoneUse } from '../surface/zone';
import { cleanUpKey } from '../technique';
import { buildSteps } from './buildSteps';
import { type Difficulty, difficultyOf } from './difficulty';
import { lessonFindings } from './lessons';
import type { PieceDemand, SupplyTerm, WorkTerm } from './pieceDemand';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import { safetyFactsOf } from './safetyFacts';
import type { PlannedLayer, PlannedWork, StackEntry } from './stack';
import type { RunShare } from './steps/stepBook';
import { type ZonePlan, zonePlansOf } from './zonePlans';
import { zoneStacksOf } from './zoneStacks';

/** A recipe, computed: the same body and context always give the same plan. */
export interface RecipePlan {
  recipeId: string;
  zones: ZonePlan[];
  layers: PlannedLayer[];
  works: PlannedWork[];
  stacks: Map<string, StackEntry[]>;
  steps: Step[];
  /** What one piece of each find asks for, by find. */
  demands: ReadonlyMap<string, PieceDemand>;
  /** Sessions of each supply: the most coats any layer of it gives. */
  sessions: Map<string, number>;
  /** Set-up and clean-up of one session, by supply. */
  sessionMinutes: Map<string, number>;
  toolIds: string[];
  difficulty: Difficulty;
  /** Everything to know, cautions included; those at a step also stand in the step. */
  findings: Finding[];
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
  const built = buildSteps(body, zones, stacked, context);
  const demands = new Map<string, { supplies: SupplyTerm[]; work: WorkTerm[] }>();
  const demandOf = (findId: string) => {
    const known = demands.get(findId);
    if (known) return known;
    const fresh = { supplies: [], work: [] };
    demands.set(findId, fresh);
    return fresh;
  };
  const sessions = new Map<string, number>();
  const sessionMinutes = new Map<string, number>();
  const layerById = new Map(stacked.layers.map((layer) => [layer.id, layer]));
  for (const zone of zones) {
    for (const entry of stacked.stacks.get(zone.key) ?? []) {
      const layer = layerById.get(entry.layerId);
      if (!layer || entry.coats.coats === 0) continue;
      demandOf(zone.findId).supplies.push({
        supplyKey: layer.supplyKey,
        micro: toMicro(entry.amount),
        driver: { kind: 'layer', layerId: layer.id, zoneKey: zone.key },
      });
      sessions.set(layer.supplyKey, Math.max(sessions.get(layer.supplyKey) ?? 0, entry.coats.coats));
      sessionMinutes.set(
        layer.supplyKey,
        context.assumptions.number('session.setUpMinutes') + context.assumptions.number(cleanUpKey(layer.coating)),
      );
    }
  }
  for (const { findId, supplyKey, amount, stepId, zoneKey } of built.needs)
    demandOf(findId).supplies.push({ supplyKey, micro: toMicro(amount), driver: { kind: 'step', stepId, zoneKey } });
  // A primer that mends is opened once more than its layer, if it has one, asks for.
  for (const step of built.steps) {
    const key = step.supplies[0]?.supplyKey;
    if (step.kind !== 'mend' || step.setUpMinutes === 0 || key === undefined) continue;
    sessions.set(key, (sessions.get(key) ?? 0) + 1);
    sessionMinutes.set(key, step.setUpMinutes + step.cleanUpMinutes);
  }
  for (const run of built.runs) demandOf(run.findId).work.push(workTermOf(run));

  const findings: Finding[] = [
    ...zoneFindings,
    ...stacked.findings,
    ...built.findings,
    ...lessonFindings(recipeId, zones, stacked.layers, context),
  ];
  const uses = new Set<ZoneUse>(zones.filter((zone) => stacked.stacks.has(zone.key)).map((zone) => zone.zone.use));
  const foodSafeFinish = zones
    .filter((zone) => zone.zone.use === 'food')
    .every((zone) => {
      const top = stacked.stacks.get(zone.key)?.at(-1);
      const layer = top && layerById.get(top.layerId);
      return !layer || (!layer.technique.partial && layer.coating.foodUse === 'afterFullCureIfLabelled');
    });
  const factsByPiece = safetyFactsOf(body, zones, stacked.layers, built.steps, context);
  for (const { facts, safety } of factsByPiece) {
    const cautions = cautionsFor({ ...safety, uses, foodSafeFinish }, recipeId);
    for (const caution of cautions) {
      // Repeats fold into one card per step.
      if (!findings.some((known) => known.code === caution.code && known.where.id === caution.where.id))
        findings.push(caution);
    }
    if (facts.leadTest === 'notTested' && zones.some((zone) => zone.findId === facts.id && zone.noSand)) {
      findings.push({
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
      });
    }
  }
  const steps = built.steps.map((step) => ({
    ...step,
    cautions: findings.filter((finding) => finding.where.kind === 'step' && finding.where.id === step.id),
  }));
  return {
    recipeId,
    zones,
    layers: stacked.layers,
    works: stacked.works,
    stacks: stacked.stacks,
    steps,
    demands,
    sessions,
    sessionMinutes,
    toolIds: [...new Set(steps.flatMap((step) => step.tools))].sort(),
    difficulty: difficultyOf(zones, stacked),
    findings,
    uses,
  };
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

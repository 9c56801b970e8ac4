import { LEAD_TEST } from '../catalog/labor.data';
import type { Finding } from '../kernel/finding';
import { cautionsFor } from '../safety/cautions';
import type { Step } from '../state/step';
import type { ZoneUse } from '../surface/zone';
import { cleanUpKey } from '../technique';
import { buildSteps } from './buildSteps';
import { type Difficulty, difficultyOf } from './difficulty';
import { lessonFindings } from './lessons';
import type { RecipeBody } from './recipeBody';
import type { RecipeContext } from './recipeContext';
import { safetyFactsOf } from './safetyFacts';
import type { PlannedLayer, PlannedWork, StackEntry } from './stack';
import type { RunShare } from './steps/stepBook';
import { type ZonePlan, zonePlansOf } from './zonePlans';
import { zoneStacksOf } from './zoneStacks';

/** What one piece of a find takes in a recipe: supplies and hands-on run minutes (without overhead). */
export interface PieceTake {
  needs: Map<string, number>;
  runMinutes: number;
  runLow: number;
  runHigh: number;
}

/** A recipe, computed: the same body and context always give the same plan. */
export interface RecipePlan {
  recipeId: string;
  zones: ZonePlan[];
  layers: PlannedLayer[];
  works: PlannedWork[];
  stacks: Map<string, StackEntry[]>;
  steps: Step[];
  /** Per find, for one piece. */
  takes: Map<string, PieceTake>;
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
  const takes = new Map<string, PieceTake>();
  const take = (findId: string): PieceTake => {
    const known = takes.get(findId);
    if (known) return known;
    const fresh: PieceTake = { needs: new Map(), runMinutes: 0, runLow: 0, runHigh: 0 };
    takes.set(findId, fresh);
    return fresh;
  };
  const need = (findId: string, key: string, amount: number) => {
    const { needs } = take(findId);
    needs.set(key, (needs.get(key) ?? 0) + amount);
  };
  const sessions = new Map<string, number>();
  const sessionMinutes = new Map<string, number>();
  const layerById = new Map(stacked.layers.map((layer) => [layer.id, layer]));
  for (const zone of zones) {
    for (const entry of stacked.stacks.get(zone.key) ?? []) {
      const layer = layerById.get(entry.layerId);
      if (!layer || entry.coats.coats === 0) continue;
      need(zone.findId, layer.supplyKey, entry.amount);
      sessions.set(layer.supplyKey, Math.max(sessions.get(layer.supplyKey) ?? 0, entry.coats.coats));
      sessionMinutes.set(
        layer.supplyKey,
        context.assumptions.number('session.setUpMinutes') + context.assumptions.number(cleanUpKey(layer.coating)),
      );
    }
  }
  for (const side of built.needs) need(side.findId, side.supplyKey, side.amount);
  // A primer that mends is opened once more than its layer, if it has one, asks for.
  for (const step of built.steps) {
    const key = step.supplies[0]?.supplyKey;
    if (step.kind !== 'mend' || step.setUpMinutes === 0 || key === undefined) continue;
    sessions.set(key, (sessions.get(key) ?? 0) + 1);
    sessionMinutes.set(key, step.setUpMinutes + step.cleanUpMinutes);
  }
  for (const run of built.runs) addRun(take(run.findId), run);

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
    takes,
    sessions,
    sessionMinutes,
    toolIds: [...new Set(steps.flatMap((step) => step.tools))].sort(),
    difficulty: difficultyOf(zones, stacked),
    findings,
    uses,
  };
}

function addRun(take: PieceTake, run: RunShare): void {
  take.runMinutes += run.minutes;
  take.runLow += run.minutes * Math.max(0.3, 1 - run.spread);
  take.runHigh += run.minutes * (1 + run.spread);
}

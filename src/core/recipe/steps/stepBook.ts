import { type Climate, dryingFactor } from '../../calendar/climate';
import { laborEach, laborRates, skillFactors } from '../../catalog/labor.data';
import { toMicro } from '../../kernel/micro';
import { commonPractice } from '../../kernel/source';
import type { AllowedInterval } from '../../state/joint';
import type { Step } from '../../state/step';
import type { RecipeBody } from '../recipeBody';
import { climateOf, type RecipeContext } from '../recipeContext';
import type { ZonePlan } from '../zonePlans';

/** Minutes of one step on one piece of a find: the parts that scale with area and skill. */
export interface RunShare {
  workpieceId: string;
  stepId: string;
  minutes: number;
  /** Half-width of the range as a share of the minutes: (high − low) ÷ 6 ÷ usual, as in PERT. */
  spread: number;
}

/** A supply that a step takes beside the coats, of one piece of a find. */
export interface SideNeed {
  workpieceId: string;
  stepId: string;
  zoneKey: string;
  supplyKey: string;
  amount: number;
}

/** What a session leaves behind in tray and nap, once for all that is made in it; in millionths of the supply's unit. */
export interface Residue {
  stepId: string;
  layerId: string;
  supplyKey: string;
  micro: number;
}

/** What a new step must say; the rest is what is usual. */
export type NewStep = Pick<Step, 'id' | 'kind' | 'title' | 'zoneKeys'> &
  Partial<Omit<Step, 'people' | 'skipped' | 'overruled'>>;

/** From so many hours on, at any time after. */
export const openInterval = (fromHours: number): AllowedInterval[] => [{ fromHours, toHours: null, extraSteps: [] }];

const minuteSpread: Record<string, number> = Object.fromEntries([
  ...Object.entries(laborRates).map(([id, rate]) => [`labor.${id}MinutesPerM2`, (rate.high - rate.low) / 6]),
  ...Object.entries(laborEach).map(([id, rate]) => [`labor.${id}MinutesEach`, (rate.high - rate.low) / 6]),
]);

/** Collects the steps of a recipe in order, with the minutes and supplies they take of each piece. */
export class StepBook {
  readonly steps: Step[] = [];
  readonly runs: RunShare[] = [];
  readonly needs: SideNeed[] = [];
  readonly residues: Residue[] = [];
  /** The step that what comes next has to follow, and the hours it waits after it. */
  last: { stepId: string; waitHours: number } | null = null;
  readonly skill: number;
  readonly skillSpread: number;
  readonly climate: Climate;

  readonly body: RecipeBody;
  readonly context: RecipeContext;

  constructor(body: RecipeBody, context: RecipeContext) {
    this.body = body;
    this.context = context;
    const { usual, low, high } = skillFactors[context.skill];
    this.skill = context.assumptions.number(`skill.${context.skill}`);
    this.skillSpread = (high - low) / 6 / usual;
    this.climate = climateOf(context.assumptions);
  }

  number(key: string, scopes: readonly string[] = []): number {
    return this.context.assumptions.number(key, scopes);
  }

  /** Relative half-width of a labor rate; none when the stylist set it, or where minutes are stated without one. */
  spreadOf(key: string | null): number {
    if (key === null) return 0;
    const figure = this.context.assumptions.get(key);
    const range = minuteSpread[key];
    return figure.source.kind === 'you' || !range ? 0 : range / figure.value;
  }

  /** Drying hours of a film in the air of the project. */
  drying(hours: number, isWaterborne: boolean): number {
    return hours * dryingFactor(this.climate, isWaterborne);
  }

  /** Allowed starts after a film in the air of the project: slower to begin, and no later to end. */
  dryingIntervals(intervals: readonly AllowedInterval[], isWaterborne: boolean): AllowedInterval[] {
    const scaled = intervals.map((interval) => ({
      ...interval,
      fromHours: this.drying(interval.fromHours, isWaterborne),
    }));
    return scaled.filter((interval) => interval.toHours === null || interval.fromHours <= interval.toHours);
  }

  /** The link to what came before. */
  afterLast(): Step['after'] {
    return this.last === null ? [] : [{ stepId: this.last.stepId, allowed: openInterval(this.last.waitHours) }];
  }

  /** Adds a step after the last one, with what was overruled on it. */
  add(step: NewStep): Step {
    const edit = this.body.stepEdits[step.id];
    // Field by field, so that all steps have one shape: a recipe has dozens of them, a plan thousands.
    const full: Step = {
      id: step.id,
      kind: step.kind,
      title: step.title,
      zoneKeys: step.zoneKeys,
      layerId: step.layerId ?? null,
      coat: step.coat ?? null,
      setUpMinutes: step.setUpMinutes ?? 0,
      runMinutes: step.runMinutes ?? 0,
      cleanUpMinutes: step.cleanUpMinutes ?? 0,
      people: 1,
      splittable: step.splittable ?? true,
      leastChunkMinutes: step.leastChunkMinutes ?? 15,
      batchKey: step.batchKey ?? null,
      place: step.place ?? 'indoors',
      limits: step.limits ?? null,
      drying: step.drying ?? null,
      potLifeHours: step.potLifeHours ?? null,
      supplies: step.supplies ?? [],
      tools: step.tools ?? [],
      after: step.after ?? this.afterLast(),
      mix: step.mix ?? null,
      hint: step.hint ?? '',
      skipped: edit?.skipped ?? false,
      overruled: [],
      source: step.source ?? commonPractice,
    };
    if (full.skipped) {
      full.setUpMinutes = 0;
      full.runMinutes = 0;
      full.cleanUpMinutes = 0;
      full.supplies = [];
      full.tools = [];
      full.limits = null;
    } else if (edit?.runMinutes !== undefined) {
      full.runMinutes = edit.runMinutes;
      full.overruled.push('minutes');
      full.source = { kind: 'you' };
    }
    if (edit?.waitHours !== undefined && full.after.length > 0) {
      const hours = edit.waitHours;
      full.after = full.after.map((link) => ({
        ...link,
        allowed: [{ fromHours: hours, toHours: null, extraSteps: link.allowed[0]?.extraSteps ?? [] }],
      }));
      full.overruled.push('wait');
    }
    this.steps.push(full);
    return full;
  }

  /** Adds a step and makes it the one that what comes next follows. */
  next(step: NewStep, waitHours: number): Step {
    const added = this.add(step);
    this.last = { stepId: added.id, waitHours: added.skipped ? 0 : waitHours };
    return added;
  }

  isSkipped(stepId: string): boolean {
    return this.body.stepEdits[stepId]?.skipped ?? false;
  }

  /**
   * Run minutes of a step over zones, all pieces together; records each find's share for one piece, scaled when the
   * stylist overruled the step.
   * @param minutesOf minutes on one piece's zone at a practiced hand
   */
  run(
    stepId: string,
    zones: readonly ZonePlan[],
    rateKey: string | null,
    minutesOf: (zone: ZonePlan) => number,
  ): number {
    if (this.isSkipped(stepId)) return 0;
    const total = zones.reduce((sum, zone) => sum + minutesOf(zone) * this.skill * zone.pieceCount, 0);
    const overruled = this.body.stepEdits[stepId]?.runMinutes;
    const factor = overruled !== undefined && total > 0 ? overruled / total : 1;
    const spread = overruled === undefined ? this.spreadOf(rateKey) + this.skillSpread : 0;
    for (const zone of zones) {
      const minutes = minutesOf(zone) * this.skill * factor;
      if (minutes > 0) this.runs.push({ workpieceId: zone.workpieceId, stepId, minutes, spread });
    }
    return total;
  }

  /**
   * Run minutes of a step on workpieces by the piece, all of them together; recorded for one of them.
   * @param each minutes on one at a practiced hand
   */
  runEach(stepId: string, workpieceId: string, pieces: number, rateKey: string | null, each: number): number {
    if (this.isSkipped(stepId)) return 0;
    const total = each * this.skill * pieces;
    const overruled = this.body.stepEdits[stepId]?.runMinutes;
    const factor = overruled !== undefined && total > 0 ? overruled / total : 1;
    const spread = overruled === undefined ? this.spreadOf(rateKey) + this.skillSpread : 0;
    const minutes = each * this.skill * factor;
    if (minutes > 0) this.runs.push({ workpieceId, stepId, minutes, spread });
    return total;
  }

  /** Leaves some of a supply behind once for a session, whatever is made in it; gives the amount. */
  leave(stepId: string, layerId: string, supplyKey: string, amount: number): number {
    if (this.isSkipped(stepId)) return 0;
    this.residues.push({ stepId, layerId, supplyKey, micro: toMicro(amount) });
    return amount;
  }

  /** Takes a supply beside the coats for zones; gives the amount over all pieces. */
  take(stepId: string, zones: readonly ZonePlan[], supplyKey: string, amountOf: (zone: ZonePlan) => number): number {
    if (this.isSkipped(stepId)) return 0;
    let total = 0;
    for (const zone of zones) {
      const amount = amountOf(zone);
      if (amount <= 0) continue;
      this.needs.push({ workpieceId: zone.workpieceId, stepId, zoneKey: zone.key, supplyKey, amount });
      total += amount * zone.pieceCount;
    }
    return total;
  }
}

import type { Assumptions } from '../catalog/assumptions';
import type { Amount } from '../kernel/amount';
import { grouped } from '../kernel/grouped';
import { Memo } from '../kernel/memo';
import { MS_PER_MINUTE } from '../kernel/units';
import type { ProjectRows, StepRunRow } from '../model/rows';
import type { RecipePlan } from '../recipe/computeRecipe';
import { type Added, addedBy, type PlanSums, type RestOfPlan, sumsOf } from './added';
import { DrawTotals } from './drawTotals';
import { type Cutter, cutInFull } from './model/cutPurchase';
import { PlanModel, type PlannedFill } from './model/planModel';
import { type CashView, tripsPulled } from './model/poolCost';
import { type Draw, totalDrawn } from './model/pools';
import { findingsOfOption } from './optionFindings';
import type { OptionFinding } from './optionSentences';
import { type Purse, purseOf } from './purse';
import { type SharedSupply, sharedSupplies } from './sharedSupplies';
import { figuresOfSlot, type OptionPlan, SlotPlan } from './slotPlan';
import { usableMsOf } from './usableSince';

export type { PlannedFill } from './model/planModel';
export type { OptionPlan, SlotPlan } from './slotPlan';
export type { WorthUpTo } from './worthUpTo';

/**
 * The plan of a project at a moment. The purse is computed at once; a slot's options, a recipe that nobody chose and
 * the shared supplies are computed when they are first read, and then stay.
 */
export class Plan {
  readonly asOfMs: number;
  readonly model: PlanModel;
  /** What is chosen, slot by slot in the order of the fills. */
  readonly chosen: readonly PlannedFill[];
  /** What the chosen draw from each pool. */
  readonly totals: DrawTotals;
  /** What all that is chosen comes to, still to pay and to do. */
  readonly sums: PlanSums;
  readonly purse: Purse;
  readonly slots: readonly SlotPlan[];
  private readonly known: {
    slots?: ReadonlyMap<string, SlotPlan>;
    fullCash?: Amount;
    supplies?: SharedSupply[];
    findings?: OptionFinding[];
    recipes?: ReadonlyMap<string, RecipePlan>;
  } = {};

  constructor(rows: ProjectRows, asOfMs: number, memo: Memo, cutter: Cutter = cutInFull) {
    this.asOfMs = asOfMs;
    this.model = new PlanModel(rows, memo, cutter);
    const { model } = this;
    const bySlot = grouped(model.fills(), (fill) => fill.model.slot.id);
    this.chosen = [...bySlot.values()].flat();
    this.totals = new DrawTotals(this.chosen);
    this.sums = sumsOf(model, this.totals, this.chosen);
    this.purse = purseOf(rows, asOfMs, this.sums.cash, this.sums.minutes, this.lastUsableMs(), this.doneMinutes());
    this.slots = rows.slots
      .map((slot) => {
        const own = bySlot.get(slot.id) ?? [];
        return new SlotPlan(slot, own, () => figuresOfSlot(model, this, slot, own));
      })
      .sort((a, b) => a.slot.number - b.slot.number || (a.slot.id < b.slot.id ? -1 : 1));
  }

  get rows(): ProjectRows {
    return this.model.rows;
  }

  get assumptions(): Assumptions {
    return this.model.assumptions;
  }

  /** A slot by its id. */
  slot(slotId: string): SlotPlan | undefined {
    this.known.slots ??= new Map(this.slots.map((entry) => [entry.slot.id, entry]));
    return this.known.slots.get(slotId);
  }

  /** An option with its figures; undefined when it, or its slot, is not there. */
  option(optionId: string): OptionPlan | undefined {
    const slotId = this.model.option(optionId)?.slot.id;
    return this.slot(slotId ?? '')?.options.find((option) => option.option.id === optionId);
  }

  /**
   * What a choice adds to the plan as its slot's only fill: the figures of its cell, without those beside it.
   * @param view `full` for what it costs whether or not it is paid already
   */
  addedByChoice(fill: PlannedFill, view: CashView = 'toGo'): Added {
    const { model, totals } = this;
    const slotId = fill.model.slot.id;
    const drawnFrom = (draw: Draw) => totals.without(slotId, draw);
    const tripsOf = (except: ReadonlySet<string>) =>
      [...totals.all()].flatMap(({ draw }) => {
        const pool = except.has(draw.poolId) ? undefined : model.pool(draw);
        return pool ? tripsPulled(pool, totalDrawn(drawnFrom(draw))) : [];
      });
    const rest: RestOfPlan = {
      poolOf: (draw) => model.pool(draw),
      drawnFrom,
      tripsPulled: (except) => new Set(tripsOf(except)),
    };
    return addedBy(rest, [fill], view);
  }

  /** P of the definitions: what everything chosen costs, paid or not. */
  get fullCash(): Amount {
    this.known.fullCash ??= sumsOf(this.model, this.totals, this.chosen, 'full').cash;
    return this.known.fullCash;
  }

  /** The supplies of what is chosen, each once. */
  get supplies(): readonly SharedSupply[] {
    this.known.supplies ??= sharedSupplies(this.model, this.sums, this.chosen, this.slots);
    return this.known.supplies;
  }

  /** All recipes by id. */
  get recipes(): ReadonlyMap<string, RecipePlan> {
    this.known.recipes ??= new Map(
      this.rows.recipes.flatMap(({ id }) => {
        const recipe = this.model.recipe(id);
        return recipe ? [[id, recipe] as const] : [];
      }),
    );
    return this.known.recipes;
  }

  /** What is wrong with the plan as a whole: a choice that is refused. */
  get findings(): readonly OptionFinding[] {
    this.known.findings ??= this.chosen
      .filter(({ model }) => findingsOfOption(this.model, model).some(({ severity }) => severity === 'refuse'))
      .map(({ model }) => ({
        code: 'option.refusedChosen',
        severity: 'refuse',
        where: { kind: 'option', id: model.option.id },
        figures: { slot: model.slot.name },
      }));
    return this.known.findings;
  }

  /** When the last of what is chosen is usable, or was once all is done; null with nothing chosen. */
  private lastUsableMs(): number | null {
    const { model, asOfMs } = this;
    if (this.chosen.length === 0) return null;
    const ends = this.chosen.flatMap((fill) => usableMsOf(model, fill, asOfMs) ?? []);
    return ends.length === 0 ? asOfMs : Math.max(...ends);
  }

  /**
   * What was worked already: what was logged, whether or not it is still chosen; and of recipes that are done what nobody
   * logged, as the hours if they were open less those that are left.
   */
  private doneMinutes(): number {
    const { stepRuns, logEntries } = this.rows;
    const lines = new Map(logEntries.map((entry) => [entry.id, entry.minutes]));
    const logged = stepRuns.reduce((sum, run) => sum + (run.state === 'done' ? workedMinutes(run, lines) : 0), 0);
    if (this.chosen.every((fill) => !fill.model.isDone)) return logged;
    const open = this.chosen.map((fill) => ({ ...fill, model: this.model.asIfOpen(fill.model) }));
    const asOpen = sumsOf(this.model, new DrawTotals(open), open).minutes.likely;
    return logged + Math.max(0, asOpen - this.sums.minutes.likely);
  }
}

/** Person-minutes of a step that is done: by its line of the log, else by its stretches. */
export function workedMinutes(run: StepRunRow, lines: ReadonlyMap<string, number>): number {
  const logged = run.logId === null ? undefined : lines.get(run.logId);
  if (logged !== undefined) return logged;
  const ms = run.stretches.reduce((sum, { startMs, endMs }) => sum + ((endMs ?? startMs) - startMs), 0);
  return (ms / MS_PER_MINUTE) * run.people;
}

/**
 * Computes the plan of a project: every option's figures, the purse, the shared supplies. Pure: the same rows and
 * moment give the same plan, and the order of rows changes nothing but the order of what is listed.
 * @param asOfMs the moment that dates count from, epoch milliseconds
 * @param previous an earlier plan; parts of it whose every input is the same object are taken over, which changes the
 * time this takes and nothing else
 * @param cutter how parts are laid on their stock; in full unless the page cuts quickly first
 */
export function computePlan(
  rows: ProjectRows,
  asOfMs: number,
  previous: Plan | null = null,
  cutter: Cutter = cutInFull,
): Plan {
  return new Plan(rows, asOfMs, previous?.model.memo ?? new Memo(), cutter);
}

import { WorkWindows } from '../calendar/workWindows';
import { Assumptions } from '../catalog/assumptions';
import type { SupplyUnit } from '../catalog/consumables';
import { type Amount, exactly, subtractAmounts } from '../kernel/amount';
import { type Finding, worstSeverity } from '../kernel/finding';
import { MS_PER_DAY } from '../kernel/units';
import type { OptionRow, ProjectRows, SlotRow } from '../model/rows';
import { largestTagFor } from '../pricing/receipt';
import { computeRecipe, type RecipePlan } from '../recipe/computeRecipe';
import { layWork, type ReadyDates, readyDates } from '../recipe/readyDates';
import { coatingOfLayer, type RecipeBody } from '../recipe/recipeBody';
import type { Lesson, RecipeContext } from '../recipe/recipeContext';
import { type Footprint, footprintOf, indexRows, type Minutes, type RowIndex } from './footprint';
import { madeBody } from './madeBody';
import {
  beatsYardstick,
  type Comparison,
  compareWithYardstick,
  SAME_TIME_MINUTES,
  type SideOfComparison,
  worthUpTo,
} from './makeOrBuy';
import { optionFindings } from './optionFindings';
import { type BaseTerms, type PlannedFill, PlanSums } from './planSums';
import { type Purse, purseOf } from './purse';

/** Version of the core's figures and formulas; files and snapshots carry it. */
export const CORE_VERSION = '1.0.0';
/** Version of the tables of figures. */
export const FIGURES_VERSION = '2026.1';

/** What a find's price may be at most, at the till and on its tag; null when the price does not decide (paid or shared). */
export type WorthUpTo =
  | { kind: 'upTo'; till: number; tag: number | null }
  | { kind: 'notEvenFree' }
  | { kind: 'noPrice' };

/** One option with every figure that the board shows. Money in minor units. */
export interface OptionPlan {
  option: OptionRow;
  slotId: string;
  footprint: Footprint;
  chosen: boolean;
  /** How many of the slot's quantity it covers: its fill's count, else as many as it can. */
  count: number;
  capacity: number;
  cashAdded: Amount;
  cashAlone: Amount;
  switching: Amount;
  stashUsed: number;
  hoursAdded: Minutes;
  hoursAlone: Minutes;
  /** When it can stand in place with care, and when it is usable as it is used; epoch ms. */
  standsMs: number;
  usableMs: number;
  ready: ReadyDates | null;
  comparison: Comparison;
  beatsYardstick: boolean | null;
  worthUpTo: WorthUpTo;
  findings: Finding[];
  /** A refused option cannot be chosen. */
  refused: boolean;
}

export interface SlotPlan {
  slot: SlotRow;
  options: OptionPlan[];
  filled: number;
  open: number;
  yardstickId: string | null;
}

/** A supply that the chosen options have in common, or that any of them needs. */
export interface SupplyLine {
  key: string;
  name: string;
  unit: SupplyUnit;
  need: number;
  fromStash: number;
  packs: { name: string; size: number; count: number; price: Amount | null }[];
  cash: Amount;
  bought: number;
  left: number;
  optionIds: string[];
  /** What the options that share it earn together an hour against their yardsticks; null when it cannot be said. */
  togetherPerHour: number | null;
}

export interface Plan {
  asOfMs: number;
  rows: ProjectRows;
  assumptions: Assumptions;
  sums: PlanSums;
  recipes: ReadonlyMap<string, RecipePlan>;
  /** What each recipe was computed from, so that a later plan can take it over unchanged. */
  recipeInputs: ReadonlyMap<string, readonly unknown[]>;
  /** When each recipe is ready, by recipe and lead time. */
  readiness: ReadonlyMap<string, ReadyDates>;
  slots: SlotPlan[];
  chosen: PlannedFill[];
  fullCash: Amount;
  supplies: SupplyLine[];
  purse: Purse;
  findings: Finding[];
}

/** What recipes of a project are computed against. */
export function recipeContextOf(rows: ProjectRows, assumptions: Assumptions): RecipeContext {
  const { project } = rows;
  return {
    pieces: new Map(rows.finds.map((find) => [find.id, find])),
    colorCards: new Map(rows.colorCards.map((card) => [card.id, card])),
    assumptions,
    skill: project.skill,
    school: project.school,
    eye: project.eye,
    household: project.household,
    preparation: project.brief.preparation,
    lessons: lessonsOf(rows),
  };
}

/** What went wrong in the recipes of a project, with what on what. */
function lessonsOf(rows: ProjectRows): Lesson[] {
  const finds = new Map(rows.finds.map((find) => [find.id, find]));
  return rows.recipes.flatMap((recipe) =>
    recipe.body.setbacks.flatMap((setback) => {
      const coatingId = coatingOfLayer(recipe.body, setback.layerId);
      if (coatingId === null) return [];
      return recipe.body.pieces.flatMap((piece) => {
        const find = finds.get(piece.findId);
        const substrateId = find ? (find.finishId ?? find.materialId) : null;
        return substrateId === null ? [] : [{ recipeId: recipe.id, coatingId, substrateId, problem: setback.problem }];
      });
    }),
  );
}

/** Everything a recipe is computed from, as a list that compares item by item. */
function inputsOf(body: RecipeBody, rows: ProjectRows, context: RecipeContext): readonly unknown[] {
  const { skill, school, eye, household, brief } = rows.project;
  return [
    body,
    rows.overrides,
    skill,
    school,
    eye,
    household,
    brief.preparation,
    ...body.pieces.map((piece) => context.pieces.get(piece.findId)),
    ...body.layers.map((layer) => (layer.colorCardId === null ? null : context.colorCards.get(layer.colorCardId))),
    ...Object.values(body.primerTints).map((cardId) => context.colorCards.get(cardId)),
    ...context.lessons.map(
      (lesson) => `${lesson.recipeId}|${lesson.coatingId}|${lesson.substrateId}|${lesson.problem}`,
    ),
  ];
}

/** Whether a footprint of an earlier plan was made from these very rows. */
function isSameFootprint(
  footprint: Footprint,
  option: OptionRow,
  slot: SlotRow,
  recipes: ReadonlyMap<string, RecipePlan>,
  index: RowIndex,
): boolean {
  const recipe = option.recipeId === null ? null : (recipes.get(option.recipeId) ?? null);
  return (
    footprint.option === option &&
    footprint.slot === slot &&
    footprint.recipe === recipe &&
    footprint.done === (recipe !== null && index.done.has(recipe.recipeId)) &&
    footprint.finds.every((find) => index.finds.get(find.id) === find) &&
    footprint.offers.every(({ offer }) => index.offers.get(offer.id) === offer) &&
    footprint.finds.length + footprint.offers.length === option.parts.length
  );
}

/** Yardstick of a slot: the marked offer, else the cheapest buy new with a known price, else the cheapest as found. */
function yardstickOf(options: readonly OptionPlan[]): OptionPlan | null {
  const usable = options.filter((option) => !option.refused && option.count > 0);
  const marked = usable.find((option) => option.option.yardstick);
  if (marked) return marked;
  const cheapest = (kind: OptionRow['kind']) =>
    usable
      .filter((option) => option.option.kind === kind && !option.cashAdded.atLeast)
      .sort((a, b) => costOf(a) / a.count - costOf(b) / b.count || (a.option.id < b.option.id ? -1 : 1))[0] ?? null;
  return cheapest('buyNew') ?? cheapest('asFound');
}

const costOf = (option: OptionPlan) => option.cashAdded.likely + option.stashUsed;

/**
 * Computes the plan of a project: every option's figures, the purse, the shared supplies. Pure: the same rows and
 * moment give the same plan, and the order of rows changes nothing but the order of what is listed.
 * @param asOfMs the moment that dates count from, epoch milliseconds
 * @param previous an earlier plan of the same project; recipes whose every input is the same object are taken over from
 * it, which changes the time this takes and nothing else
 */
export function computePlan(rows: ProjectRows, asOfMs: number, previous: Plan | null = null): Plan {
  const assumptions = new Assumptions(rows.overrides);
  const context = recipeContextOf(rows, assumptions);
  const recipes = new Map<string, RecipePlan>();
  const recipeInputs = new Map<string, readonly unknown[]>();
  for (const row of rows.recipes) {
    const body = madeBody(rows, row);
    const inputs = inputsOf(body, rows, context);
    const before = previous?.recipeInputs.get(row.id);
    const same = before?.length === inputs.length && inputs.every((input, n) => input === before[n]);
    const known = same ? previous?.recipes.get(row.id) : undefined;
    recipes.set(row.id, known ?? computeRecipe(row.id, body, context));
    recipeInputs.set(row.id, inputs);
  }
  const sums = new PlanSums(rows, assumptions, previous?.sums ?? null);
  const index = indexRows(rows);
  const windows = new WorkWindows(asOfMs, rows.project.timeZone);
  const slotById = new Map(rows.slots.map((slot) => [slot.id, slot]));
  const known = new Map(
    (previous?.slots ?? []).flatMap((slot) => slot.options).map((option) => [option.option.id, option]),
  );
  const before = previous?.rows;
  const samePlace =
    before !== undefined &&
    before.project.household === rows.project.household &&
    before.project.revealDate === rows.project.revealDate &&
    before.project.standsUntil === rows.project.standsUntil &&
    before.pieces === rows.pieces;
  const footprints = new Map<string, Footprint>();
  for (const option of rows.options) {
    const slot = slotById.get(option.slotId);
    if (!slot) continue;
    const before = known.get(option.id);
    const same = before !== undefined && isSameFootprint(before.footprint, option, slot, recipes, index);
    footprints.set(option.id, same ? before.footprint : footprintOf(option, slot, recipes, index));
  }
  const chosenBySlot = new Map<string, PlannedFill[]>();
  const fillByOption = new Map<string, number>();
  for (const fill of rows.fills) {
    const footprint = footprints.get(fill.optionId);
    if (!footprint || fill.count <= 0) continue;
    fillByOption.set(fill.optionId, fill.count);
    chosenBySlot.set(fill.slotId, [...(chosenBySlot.get(fill.slotId) ?? []), { footprint, count: fill.count }]);
  }
  const chosen = [...chosenBySlot.values()].flat();
  const readiness = new Map<string, ReadyDates>();
  const sameMoment = previous?.asOfMs === asOfMs && previous.rows.project.timeZone === rows.project.timeZone;
  const readyOf = (recipe: RecipePlan, leadDays: number): ReadyDates => {
    const key = `${recipe.recipeId}#${leadDays}`;
    const taken =
      sameMoment && previous.recipes.get(recipe.recipeId) === recipe ? previous.readiness.get(key) : undefined;
    const dates =
      readiness.get(key) ?? taken ?? readyDates(recipe, assumptions, windows, asOfMs + leadDays * MS_PER_DAY);
    readiness.set(key, dates);
    return dates;
  };
  const hourValue = rows.project.hourValue ?? 0;
  const optionsBySlot = new Map<string, OptionRow[]>();
  for (const option of rows.options)
    optionsBySlot.set(option.slotId, [...(optionsBySlot.get(option.slotId) ?? []), option]);

  const baseWithout = sums.withoutSlots(chosen);
  const slots = rows.slots.map((slot): SlotPlan => {
    const own = chosenBySlot.get(slot.id) ?? [];
    const base = baseWithout(slot.id);
    const present = own.length === 0 ? null : own.map((fill) => sums.added(base, fill));
    const presentCash =
      own.length <= 1
        ? (present?.[0]?.cash ?? exactly(0))
        : subtractAmounts(sums.cash(chosen), sums.cash(chosen.filter((fill) => fill.footprint.slot.id !== slot.id)));
    const options = (optionsBySlot.get(slot.id) ?? []).flatMap((option): OptionPlan[] => {
      const footprint = footprints.get(option.id);
      if (!footprint) return [];
      const before = known.get(option.id);
      const findings = samePlace && before?.footprint === footprint ? before.findings : optionFindings(footprint, rows);
      const refused = worstSeverity(findings) === 'refuse';
      const count = fillByOption.get(option.id) ?? Math.min(slot.quantity, footprint.capacity);
      const fill = { footprint, count };
      const added = sums.added(base, fill);
      const alone = sums.alone(fill);
      const leadDays = Math.max(0, ...footprint.offers.map(({ offer }) => offer.leadDays));
      const startMs = asOfMs + leadDays * MS_PER_DAY;
      const ready = footprint.recipe && footprint.needs.size > 0 ? readyOf(footprint.recipe, leadDays) : null;
      const placed = ready
        ? null
        : layWork(windows, startMs, footprint.fixedMinutes + footprint.pieceMinutes * count, true);
      return [
        {
          option,
          slotId: slot.id,
          footprint,
          chosen: fillByOption.has(option.id),
          count,
          capacity: footprint.capacity,
          cashAdded: added.cash,
          cashAlone: alone.cash,
          switching: subtractAmounts(added.cash, presentCash),
          stashUsed: Math.round(added.stash),
          hoursAdded: added.minutes,
          hoursAlone: alone.minutes,
          standsMs: ready?.standsMs ?? placed?.endMs ?? startMs,
          usableMs: ready?.usableMs ?? placed?.endMs ?? startMs,
          ready,
          comparison: { kind: 'noYardstick' },
          beatsYardstick: null,
          worthUpTo: { kind: 'noPrice' },
          findings,
          refused,
        },
      ];
    });
    const yardstick = yardstickOf(options);
    const sides = new Map<number, SideOfComparison>();
    const yardstickSide = (count: number): SideOfComparison | null => {
      if (!yardstick) return null;
      const known = sides.get(count);
      if (known) return known;
      const added = sums.added(base, { footprint: yardstick.footprint, count });
      const side = {
        cost: added.cash.likely + Math.round(added.stash),
        minutes: added.minutes,
        atLeast: added.cash.atLeast,
      };
      sides.set(count, side);
      return side;
    };
    for (const option of options) {
      const side: SideOfComparison = {
        cost: costOf(option),
        minutes: option.hoursAdded,
        atLeast: option.cashAdded.atLeast,
      };
      const against = yardstickSide(option.count);
      option.comparison =
        option.count === 0 ? { kind: 'noYardstick' } : compareWithYardstick(side, against, option === yardstick);
      option.beatsYardstick = beatsYardstick(option.comparison, hourValue);
      option.worthUpTo = worthOf(option, side, against, sums, base, rows, hourValue, option === yardstick);
    }
    const filled = Math.min(
      slot.quantity,
      own.reduce((sum, fill) => sum + fill.count, 0),
    );
    return {
      slot,
      options,
      filled,
      open: slot.leftOut || slot.star !== null ? 0 : slot.quantity - filled,
      yardstickId: yardstick?.option.id ?? null,
    };
  });

  const planned = sums.cash(chosen);
  const hours = sums.hours(chosen);
  // What is done is not worked any more, and its hours do not come back.
  const undone = { ...index, done: new Set<string>() };
  const asIfOpen = chosen.map((fill) =>
    fill.footprint.done
      ? { ...fill, footprint: footprintOf(fill.footprint.option, fill.footprint.slot, recipes, undone) }
      : fill,
  );
  const doneMinutes = asIfOpen.every((fill, n) => fill === chosen[n])
    ? 0
    : Math.max(0, sums.hours(asIfOpen).likely - hours.likely);
  const optionPlans = slots.flatMap((slot) => slot.options);
  const chosenPlans = optionPlans.filter((option) => option.chosen);
  const lastUsableMs = chosenPlans.length === 0 ? null : Math.max(...chosenPlans.map((option) => option.usableMs));
  const findings: Finding[] = [];
  for (const option of chosenPlans)
    if (option.refused)
      findings.push({
        code: 'option.refusedChosen',
        severity: 'refuse',
        where: { kind: 'option', id: option.option.id },
        figures: { slot: option.footprint.slot.name },
      });
  return {
    asOfMs,
    rows,
    assumptions,
    sums,
    recipes,
    recipeInputs,
    readiness,
    slots: [...slots].sort((a, b) => a.slot.number - b.slot.number || (a.slot.id < b.slot.id ? -1 : 1)),
    chosen,
    fullCash: sums.cash(chosen, 'full'),
    supplies: supplyLines(sums, chosen, chosenPlans),
    purse: purseOf(rows, asOfMs, planned, hours, lastUsableMs, doneMinutes),
    findings,
  };
}

/** The price that still pays: only for an option on exactly one find that is not paid yet and serves no other slot. */
function worthOf(
  option: OptionPlan,
  side: SideOfComparison,
  yardstick: SideOfComparison | null,
  sums: PlanSums,
  base: BaseTerms,
  rows: ProjectRows,
  hourValue: number,
  isYardstick: boolean,
): WorthUpTo {
  const find = option.footprint.finds[0];
  if (!yardstick || isYardstick || yardstick.atLeast || !find || option.footprint.finds.length !== 1)
    return { kind: 'noPrice' };
  if (sums.isSettled(find) || base.usesFind(find.id)) return { kind: 'noPrice' };
  // The find's own price may be unknown: what it is worth does not depend on it, only on what comes on top.
  const till = sums.findCash(find);
  const others = subtractAmounts(option.cashAdded, till);
  if (option.cashAdded.atLeast && !till.atLeast) return { kind: 'noPrice' };
  const worth = worthUpTo({ ...side, cost: others.likely + option.stashUsed }, 0, yardstick, hourValue);
  if (worth < 0) return { kind: 'notEvenFree' };
  return { kind: 'upTo', till: worth, tag: largestTagFor(find.story, rows.project.currency, rows.project.tax, worth) };
}

/** The supplies of the chosen options, one line each, with what the sharers earn together. */
function supplyLines(sums: PlanSums, chosen: readonly PlannedFill[], plans: readonly OptionPlan[]): SupplyLine[] {
  const lines: SupplyLine[] = [];
  for (const [key, need] of sums.needs(chosen)) {
    const supply = sums.book.get(key);
    const purchase = sums.book.purchase(key, need);
    const fromStash = Math.min(need, supply.stash);
    const sharers = plans.filter((option) => option.footprint.needs.has(key));
    lines.push({
      key,
      name: supply.name,
      unit: supply.unit,
      need,
      fromStash,
      packs: purchase.packs.map((pack) => ({
        name: supply.packs.find((known) => known.id === pack.id)?.name ?? '',
        size: pack.size,
        count: pack.count,
        price: pack.price,
      })),
      cash: purchase.cash,
      bought: purchase.size,
      left: supply.stash + purchase.size - need,
      optionIds: sharers.map((option) => option.option.id),
      togetherPerHour: sharers.length > 1 ? togetherPerHour(sums, chosen, sharers) : null,
    });
  }
  return lines.sort((a, b) => b.cash.likely - a.cash.likely || (a.name < b.name ? -1 : 1));
}

/** What options sharing a supply earn together: their yardsticks' costs − their joint cost, over the joint extra time. */
function togetherPerHour(
  sums: PlanSums,
  chosen: readonly PlannedFill[],
  sharers: readonly OptionPlan[],
): number | null {
  let yardCost = 0;
  let yardMinutes = 0;
  for (const option of sharers) {
    const { comparison } = option;
    if (!('deltaCost' in comparison)) return null;
    yardCost += comparison.deltaCost + costOf(option);
    yardMinutes += option.hoursAdded.likely - comparison.deltaMinutes;
  }
  const ids = new Set(sharers.map((option) => option.option.id));
  const without = chosen.filter((fill) => !ids.has(fill.footprint.option.id));
  const jointCash = subtractAmounts(sums.cash(chosen), sums.cash(without));
  const jointStash = sums.stashUsed(chosen) - sums.stashUsed(without);
  const jointMinutes = sums.hours(chosen).likely - sums.hours(without).likely;
  const deltaMinutes = jointMinutes - yardMinutes;
  if (jointCash.atLeast || deltaMinutes <= SAME_TIME_MINUTES) return null;
  return Math.round((yardCost - jointCash.likely - jointStash) / (deltaMinutes / 60));
}

import { ordinaryWeek, WorkWindows } from '../calendar/workWindows';
import type { Assumptions } from '../catalog/assumptions';
import { fromMicro } from '../kernel/micro';
import { MS_PER_DAY } from '../kernel/units';
import type { RecipePlan } from '../recipe/computeRecipe';
import { type ReadyDates, readyDates, scheduleWork } from '../recipe/readyDates';
import type { Workshop } from '../state/workshop';
import { daysUntilHere } from './comesOn';
import type { OptionModel } from './model/optionModel';
import type { PlanModel } from './model/planModel';

/** When an option can be used, epoch milliseconds. */
export interface OptionDates {
  /** Days until the last of its offers arrives. */
  leadDays: number;
  /** When it can stand in place with care, and when it is usable as it is used. */
  standsMs: number;
  usableMs: number;
  /** Where its recipe's steps lie; null when nothing is made. */
  ready: ReadyDates | null;
}

/**
 * When one option alone would be usable: lead time, then its steps or its stated minutes laid into the ordinary week.
 * @param count how many of its slot it fills; only stated minutes grow with it, a recipe is laid as it is made
 * @param asOfMs the moment that dates count from, epoch milliseconds
 * @returns the moment itself where there is nothing to wait for and nothing to do
 */
export function optionDates(model: PlanModel, option: OptionModel, count: number, asOfMs: number): OptionDates {
  const { memo, assumptions } = model;
  const { timeZone, workshop } = model.rows.project;
  const leadDays = Math.max(
    0,
    ...option.offers.map(({ offer }) => daysUntilHere(offer, model.orderedMs(offer.id), asOfMs, timeZone)),
  );
  const windows = memo.part(windowsFrom, '', { asOfMs, timeZone, week: workshop.week });
  const startMs = asOfMs + leadDays * MS_PER_DAY;
  const { recipe } = option;
  const ready =
    recipe && option.supplyTerms.length > 0
      ? memo.part(readyPart, `${recipe.recipeId} ${leadDays}`, { recipe, assumptions, windows, startMs })
      : null;
  return memo.part(datesPart, option.option.id, { option, count, windows, startMs, leadDays, ready });
}

/** The stylist's week; the ordinary one where nobody works in any week. */
function windowsFrom(of: { asOfMs: number; timeZone: string; week: Workshop['week'] }): WorkWindows {
  const week = of.week.map((day) => day.map(({ fromMinute, toMinute }) => [fromMinute, toMinute] as const));
  return new WorkWindows(of.asOfMs, of.timeZone, week.some((day) => day.length > 0) ? week : ordinaryWeek);
}

const readyPart = (of: { recipe: RecipePlan; assumptions: Assumptions; windows: WorkWindows; startMs: number }) =>
  readyDates(of.recipe, of.assumptions, of.windows, of.startMs);

function datesPart(of: {
  option: OptionModel;
  count: number;
  windows: WorkWindows;
  startMs: number;
  leadDays: number;
  ready: ReadyDates | null;
}): OptionDates {
  const { leadDays, ready } = of;
  if (ready) return { leadDays, standsMs: ready.standsMs, usableMs: ready.usableMs, ready };
  const { onceMicro, eachMicro } = of.option.hands;
  const { endMs } = scheduleWork(of.windows, of.startMs, fromMicro(onceMicro + eachMicro * of.count), true);
  return { leadDays, standsMs: endMs, usableMs: endMs, ready };
}

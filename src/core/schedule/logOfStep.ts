import { localDate } from '../calendar/zonedTime';
import { coatings } from '../catalog/coatings';
import { MS_PER_MINUTE } from '../kernel/units';
import type { LogEntryRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { ratesOfStep } from '../plan/why/ratesOfStep';
import { partsOfSupplyKey } from '../recipe/supplyKey';
import { type BenchJob, workOf } from './benchJobs';
import { forecastOf } from './forecastOf';
import { minuteOf } from './workerWindows';

/** The most supplies of one step that a line holds. */
const MOST_AMOUNTS = 12;

/**
 * A line of the log for a step as it was done: what the tables and the skill expect of it, without what the log has taught
 * already, beside what it took.
 * @param of.session minutes of setting up and cleaning up that fell on it
 * @param of.minutes hands-on minutes, of all people together
 * @returns coats and amounts as nobody has said yet; the air of work in the open where somebody said the weather of that day
 */
export function logOfStep(
  plan: Plan,
  job: BenchJob,
  of: { id: string; atMs: number; minutes: number; people: number; session: number },
): LogEntryRow {
  const { step, subject } = job;
  const recipe = subject?.recipeId ? plan.model.recipe(subject.recipeId) : undefined;
  const rate = recipe && step ? ratesOfStep(recipe, step)[0]?.key : undefined;
  const factorOf = (key: string) => plan.assumptions.get(key).learned?.factor ?? 1;
  const run = job.task.runMinutes / (rate === undefined ? 1 : factorOf(rate));
  const expected = run + of.session / factorOf('session.setUpMinutes');
  const layer = recipe?.layers.find(({ id }) => id === step?.layerId);
  const zone = recipe?.zones.find(({ key }) => step?.zoneKeys.includes(key));
  return {
    id: of.id,
    version: 1,
    atMs: of.atMs,
    what: job.title,
    recipeName: plan.rows.recipes.find(({ id }) => id === subject?.recipeId)?.name ?? '',
    projectName: plan.rows.project.name,
    work: rate ?? `step.${workOf(job)}`,
    coatingId: step?.kind === 'coat' ? (layer?.coating.id ?? null) : null,
    substrateId: zone?.substrate.id ?? null,
    expectedMinutes: Math.round(expected * 100) / 100,
    minutes: Math.round(of.minutes * 100) / 100,
    people: of.people,
    coats: null,
    amounts: [],
    air: airOf(plan, job, of.atMs),
    wrong: null,
    note: '',
    counts: true,
  };
}

/** What is learned by a task of the bench, as the log calls it: its rate in the tables, else its kind of step. */
export function workKeyOf(plan: Plan, job: Pick<BenchJob, 'step' | 'subject'>): string {
  const recipe = job.subject?.recipeId ? plan.model.recipe(job.subject.recipeId) : undefined;
  const rate = recipe && job.step ? ratesOfStep(recipe, job.step)[0]?.key : undefined;
  return rate ?? `step.${workOf(job)}`;
}

/** What a step is expected to take of coatings, without what the log has taught: what a line compares with. */
export function expectedAmounts(plan: Plan, job: BenchJob): { kindId: string; supplyKey: string; expected: number }[] {
  return (job.step?.supplies ?? []).slice(0, MOST_AMOUNTS).flatMap(({ supplyKey, amount }) => {
    const { kindId } = partsOfSupplyKey(supplyKey);
    const coating = coatings.find(kindId);
    if (!coating || amount <= 0) return [];
    const rate = `coating.${kindId}.spreadingRate${coating.unit === 'can' ? 'M2PerCan' : 'M2PerL'}`;
    const factor =
      coating.unit === 'm' ? 1 : (plan.assumptions.get(rate, [`supply:${supplyKey}`]).learned?.factor ?? 1);
    return [{ kindId, supplyKey, expected: amount / factor }];
  });
}

/** The air that a step in the open was done in: as it was typed or imported; what is only simulated is not logged. */
function airOf({ rows }: Plan, { step }: BenchJob, atMs: number): LogEntryRow['air'] {
  if (step?.place !== 'outdoors') return null;
  const { project, weatherDays } = rows;
  const date = localDate(atMs, project.timeZone);
  const day = forecastOf(project, weatherDays)(date);
  const hour = day.hours[Math.floor((atMs / MS_PER_MINUTE - minuteOf(date, 0, project.timeZone)) / 60)];
  return day.source === 'simulated' || !hour ? null : { airC: hour.airC, humidityPercent: hour.humidityPercent };
}

import type { Forecast } from '../calendar/weather/weatherHour';
import { dayBegins } from '../calendar/zonedTime';
import { MS_PER_MINUTE } from '../kernel/units';
import type { Plan } from '../plan/computePlan';
import type { BenchJob, BenchRow } from './benchJobs';
import type { BenchProblem } from './benchProblem';
import { JobBook } from './jobBook';
import { placingJob, spotDeliverable, spotJobs } from './placingJobs';
import { recipeJobs, shareSetUps } from './recipeJobs';
import { tripJob } from './tripJobs';

export { OWN_HANDS } from './jobBook';

/** A bench compiled from a plan: the problem, and what its parts are called. */
export interface Bench {
  problem: BenchProblem;
  jobs: ReadonlyMap<string, BenchJob>;
  rows: readonly BenchRow[];
  forecast: Forecast;
  /** The first and the last local date that it looks at. */
  from: string;
  days: number;
}

/**
 * Everything that is chosen and not done, as tasks to be laid: the steps of recipes, tasks of spots, trips, deliveries,
 * setting in place; in the hours of the workshop, with what was done already where it was done.
 * @param plan what is chosen; dates are of the project's time zone
 * @param nowMs the present, epoch milliseconds
 */
export function benchOfPlan(plan: Plan, nowMs: number = plan.asOfMs): Bench {
  const book = new JobBook(plan, nowMs);
  const { trips, spots, project } = plan.rows;
  for (const trip of trips) if (!trip.done) tripJob(book, trip.id);
  const recipes = new Map(plan.chosen.flatMap(({ model }) => (model.recipe ? [[model.recipe.recipeId, model]] : [])));
  for (const { recipe, isDone } of recipes.values()) if (recipe && !isDone) recipeJobs(book, recipe);
  shareSetUps(book);
  for (const spot of spots) spotJobs(book, spot.id);
  const deliverables = [
    ...plan.chosen.map((fill) => placingJob(book, fill)),
    ...spots.flatMap((spot) => spotDeliverable(book, spot.id)),
  ];
  const due = project.revealDate ? Math.floor(dayBegins(project.revealDate, project.timeZone) / MS_PER_MINUTE) : null;
  return {
    problem: {
      now: book.now,
      tasks: [...book.jobs.values()].map(({ task }) => task),
      workers: book.workers,
      places: project.workshop.dryingPlaces,
      hours: book.hours,
      deliverables: deliverables.filter(({ ends }) => ends.length > 0).map((one) => ({ ...one, due })),
    },
    jobs: book.jobs,
    rows: [...book.rows.values()],
    forecast: book.forecast,
    from: book.today,
    days: book.days,
  };
}

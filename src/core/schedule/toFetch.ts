import { MICRO } from '../kernel/micro';
import type { Plan } from '../plan/computePlan';
import { tripsPulled } from '../plan/model/poolCost';
import type { BenchJob } from './benchJobs';

/** Something that a task needs and that is not in the house yet. */
export interface ToFetch {
  name: string;
  /** The trip that it is fetched on; null where it is on none, so that nobody has planned to get it. */
  trip: string | null;
}

/** States of a find that is not in the house: only looked at, or ordered. */
const notHere: ReadonlySet<string> = new Set(['seen', 'promised']);

/**
 * What a task needs that is not in the house: pieces that are not bought, tools, and supplies of which there is less than
 * the task takes. What is sent is not among it: it has a day of its own.
 */
export function toFetch(plan: Plan, job: BenchJob): ToFetch[] {
  if (job.doneAt !== null || job.step?.skipped) return [];
  return [...pieces(plan, job), ...supplies(plan, job), ...tools(plan, job)];
}

function pieces(plan: Plan, { subject }: BenchJob): ToFetch[] {
  // What hands were at already is here, whatever the books say.
  const isBegun = subject?.recipeId && plan.rows.stepRuns.some((run) => run.recipeId === subject.recipeId);
  if (isBegun) return [];
  const own = plan.chosen.filter(({ model }) =>
    subject?.recipeId ? model.recipe?.recipeId === subject.recipeId : model.option.id === subject?.optionId,
  );
  return own.flatMap(({ model }) => {
    const trips = model.draws.flatMap(({ kind, key }) => (kind === 'trip' ? [key] : []));
    return model.finds
      .filter((find) => notHere.has(find.state))
      .map((find) => ({ name: find.name, trip: tripName(plan, trips) }));
  });
}

function supplies(plan: Plan, { step }: BenchJob): ToFetch[] {
  return (step?.supplies ?? []).flatMap(({ supplyKey, amount }): ToFetch[] => {
    const pool = plan.model.supply(supplyKey);
    if (pool.isAlways || amount <= 0 || amount * MICRO <= pool.stashMicro + 1) return [];
    return [{ name: pool.name, trip: tripName(plan, tripsPulled(pool, plan.totals.of(`supply ${supplyKey}`))) }];
  });
}

function tools(plan: Plan, { step }: BenchJob): ToFetch[] {
  return (step?.tools ?? []).flatMap((toolId): ToFetch[] => {
    const pool = plan.model.tool(toolId);
    return pool.isOwned ? [] : [{ name: pool.name, trip: null }];
  });
}

/** The first of some trips that is still to be made. */
function tripName({ rows }: Plan, ids: readonly string[]): string | null {
  return rows.trips.find(({ id, done }) => !done && ids.includes(id))?.name ?? null;
}

import type { BenchProblem, BenchSchedule, Stretch } from '@core/schedule/benchProblem';
import { ifItRains, type WetDay } from '@core/schedule/ifItRains';
import { firstSchedule, improveSchedule } from '@core/schedule/improveSchedule';
import { taskGraph } from '@core/schedule/taskGraph';
import { type Help, whatHelps } from '@core/schedule/whatHelps';
import { expose } from 'comlink';

/** How often a search says how far it is, and hears whether it shall stop, ms. */
const TELL_MS = 120;
/** One seed for all: the same bench gives the same plan. */
const SEED = 1;

let turn = 0;

/** How many schedules are tried: fewer of a large bench, whose each takes longer. */
const triesFor = (tasks: number): number => Math.round(Math.min(3000, Math.max(500, 300_000 / Math.max(1, tasks))));

/**
 * Improves the plan of a bench; the best so far is told on the way. Another question ends an earlier one.
 * @returns the best; null where another question came, or it was told to stop
 */
async function improve(
  problem: BenchProblem,
  tell: (share: number, best: BenchSchedule) => void,
): Promise<BenchSchedule | null> {
  turn += 1;
  const own = turn;
  const graph = taskGraph(problem);
  const tries = triesFor(problem.tasks.length);
  const run = improveSchedule(problem, firstSchedule(problem, graph), { seed: SEED, tries, every: 5 }, graph);
  let step = run.next();
  let told = performance.now();
  while (!step.done) {
    if (performance.now() - told > TELL_MS) {
      tell(step.value.tries / step.value.of, step.value.best);
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (own !== turn) return null;
      told = performance.now();
    }
    step = run.next();
  }
  return step.value.schedule;
}

/** What would help a plan, each tried. */
function helps(
  problem: BenchProblem,
  today: string,
  evenings: ReadonlyMap<string, Stretch>,
  present: BenchSchedule,
): Help[] {
  return whatHelps(problem, today, (date) => evenings.get(date) ?? { start: 0, end: 0 }, present);
}

/** What becomes of a plan when a day that it counts on allows no work in the open. */
function ifWet(
  problem: BenchProblem,
  schedule: BenchSchedule,
  pinned: ReadonlySet<string>,
  days: ReadonlyMap<string, Stretch>,
): WetDay[] {
  return ifItRains(problem, { schedule, pinned }, days);
}

function stop(): void {
  turn += 1;
}

const work = { improve, helps, ifWet, stop };
export type ScheduleWork = typeof work;
expose(work);

import { randomBench } from '@core/fixtures/randomBench';
import type { BenchProblem, BenchSchedule } from '@core/schedule/benchProblem';
import { endOf, startOf } from '@core/schedule/benchProblem';
import { firstSchedule, improveSchedule } from '@core/schedule/improveSchedule';
import { lowerBound } from '@core/schedule/lowerBound';
import { keptOf } from '@core/schedule/moveTasks';
import { replan } from '@core/schedule/replan';
import { taskGraph } from '@core/schedule/taskGraph';
import { verifySchedule } from '@core/schedule/verifySchedule';
import { type Timing, timing } from './measure';

/** As many tries as the page's worker makes of so many tasks. */
const triesFor = (tasks: number) => Math.round(Math.min(3000, Math.max(500, 300_000 / tasks)));

function improved(problem: BenchProblem, tries: number): BenchSchedule {
  const run = improveSchedule(problem, firstSchedule(problem), { seed: 1, tries });
  let step = run.next();
  while (!step.done) step = run.next();
  return step.value.schedule;
}

/** The bench of sixty makeovers in eight weeks: first plan, improved, planned anew; twenty others against their bounds. */
export async function scheduleBench(show: (name: string, value: Timing, aim: string) => void): Promise<void> {
  const problem = randomBench({ seed: 7, pieces: 60, coats: 4, days: 84 });
  const size = `60 makeovers, ${problem.tasks.length} steps`;
  show(`bench: first plan, ${size}`, await timing(8, () => firstSchedule(problem)), 'under 300 ms');
  const { schedule } = firstSchedule(problem);
  show('bench: its check', await timing(8, () => verifySchedule(problem, schedule)), '');
  const start = performance.now();
  const better = improved(problem, triesFor(problem.tasks.length));
  const took = performance.now() - start;
  show('bench: improved', { median: took, least: took, most: took }, 'under 5 s');
  const first = [...better.tasks].sort((a, b) => startOf(a) - startOf(b))[0];
  const late = {
    ...problem,
    tasks: problem.tasks.map((task) =>
      first && task.id === first.taskId
        ? { ...task, fixed: { start: startOf(first), end: endOf(first) + 12 }, batch: null }
        : task,
    ),
  };
  const graph = taskGraph(late);
  const kept = keptOf(better);
  show('bench: planned anew after a done step', await timing(8, () => replan(late, kept, graph)), 'under 200 ms');
  const days = (minutes: number) => (minutes / 1440).toFixed(1);
  let [late1, late2, lateBound, sets1, sets2, setsBound, end1, end2, endBound] = [0, 0, 0, 0, 0, 0, 0, 0, 0];
  for (let seed = 1; seed <= 20; seed += 1) {
    const any = randomBench({ seed, pieces: 12, coats: 3, days: 70 });
    const one = firstSchedule(any).schedule.score;
    const two = improved(any, triesFor(any.tasks.length)).score;
    const bound = lowerBound(any);
    late1 += one.lateMinutes;
    late2 += two.lateMinutes;
    lateBound += bound.lateMinutes;
    sets1 += one.setUpMinutes;
    sets2 += two.setUpMinutes;
    setsBound += bound.setUpMinutes;
    end1 += one.end - any.now;
    end2 += two.end - any.now;
    endBound += bound.end - any.now;
  }
  process.stdout.write(
    `bench: 20 of 12 makeovers, together: weighted days late ${days(late1)} first, ${days(late2)} improved, ${days(lateBound)} bound; ` +
      `set-up hours ${Math.round(sets1 / 60)}, ${Math.round(sets2 / 60)}, ${Math.round(setsBound / 60)}; ` +
      `days to the end ${days(end1 / 20)}, ${days(end2 / 20)}, ${days(endBound / 20)}\n`,
  );
}

import { MS_PER_MINUTE } from '@core/kernel/units';
import type { Plan } from '@core/plan/computePlan';
import { taskIdOf } from '@core/schedule/benchJobs';
import { type Bench, benchOfPlan } from '@core/schedule/benchOfPlan';
import { type BenchSchedule, isBetter } from '@core/schedule/benchProblem';
import type { WetDay } from '@core/schedule/ifItRains';
import { firstSchedule } from '@core/schedule/improveSchedule';
import { lowerBound } from '@core/schedule/lowerBound';
import { keptOf } from '@core/schedule/moveTasks';
import { type KeptPlace, replan } from '@core/schedule/replan';
import { type TaskGraph, taskGraph } from '@core/schedule/taskGraph';
import { type ScheduleFault, verifySchedule } from '@core/schedule/verifySchedule';
import type { Help } from '@core/schedule/whatHelps';
import { useEffect, useMemo, useRef, useState } from 'react';
import { usePlan } from '../../app/projectStore';
import { useScheduleSearch } from './useScheduleSearch';
import { useWetDays } from './useWetDays';

/** The plan moves on with the clock in steps of this, so that it stands still while it is read. */
const STEP_MS = 5 * MS_PER_MINUTE;

/** The bench as it is shown. */
export interface BenchState {
  bench: Bench;
  graph: TaskGraph;
  /** The plan that is worked by: the kept one moved on to the present, else the best that was found. */
  schedule: BenchSchedule;
  /** What is wrong with the plan that is shown; nothing, or it is not shown. */
  faults: readonly ScheduleFault[];
  /** Tasks that were put where they are by hand. */
  pinned: ReadonlySet<string>;
  /** The plan that is kept; null where none is. */
  keptId: string | null;
  /** How many tasks had to move since it was kept. */
  moved: number;
  /** A better plan than the kept one; null where there is none. */
  better: BenchSchedule | null;
  /** How far the search is, 0 to 1; null while nothing is searched. */
  progress: number | null;
  /** What no plan can be better than. */
  bound: BenchSchedule['score'];
  helps: readonly Help[];
  /** What becomes of the plan when a day that it counts on turns out wet. */
  wetDays: readonly WetDay[];
  stop: () => void;
}

/**
 * Compiles the bench, plans it at once, has it improved in a worker, and shows nothing that its check does not pass.
 * @param isSearching whether a better plan is looked for; at a single step none is needed
 */
export function useBench(isSearching = true): BenchState {
  const present = usePresent();
  const { rows } = present.plan;
  const bench = useMemo(() => benchOfPlan(present.plan, present.nowMs), [present]);
  const graph = useMemo(() => taskGraph(bench.problem), [bench]);
  const keptRow = useMemo(() => [...rows.benchPlans].sort((a, b) => b.madeAtMs - a.madeAtMs)[0], [rows.benchPlans]);
  const kept = useMemo(
    (): KeptPlace[] | null =>
      keptRow?.placed.map((place) => ({
        taskId: taskIdOf(place),
        start: Math.round(place.atMs / MS_PER_MINUTE),
        end: Math.round(place.untilMs / MS_PER_MINUTE),
        isPinned: place.pinned,
        workerIds: place.workerIds ?? [],
      })) ?? null,
    [keptRow],
  );
  const before = useRef<KeptPlace[] | null>(null);
  const first = useMemo(() => {
    const base = kept ?? before.current;
    return base
      ? replan(bench.problem, base, graph)
      : { schedule: firstSchedule(bench.problem, graph).schedule, moved: 0 };
  }, [bench, graph, kept]);
  const { timeZone } = rows.project;
  const search = useScheduleSearch(bench, timeZone, isSearching);
  const other = search.found && isBetter(search.found.score, first.schedule.score) ? search.found : null;
  const schedule = kept === null ? (other ?? first.schedule) : first.schedule;
  const pinned = useMemo(
    () => new Set(kept?.filter(({ isPinned }) => isPinned).map(({ taskId }) => taskId) ?? []),
    [kept],
  );
  // What was shown is where the next plan starts, so that it does not jump about as time goes on.
  useEffect(() => {
    before.current = keptOf(schedule);
  }, [schedule]);
  const wetDays = useWetDays(bench, { schedule, pinned }, timeZone, isSearching && search.progress === null);
  const faults = useMemo(() => verifySchedule(bench.problem, schedule), [bench, schedule]);
  const bound = useMemo(() => lowerBound(bench.problem, graph), [bench, graph]);
  return {
    bench,
    graph,
    schedule,
    faults,
    pinned,
    keptId: keptRow?.id ?? null,
    moved: kept === null ? 0 : first.moved,
    better: kept === null ? null : other,
    progress: search.progress,
    bound,
    helps: search.helps,
    wetDays,
    stop: search.stop,
  };
}

/** The plan and the present that the bench is compiled from: others only when a row changes, or the clock's step is over. */
interface Present {
  plan: Plan;
  nowMs: number;
}

function usePresent(): Present {
  const plan = usePlan();
  const nowMs = Math.ceil(plan.asOfMs / STEP_MS) * STEP_MS;
  const [held, setHeld] = useState<Present>({ plan, nowMs });
  // A plan of the same rows a minute later gives the same bench.
  const isSame = held.plan.rows === plan.rows && held.nowMs === nowMs;
  if (!isSame) setHeld({ plan, nowMs });
  return held;
}

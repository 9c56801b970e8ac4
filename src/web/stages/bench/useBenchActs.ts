import { localDate } from '@core/calendar/zonedTime';
import { listed } from '@core/kernel/listed';
import { MS_PER_MINUTE } from '@core/kernel/units';
import type { BenchSubject } from '@core/model/values/benchSubject';
import type { BenchJob } from '@core/schedule/benchJobs';
import { type BenchProblem, type Stretch, windowsOf } from '@core/schedule/benchProblem';
import { lowerFirst, notThereWords, waitWords } from '@core/schedule/benchWords';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { keptOf, moveTasks } from '@core/schedule/moveTasks';
import { whyNotThere } from '@core/schedule/whyNotThere';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useCommands, usePlan } from '../../app/projectStore';
import type { BenchState } from './useBench';
import { useMoments } from './useMoments';

/** What can be done with the plan of the bench: kept, let go, moved by hand, worked by. */
export function useBenchActs(state: BenchState) {
  const plan = usePlan();
  const { run } = useCommands();
  const navigate = useNavigate();
  const [movedWords, setMovedWords] = useState<string | null>(null);
  const { bench, schedule, graph } = state;
  const { day, moment } = useMoments(bench.problem.now);
  const keep = (places: ReturnType<typeof keptOf>, why: 'kept' | 'moved' | 'better') =>
    run('keepBench', {
      id: crypto.randomUUID(),
      madeAtMs: plan.asOfMs,
      why,
      placed: places.flatMap(({ taskId, start, end, isPinned, workerIds }) => {
        const subject: BenchSubject | null = bench.jobs.get(taskId)?.subject ?? null;
        return subject
          ? [
              {
                ...subject,
                atMs: start * MS_PER_MINUTE,
                untilMs: end * MS_PER_MINUTE,
                pinned: isPinned,
                workerIds: [...workerIds],
              },
            ]
          : [];
      }),
    });
  const move = (block: BenchBlock, aimed: Stretch) => {
    const to = hoursOf(bench.problem, block, aimed, (minute) =>
      localDate(minute * MS_PER_MINUTE, plan.rows.project.timeZone),
    );
    if (to === null) {
      const who = plan.rows.project.workshop.helpers.find(({ id }) => id === block.workerId)?.name;
      setMovedWords(`${who ?? 'Whoever does it'} has no hours ${day(aimed.start)}. Nothing was moved.`);
      return;
    }
    const taskIds = block.tasks.map(({ job }) => job.task.id);
    const titles = listed(block.tasks.map(({ job }) => lowerFirst(job.title)));
    const moved = moveTasks(bench.problem, { schedule, pinned: state.pinned }, taskIds, to, graph);
    if (moved.start === null) {
      setMovedWords(`There is no time for ${titles} from there on. Nothing was moved.`);
      return;
    }
    const others = moved.others === 0 ? 'nothing else moves' : `${moved.others} more move with it`;
    const later =
      moved.laterMinutes > 720
        ? `; all is ready ${waitWords(moved.laterMinutes)} later`
        : moved.laterMinutes < -720
          ? `; all is ready ${waitWords(-moved.laterMinutes)} sooner`
          : '';
    setMovedWords(
      moved.isThere
        ? `Moved to ${day(moved.start)}: ${others}${later}.`
        : `It cannot be done ${day(to.start)}: ${notThereWords(whyNotThere(bench.problem, schedule, taskIds, to), bench.jobs, moment)}. It lies ${moment(moved.start)} now; ${others}${later}.`,
    );
    keep(moved.kept, 'moved');
  };
  /** Goes to a step; what is shown is kept with it, so that it stays where it is while it is worked by. */
  const open = (job: BenchJob) => {
    if (state.keptId === null) keep(keptOf(schedule), 'kept');
    navigate(`step?task=${encodeURIComponent(job.task.id)}`);
  };
  return {
    /** What became of what was moved last; null where nothing was, or it was put away. */
    movedWords,
    putAway: () => setMovedWords(null),
    move,
    open,
    keepShown: () => keep(keptOf(schedule), 'kept'),
    takeBetter: () => keep(keptOf(state.better ?? schedule), 'better'),
    letGo: () => {
      if (state.keptId !== null) run('letBenchGo', { id: state.keptId });
    },
  };
}

/** The hours that were aimed at, as whoever does the block has them that day; null where there are none. */
function hoursOf(
  problem: BenchProblem,
  { workerId }: BenchBlock,
  aimed: Stretch,
  dateOf: (minute: number) => string,
): Stretch | null {
  const windows = windowsOf(problem, workerId);
  const overlaps = windows.find(({ start, end }) => start < aimed.end && end > aimed.start);
  // An evening of one's own, the helper comes in the afternoon: the same day is meant.
  return overlaps ?? windows.find(({ start }) => dateOf(start) === dateOf(aimed.start)) ?? null;
}

import { z } from 'zod';
import { MS_PER_MINUTE } from '../../kernel/units';
import { rowSchema } from '../../model/entities';
import { stepRun } from '../../model/entities/stepRun';
import { id, moment } from '../../model/fields';
import type { ProjectRows, StepRunRow } from '../../model/rows';
import { type BenchSubject, benchSubject } from '../../model/values/benchSubject';
import { projectAct } from '../act';
import { insert, type RowChange, update } from '../changes';
import { planAsWorkBegan, workBegan } from '../closing/workBegan';
import { alreadyDone, endedAt, runOf } from './stepSubject';

const { what, people, by } = stepRun.fields;

/**
 * Finishes a step, begun with the timer or told afterwards, and writes its line into the log. A step is finished once:
 * a second device is told who did it.
 */
export const finishStep = projectAct({
  kind: 'finishStep',
  title: 'Step done',
  titleFor: (payload) => `Done: ${payload.what}`,
  payload: z.strictObject({
    id,
    ...benchSubject,
    what,
    people,
    by,
    atMs: moment,
    /** Its line of the log; null where nothing is logged of it. */
    entry: rowSchema('logEntries').nullable(),
    freeze: planAsWorkBegan,
  }),
  decide: (rows, { atMs, entry, freeze, ...run }) => {
    const known = runOf(rows, run);
    if (known?.state === 'done') return alreadyDone(known);
    // What was said to have gone wrong on the way is not lost when its line does not say it.
    const wrong = entry?.wrong ?? known?.wrong ?? null;
    const changes: RowChange[] = entry ? [insert('logEntries', { ...entry, wrong })] : [];
    const done = {
      state: 'done' as const,
      doneMs: atMs,
      people: run.people,
      by: run.by,
      wrong,
      logId: entry?.id ?? null,
    };
    changes.push(
      known
        ? update('stepRuns', known.id, { ...done, stretches: endedAt(known, atMs) })
        : insert('stepRuns', { ...run, ...done, stretches: toldAfterwards(atMs, entry, run) }),
    );
    return [...changes, ...spotTask(rows, run, true), ...workBegan(rows, freeze)];
  },
});

/** One stretch that ends when it was done and is as long as was said. */
function toldAfterwards(
  atMs: number,
  entry: { minutes: number } | null,
  { people: hands }: { people: number },
): StepRunRow['stretches'] {
  const minutes = (entry?.minutes ?? 0) / Math.max(1, hands);
  return [{ startMs: Math.max(0, Math.round(atMs - minutes * MS_PER_MINUTE)), endMs: atMs }];
}

/** A task of a spot is done, or not, in the sketch too. */
export function spotTask(rows: ProjectRows, { spotId, stepId }: BenchSubject, isDone: boolean): RowChange[] {
  const spot = rows.spots.find((row) => row.id === spotId);
  if (!spot?.tasks.some((task) => task.id === stepId && task.done !== isDone)) return [];
  const tasks = spot.tasks.map((task) => (task.id === stepId ? { ...task, done: isDone } : task));
  return [update('spots', spot.id, { tasks })];
}

import { z } from 'zod';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { type RowChange, remove, update } from '../changes';
import { spotTask } from './finishStep';

/** Says that a step is not done after all: it waits to go on, and its line leaves the log. */
export const reopenStep = projectAct({
  kind: 'reopenStep',
  title: 'Not done after all',
  payload: z.strictObject({ runId: id }),
  decide: (rows, { runId }) => {
    const run = rows.stepRuns.find((row) => row.id === runId);
    if (!run) return refuse('runId', runId, 'a step that was done');
    if (run.state !== 'done') return refuse('runId', run.what, 'a step that is done');
    const changes: RowChange[] = [update('stepRuns', run.id, { state: 'paused', doneMs: null, logId: null })];
    if (run.logId !== null && rows.logEntries.some((entry) => entry.id === run.logId))
      changes.push(remove('logEntries', run.logId));
    return [...changes, ...spotTask(rows, run, false)];
  },
});

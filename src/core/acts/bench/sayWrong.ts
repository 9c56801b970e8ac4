import { z } from 'zod';
import { stepRun } from '../../model/entities/stepRun';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { type RowChange, update } from '../changes';

const { wrong } = stepRun.fields;

/** Says what went wrong at a step that was begun, or that nothing did; its line of the log says it too. */
export const sayWrong = projectAct({
  kind: 'sayWrong',
  title: 'Said what went wrong',
  payload: z.strictObject({ runId: id, wrong }),
  decide: (rows, payload) => {
    const run = rows.stepRuns.find((row) => row.id === payload.runId);
    if (!run) return refuse('runId', payload.runId, 'a step that was begun');
    const line = rows.logEntries.find((entry) => entry.id === run.logId);
    const changes: RowChange[] = [update('stepRuns', run.id, { wrong: payload.wrong })];
    return line ? [...changes, update('logEntries', line.id, { wrong: payload.wrong })] : changes;
  },
});

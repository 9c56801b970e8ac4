import { z } from 'zod';
import { stepRun } from '../../model/entities/stepRun';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { type RowChange, update } from '../changes';

const { wrong, people, by } = stepRun.fields;

/** Says of a step that was begun what went wrong, how many are at it, or who; its line of the log says it too. */
export const tellStep = projectAct({
  kind: 'tellStep',
  title: 'Said of the step',
  payload: z.strictObject({ runId: id, values: z.strictObject({ wrong, people, by }).partial() }),
  decide: (rows, { runId, values }) => {
    const run = rows.stepRuns.find((row) => row.id === runId);
    if (!run) return refuse('runId', runId, 'a step that was begun');
    const line = rows.logEntries.find((entry) => entry.id === run.logId);
    const changes: RowChange[] = [update('stepRuns', run.id, values)];
    const { by: _who, ...ofLine } = values;
    return line ? [...changes, update('logEntries', line.id, ofLine)] : changes;
  },
});

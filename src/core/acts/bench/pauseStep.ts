import { z } from 'zod';
import { id, moment } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { update } from '../changes';
import { endedAt } from './stepSubject';

/** Pauses a step that is at hand: its minutes stand still until it goes on. */
export const pauseStep = projectAct({
  kind: 'pauseStep',
  title: 'Step paused',
  payload: z.strictObject({ runId: id, atMs: moment }),
  decide: (rows, { runId, atMs }) => {
    const run = rows.stepRuns.find((row) => row.id === runId);
    if (!run) return refuse('runId', runId, 'a step that was begun');
    if (run.state !== 'running') return refuse('runId', run.what, 'a step that somebody is at');
    return [update('stepRuns', run.id, { state: 'paused', stretches: endedAt(run, atMs) })];
  },
});

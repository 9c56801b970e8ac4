import { z } from 'zod';
import { stepRun } from '../../model/entities/stepRun';
import { id, moment } from '../../model/fields';
import { benchSubject } from '../../model/values/benchSubject';
import { projectAct, refuse } from '../act';
import { insert, update } from '../changes';
import { planAsWorkBegan, workBegan } from '../closing/workBegan';
import { alreadyDone, runOf } from './stepSubject';

const { what, people, by } = stepRun.fields;

/** Begins a step, or goes on with one that was paused; the timer runs from the moment that is given. */
export const beginStep = projectAct({
  kind: 'beginStep',
  title: 'Step begun',
  titleFor: (payload) => `Begun: ${payload.what}`,
  payload: z.strictObject({ id, ...benchSubject, what, people, by, atMs: moment, freeze: planAsWorkBegan }),
  decide: (rows, { atMs, freeze, ...run }) => {
    const known = runOf(rows, run);
    if (!known)
      return [
        insert('stepRuns', {
          ...run,
          state: 'running',
          stretches: [{ startMs: atMs, endMs: null }],
          doneMs: null,
          wrong: null,
          logId: null,
        }),
        ...workBegan(rows, freeze),
      ];
    if (known.state === 'done') return alreadyDone(known);
    if (known.state === 'running')
      return refuse('stepId', known.what, `a step that nobody is at; ${known.by || 'another device'} began it already`);
    const last = known.stretches.at(-1)?.endMs ?? atMs;
    return [
      update('stepRuns', known.id, {
        state: 'running',
        people: run.people,
        by: run.by,
        stretches: [...known.stretches, { startMs: Math.max(last, atMs), endMs: null }],
      }),
    ];
  },
});

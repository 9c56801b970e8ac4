import { z } from 'zod';
import { wrongProblems } from '../../state/mishap';
import { defineEntity, type RowRule } from '../entity';
import { line, moment, oneOf, refersTo, wholeNumber } from '../fields';
import { benchSubject } from '../values/benchSubject';

/** When hands were at a step, by the server's clock; the last stretch is open while the timer runs. */
const stretch = z.strictObject({ startMs: moment, endMs: moment.nullable() });
export type RunStretch = z.output<typeof stretch>;

/** What belongs together: a step that is done says when, one that runs has its last stretch open and no other has. */
const stateHolds: RowRule<{ state: string; doneMs: number | null; stretches: RunStretch[] }> = ({
  state,
  doneMs,
  stretches,
}) => {
  if ((state === 'done') !== (doneMs !== null))
    return { field: 'doneMs', accepted: 'a moment for what is done, and for nothing else' };
  const open = stretches.filter(({ endMs }) => endMs === null).length;
  const isLastOpen = stretches.at(-1)?.endMs === null;
  if (open !== (state === 'running' ? 1 : 0) || (open === 1 && !isLastOpen))
    return { field: 'stretches', accepted: 'an open stretch at the end while it runs, and only then' };
  const ordered = stretches.every(
    ({ startMs, endMs }, n) => (endMs === null || endMs >= startMs) && startMs >= (stretches[n - 1]?.endMs ?? 0),
  );
  return ordered ? null : { field: 'stretches', accepted: 'stretches one after the other' };
};

/** A step that is at hand, was paused, or is done: one for each step, whoever begins it and wherever. */
export const stepRun = defineEntity(
  {
    table: 'stepRuns',
    name: 'step_run',
    noun: 'step at hand',
    owner: 'project',
    travels: 'always',
    most: { count: 6000, per: 'project' },
    unique: [['recipeId', 'spotId', 'optionId', 'stepId']],
    fields: {
      ...benchSubject,
      /** What the step was called when it was begun. */
      what: line(1, 300),
      state: oneOf(['paused', 'running', 'done']),
      stretches: z.array(stretch).max(200, 'at most 200 stretches'),
      /** How many hands were at it. */
      people: wholeNumber(1, 12, 'people'),
      /** Who is at it, where the stylist said. */
      by: line(0, 60),
      /** When it was done; drying counts from here. Null while it is not. */
      doneMs: moment.nullable(),
      /** What went wrong at it so far; its line says it too once it is done. */
      wrong: oneOf(wrongProblems).nullable(),
      /** The line of the log that it left. */
      logId: refersTo('logEntries').nullable(),
    },
  },
  stateHolds,
);

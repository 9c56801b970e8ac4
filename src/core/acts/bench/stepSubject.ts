import type { ProjectRows, StepRunRow } from '../../model/rows';
import type { BenchSubject } from '../../model/values/benchSubject';
import { type Refusal, refuse } from '../act';

/** The run of a step, whoever began it; undefined where nobody did. */
export const runOf = (rows: ProjectRows, subject: BenchSubject): StepRunRow | undefined =>
  rows.stepRuns.find(
    ({ recipeId, spotId, optionId, stepId }) =>
      recipeId === subject.recipeId &&
      spotId === subject.spotId &&
      optionId === subject.optionId &&
      stepId === subject.stepId,
  );

/** What is refused where a step is done already: who did it stands in the answer, so that the other device is told. */
export const alreadyDone = (run: StepRunRow): Refusal =>
  refuse(
    'stepId',
    run.what,
    `a step that is not done yet; ${run.by === '' ? 'it was finished' : `${run.by} finished it`} already, and is logged once`,
  );

/** The stretches of a run, the open one ended at a moment; never before it began. */
export const endedAt = ({ stretches }: Pick<StepRunRow, 'stretches'>, atMs: number): StepRunRow['stretches'] =>
  stretches.map(({ startMs, endMs }) => ({ startMs, endMs: endMs ?? Math.max(startMs, atMs) }));

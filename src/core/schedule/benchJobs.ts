import type { Lab } from '../color/lab';
import type { BenchSubject } from '../model/values/benchSubject';
import type { BenchWork } from '../recipe/mishaps.data';
import type { Step } from '../state/step';
import type { BenchTask, Minute } from './benchProblem';

/** What a row on the drying line is of. */
export interface BenchRow {
  id: string;
  name: string;
  kind: 'recipe' | 'spot' | 'option' | 'errand';
  /** The recipe, spot or option; null for errands. */
  ofId: string | null;
}

/** A task with what a person is told of it. */
export interface BenchJob {
  task: BenchTask;
  title: string;
  hint: string;
  /** What it is of; null for trips and deliveries, which are told where they are made. */
  subject: BenchSubject | null;
  /** The step of a recipe; null for anything else. */
  step: Step | null;
  /** The color that it lays; null where it lays none. */
  color: Lab | null;
  /** Minutes until it may be touched and handled, where it dries. */
  dries: { touchMinutes: number; handleMinutes: number } | null;
  /** Whether it is too long for any window, so that it is done in parts against what is good. */
  isTooLong: boolean;
  /** When it was done; null while it is not. Drying counts from here. */
  doneAt: Minute | null;
}

/** A task's name, from what it is of. */
export function taskIdOf({ recipeId, spotId, optionId, stepId }: BenchSubject): string {
  if (recipeId !== null) return `step ${recipeId} ${stepId}`;
  if (spotId !== null) return `spot ${spotId} ${stepId}`;
  return `place ${optionId ?? ''}`;
}

/** What a step of a recipe is called on the bench. */
export const stepSubject = (recipeId: string, stepId: string): BenchSubject => ({
  recipeId,
  spotId: null,
  optionId: null,
  stepId,
});

/** The kind of work that a task of the bench is. */
export const workOf = ({ step, subject }: Pick<BenchJob, 'step' | 'subject'>): BenchWork =>
  step?.kind ?? (subject?.spotId ? 'spotTask' : 'place');

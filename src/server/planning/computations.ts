import type { Plan } from '@core/plan/computePlan';
import { sheetOf } from './sheet';
import { summaryOf } from './summary';

/** What the server computes of a project's plan. */
export const computations = { summary: summaryOf, sheet: sheetOf } as const;

export type Computations = typeof computations;
export type ComputationName = keyof Computations;
/** What a computation wants to know beside the plan. */
export type Wanted<K extends ComputationName> = K extends ComputationName
  ? Computations[K] extends (plan: Plan, ...wanted: infer W) => unknown
    ? W
    : never
  : never;

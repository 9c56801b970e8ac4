import { Memo } from '@core/kernel/memo';
import { Recent } from '@core/kernel/recent';
import type { ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { type ComputationName, type Computations, computations, type Wanted } from './computations';
import { keptRows } from './keptRows';

/**
 * Plans a project and computes something of it.
 * @param rows the project as it is now, with its finds
 */
export type Planning = <K extends ComputationName>(
  name: K,
  rows: ProjectRows,
  nowMs: number,
  ...wanted: Wanted<K>
) => Promise<ReturnType<Computations[K]>>;

/** Of at most so many projects it is remembered what was computed before. */
const MOST_KNOWN = 16;

/**
 * Plans here: whoever shares this thread waits. What was computed of a project before is taken over as far as its rows
 * say the same.
 */
export function planningHere(): Planning {
  const known = new Recent<string, { rows: ProjectRows; memo: Memo }>(MOST_KNOWN);
  const planOf = (now: ProjectRows, nowMs: number): Plan => {
    const { id } = now.project;
    const before = known.get(id);
    const rows = before ? keptRows(before.rows, now) : now;
    const memo = before?.memo ?? new Memo();
    known.keep(id, { rows, memo });
    return new Plan(rows, nowMs, memo);
  };
  return async (name, rows, nowMs, ...wanted) => {
    const compute = computations[name] as (plan: Plan, ...wanted: unknown[]) => ReturnType<Computations[typeof name]>;
    return compute(planOf(rows, nowMs), ...wanted);
  };
}

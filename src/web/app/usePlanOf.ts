import type { ProjectRows } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import { startTransition, useEffect, useMemo, useState } from 'react';
import { persistently } from './persistently';
import type { Planner, PlanOf } from './planner';

const bringPlanner = () => persistently(() => import('./planner'));

/**
 * The plan of rows as of a moment; null until what computes it is here and has computed what is chosen. It is always the
 * plan of these very rows, never of those before.
 */
export function usePlanOf(rows: ProjectRows | null, nowMs: number): Plan | null {
  const [planner, setPlanner] = useState<Planner | null>(null);
  const [planOf, setPlanOf] = useState<PlanOf | null>(null);
  // What one came for comes first: what computes the plan is asked for when the rows are here.
  const isHere = rows !== null;
  useEffect(() => {
    if (!isHere) return;
    let isOpen = true;
    void bringPlanner().then((part) => {
      // All that waits for the plan is drawn bit by bit when it comes: the page never stands still.
      if (isOpen) setPlanner(new part.Planner((made) => startTransition(() => setPlanOf(() => made))));
    });
    return () => {
      isOpen = false;
    };
  }, [isHere]);
  useEffect(() => (planner && rows ? planner.begin(rows) : undefined), [planner, rows]);
  return useMemo(() => (planOf && rows ? planOf(rows, nowMs) : null), [planOf, rows, nowMs]);
}

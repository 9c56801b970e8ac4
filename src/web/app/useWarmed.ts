import type { Memo } from '@core/kernel/memo';
import type { ProjectRows } from '@core/model/rows';
import type { Cutter } from '@core/plan/model/cutPurchase';
import { PlanModel } from '@core/plan/model/planModel';
import { warming } from '@core/plan/warming';
import { useEffect, useState } from 'react';
import { inStretches } from './inStretches';

/**
 * Whether what is chosen has been computed once. When a project is opened it is computed a few ways at a time, so that
 * the page never stands still; the plan then finds them in its memory. Once true it stays true: a change computes only
 * what it touches.
 */
export function useWarmed(rows: ProjectRows | null, memo: Memo, cutter: Cutter): boolean {
  const [isWarm, setWarm] = useState(false);
  useEffect(() => {
    if (rows === null || isWarm) return;
    return inStretches(warming(new PlanModel(rows, memo, cutter)), (isDone) => {
      if (isDone) setWarm(true);
    });
  }, [rows, memo, cutter, isWarm]);
  return isWarm;
}

import type { Bench } from '@core/schedule/benchOfPlan';
import { type Drying, dryingNow } from '@core/schedule/dryingNow';
import { useMemo } from 'react';

/** What was done and is not dry yet. */
export const useDrying = (bench: Bench): readonly Drying[] =>
  useMemo(() => dryingNow(bench.jobs, bench.problem.now), [bench]);

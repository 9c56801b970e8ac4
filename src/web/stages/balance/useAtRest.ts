import type { ProjectRows } from '@core/model/rows';
import type { Plan } from '@core/plan/computePlan';
import type { Remote } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { usePlan } from '../../app/projectStore';
import type { BalanceWork } from '../../workers/balance.worker';
import { Searcher } from './searcher';

/**
 * What a worker answers of the plan once it rests, with the rows that it was asked for; null until the first answer, and
 * where none came: the page of Balance says why. Another plan asks anew.
 * @param restMs how long the plan has to rest before
 * @param ask the same function each time
 */
export function useAtRest<Answer>(
  restMs: number,
  ask: (work: Remote<BalanceWork>, plan: Plan) => Promise<Answer>,
): { rows: ProjectRows; answer: Answer } | null {
  const plan = usePlan();
  const [found, setFound] = useState<{ rows: ProjectRows; answer: Answer } | null>(null);
  const latest = useRef(plan);
  latest.current = plan;
  const { rows } = plan;
  useEffect(() => {
    let current = true;
    let searcher: Searcher | null = null;
    const timer = setTimeout(() => {
      searcher = new Searcher();
      ask(searcher.work, latest.current)
        .then((answer) => current && setFound({ rows, answer }))
        .catch(() => current && setFound(null))
        .finally(() => searcher?.end());
    }, restMs);
    return () => {
      current = false;
      clearTimeout(timer);
      searcher?.end();
    };
  }, [rows, restMs, ask]);
  return found;
}

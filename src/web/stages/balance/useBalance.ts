import type { BalanceAsk } from '@core/balance/ask';
import type { PlanDraws } from '@core/balance/draws';
import type { ToldAnswer, ToldOut, ToldPlan, ToldProgress, ToldRemedy } from '@core/balance/toldPlan';
import type { Plan } from '@core/plan/computePlan';
import { proxy } from 'comlink';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { Searcher } from './searcher';

/** How far the question that is asked now has come. */
export interface BalanceState {
  isSearching: boolean;
  remedies: readonly ToldRemedy[];
  out: readonly ToldOut[];
  /** How sure the plan now is; null until it is drawn. */
  sure: PlanDraws | null;
  progress: ToldProgress | null;
  /** The best plan so far, while the search goes on. */
  plan: ToldPlan | null;
  answer: ToldAnswer | null;
  /** Whether the search was stopped by hand: what it had found counts. */
  isStopped: boolean;
}

const nothingYet: BalanceState = {
  isSearching: true,
  remedies: [],
  out: [],
  sure: null,
  progress: null,
  plan: null,
  answer: null,
  isStopped: false,
};

/** The most that a search takes, seconds; then the best so far is told, and how far it may be from the best. */
const MOST_SECONDS = 20;
/** A question is asked once the hand rests, ms. */
const REST_MS = 250;

/**
 * Asks Balance in a worker, anew whenever the plan or the question changes.
 * @param ask the same object as long as the same is asked
 */
export function useBalance(plan: Plan, ask: BalanceAsk): BalanceState & { stop: () => void; again: () => void } {
  const [state, setState] = useState<BalanceState>(nothingYet);
  const [turn, setTurn] = useState(0);
  const searcher = useRef<Searcher | null>(null);
  const busy = useRef(false);
  const { rows, asOfMs } = plan;
  // A minute later the same plan stands on the same day: only what is chosen, or the hour, asks again.
  const hour = Math.floor(asOfMs / 3_600_000);
  const latest = useRef(asOfMs);
  latest.current = asOfMs;
  // One object for each time that is asked: by another plan, another question, in another hour, or by hand.
  const question = useMemo(() => ({ rows, ask, hour, turn }), [rows, ask, hour, turn]);
  useEffect(() => {
    let current = true;
    setState((before) => ({ ...nothingYet, remedies: before.remedies, out: before.out, sure: before.sure }));
    const timer = setTimeout(() => {
      // A search that goes on for an older question is of no use any more.
      if (busy.current) {
        searcher.current?.end();
        searcher.current = null;
      }
      searcher.current ??= new Searcher();
      busy.current = true;
      const tell = (change: Partial<BalanceState>) => {
        if (current) setState((before) => ({ ...before, ...change }));
      };
      searcher.current.work
        .balance(
          question.rows,
          latest.current,
          question.ask,
          MOST_SECONDS,
          proxy((told) => tell(told)),
          proxy((progress) => tell({ progress, ...(progress.plan ? { plan: progress.plan } : {}) })),
        )
        .then(
          (answer) => {
            if (!current) return;
            busy.current = false;
            tell({ answer, isSearching: false });
          },
          (error: unknown) => {
            if (!current) return;
            busy.current = false;
            // A worker that broke is not asked again.
            searcher.current?.end();
            searcher.current = null;
            const reason = error instanceof Error ? error.message : String(error);
            tell({ answer: { kind: 'noAnswer', reason }, isSearching: false });
          },
        );
    }, REST_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [question]);
  useEffect(
    () => () => {
      searcher.current?.end();
      searcher.current = null;
    },
    [],
  );
  const stop = useCallback(() => {
    searcher.current?.end();
    searcher.current = null;
    busy.current = false;
    setState((before) => ({ ...before, isSearching: false, isStopped: true }));
  }, []);
  const again = useCallback(() => setTurn((before) => before + 1), []);
  return { ...state, stop, again };
}

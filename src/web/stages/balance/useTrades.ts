import type { BalanceAsk } from '@core/balance/ask';
import type { ToldFrontier } from '@core/balance/toldPlan';
import type { Plan } from '@core/plan/computePlan';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { Searcher } from './searcher';

/** The trades of a plan as far as they are known, and whether more are looked for. */
export interface Trades {
  frontier: ToldFrontier | null;
  isSearching: boolean;
  reason: string;
}

/**
 * Looks for every sensible trade of money against hours, in a worker of its own, once the plan rests.
 * @param look the least look value
 * @param waits whether something else is still being searched: then it begins afterwards
 */
export function useTrades(plan: Plan, ask: BalanceAsk, look: number, waits: boolean): Trades {
  const [trades, setTrades] = useState<Trades>({ frontier: null, isSearching: true, reason: '' });
  const { rows } = plan;
  const { lockedSlotIds, leastLiking, without } = ask;
  const asOf = useRef(plan.asOfMs);
  asOf.current = plan.asOfMs;
  useEffect(() => {
    if (waits) return undefined;
    let current = true;
    const searcher = new Searcher();
    setTrades((before) => ({ ...before, isSearching: true, reason: '' }));
    searcher.work
      .trades(
        rows,
        asOf.current,
        {
          goal: 'leastCash',
          limits: { cash: null, minutes: null, look },
          lockedSlotIds,
          leastLiking,
          ...(without ? { without } : {}),
        },
        look,
        proxy((frontier) => {
          if (current) setTrades({ frontier, isSearching: true, reason: '' });
        }),
      )
      .then(
        (frontier) => current && setTrades({ frontier, isSearching: false, reason: '' }),
        (error: unknown) =>
          current &&
          setTrades((before) => ({
            ...before,
            isSearching: false,
            reason: error instanceof Error ? error.message : String(error),
          })),
      )
      .finally(() => searcher.end());
    return () => {
      current = false;
      searcher.end();
    };
  }, [rows, lockedSlotIds, leastLiking, without, look, waits]);
  return trades;
}

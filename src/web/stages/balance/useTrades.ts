import type { BalanceAsk } from '@core/balance/ask';
import type { TradedAgainst } from '@core/balance/frontier';
import type { ToldFrontier } from '@core/balance/toldPlan';
import type { Plan } from '@core/plan/computePlan';
import { proxy } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import { Searcher } from './searcher';

/** The trades of a plan as far as they are known, and whether more are looked for. */
export interface Trades {
  frontier: ToldFrontier | null;
  against: TradedAgainst;
  isSearching: boolean;
  reason: string;
}

/**
 * Looks for every sensible trade of money against hours or the look, in a worker of its own, once the plan rests. Against
 * hours no plan has less look than the one now, or than is asked; against the look none takes more hours than there are.
 * @param look the least look value of a trade against hours
 * @param waits whether something else is still being searched: then it begins afterwards
 */
export function useTrades(plan: Plan, ask: BalanceAsk, against: TradedAgainst, look: number, waits: boolean): Trades {
  const [trades, setTrades] = useState<Trades>({ frontier: null, against, isSearching: true, reason: '' });
  const { rows } = plan;
  const { lockedSlotIds, leastLiking, without } = ask;
  // The limit of what is not traded.
  const limit = against === 'hours' ? look : ask.limits.minutes;
  const asOf = useRef(plan.asOfMs);
  asOf.current = plan.asOfMs;
  useEffect(() => {
    if (waits) return undefined;
    let current = true;
    const searcher = new Searcher();
    setTrades((before) => ({
      // What is traded against something else is another picture.
      frontier: before.against === against ? before.frontier : null,
      against,
      isSearching: true,
      reason: '',
    }));
    searcher.work
      .trades(
        rows,
        asOf.current,
        {
          goal: 'leastCash',
          limits: { cash: null, minutes: null, look: null },
          lockedSlotIds,
          leastLiking,
          ...(without ? { without } : {}),
        },
        { against, limits: against === 'hours' ? { look: limit, minutes: null } : { look: null, minutes: limit } },
        proxy((frontier) => {
          if (current) setTrades({ frontier, against, isSearching: true, reason: '' });
        }),
      )
      .then(
        (frontier) => current && setTrades({ frontier, against, isSearching: false, reason: '' }),
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
  }, [rows, lockedSlotIds, leastLiking, without, against, limit, waits]);
  return trades;
}

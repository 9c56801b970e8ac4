import { highsSolver } from '@core/balance/highsSolver';
import { searchBalance } from '@core/balance/search';
import type { ToldAnswer } from '@core/balance/toldPlan';
import { Memo } from '@core/kernel/memo';
import { Plan } from '@core/plan/computePlan';
import { cutInFull } from '@core/plan/model/cutPurchase';
import highsLoader from 'highs';
import type { SearchAsk } from './search';

/** Searches for the best plan, on the spot: whoever shares this thread waits. */
export async function searchHere({ rows, asOfMs, ask, seconds }: SearchAsk): Promise<ToldAnswer> {
  const plan = new Plan(rows, asOfMs, new Memo(), cutInFull);
  return searchBalance(
    plan,
    { ...ask, lockedSlotIds: new Set(ask.lockedSlotIds) },
    {
      solver: highsSolver(await highsLoader()),
      seconds,
      clockSeconds: () => performance.now() / 1000,
      tell: () => undefined,
    },
  );
}

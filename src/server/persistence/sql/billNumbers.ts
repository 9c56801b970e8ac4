import type { BillSeries } from '@core/model/values/billKinds';
import type { Transaction } from '../scope';
import { statement } from './statement';

/*
 * The next number of a bill. By hand: a lock that is held until the transaction ends is nothing that entities speak of.
 */

/**
 * The number that follows all bills of a series of the studio, those of removed projects among them. Whoever asks next waits
 * until this transaction ends: it keeps its number, or gives it back with everything else.
 * @param firstNumber where the series begins
 */
export async function nextBillNumber(
  transaction: Transaction,
  series: BillSeries,
  firstNumber: number,
): Promise<number> {
  const { studioId } = transaction.scope;
  await statement(transaction, 'select pg_advisory_xact_lock(hashtextextended($1, 0))', [
    `bills ${studioId} ${series}`,
  ]);
  const [last] = await statement<{ number: number | null }>(
    transaction,
    'select max(number) as number from bill where studio_id = $1 and series = $2',
    [studioId, series],
  );
  return last?.number == null ? firstNumber : last.number + 1;
}

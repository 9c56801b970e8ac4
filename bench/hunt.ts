import { Memo } from '@core/kernel/memo';
import type { LedgerRow } from '@core/model/rows';
import { computePlan } from '@core/plan/computePlan';
import { newSource } from '@core/plan/newSource';
import { ledgerSums, settledIds } from '@core/pricing/ledger';
import { planTrip, type TripStop } from '@core/pricing/tripPlan';
import { decisionCard } from '@core/sourcing/decisionCard';
import { ledgerGroupings, ledgerGroups, returnsDue } from '@core/sourcing/ledgerLists';
import { newFind } from '@core/sourcing/newFind';
import { readQuickLine } from '@core/sourcing/quickLine';
import { paid, rows } from '../src/core/fixtures/projectRows';
import { largeProject } from './generate';
import { type Timing, timing } from './measure';

const LINES = 30_000;
const DAY_MS = 86_400_000;
const AS_OF = Date.parse('2026-06-01T13:00:00Z');

/** A ledger as long as it may be: payments at twenty places over two years, each tenth taken back, each twentieth undone. */
function longLedger(): LedgerRow[] {
  return Array.from({ length: LINES }, (_, n): LedgerRow => {
    const line = paid(`l${n}`, { kind: 'piece', id: `p${n}` }, 100 + (n % 9000));
    const at = { ...line, atMs: AS_OF - (n % 700) * DAY_MS, sourceId: `s${n % 20}` };
    if (n % 10 === 9)
      return { ...at, kind: 'refund', refundsId: `l${n - 1}`, subject: { kind: 'piece', id: `p${n - 1}` }, amount: 50 };
    if (n % 20 === 8) return { ...at, reversesId: `l${n - 2}`, subject: { kind: 'piece', id: `p${n - 2}` } };
    return at;
  });
}

/** Times what the hunt computes: sums of a long ledger, the decision card, the order of a trip. */
export async function huntBench(show: (name: string, value: Timing, aim: string) => void): Promise<void> {
  const sources = Array.from({ length: 20 }, (_, n) => ({
    ...newSource(`s${n}`, `Place ${n}`),
    returns: { state: 'within' as const, days: 30, restockingThousandths: 0 },
  }));
  const ledger = longLedger();
  // A new list each time, so that nothing is remembered of the last one.
  show(`ledger sums at ${LINES} lines`, await timing(20, () => ledgerSums([...ledger])), 'under 50 ms');
  show('what of it is paid and not taken back', await timing(20, () => settledIds([...ledger])), '');
  show(
    'the same summed by slot, place, kind and month',
    await timing(5, () => {
      const books = rows({ sources, ledger: [...ledger] });
      return ledgerGroupings.map((by) => ledgerGroups(books, by));
    }),
    '',
  );
  show(
    'what of it can be taken back',
    await timing(5, () => returnsDue(rows({ sources, ledger: [...ledger] }), AS_OF)),
    '',
  );
  const large = largeProject(7);
  const plan = computePlan(large, AS_OF);
  const memo = new Memo();
  const find = {
    ...newFind('find', 'piece', readQuickLine('nightstand, oak, $24, half off', 'USD', 'us'), 'us'),
    version: 1,
  };
  let made = 0;
  const newId = () => `id ${made++}`;
  show(
    'the decision card at the limits',
    await timing(15, () =>
      decisionCard(
        plan,
        {
          find,
          slotId: large.slots[0]?.id,
          wish: { techniqueId: null, coatingId: null, sheetId: null, color: null },
          colorCard: large.colorCards[0] ?? null,
          newId,
        },
        memo,
      ),
    ),
    'under 100 ms',
  );
  const stops = Array.from(
    { length: 9 },
    (_, n): TripStop => ({
      id: String(n),
      sourceId: String(n),
      stayMinutes: 20,
      hours: n % 3 === 0 ? [{ days: [1, 2, 3, 4, 5, 6, 7], fromMinute: 540 + n * 20, toMinute: 1080 }] : [],
      minutesOneWay: 5 + ((n * 7) % 20),
      distanceM: 4000,
    }),
  );
  show(
    'the order of a trip with nine stops, exact',
    await timing(15, () => planTrip({ onDate: '2026-06-02', startMinute: 540, stops, legs: [] })),
    '',
  );
}

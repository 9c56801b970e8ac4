import { ledgerDays } from '@core/formats/calendar/ledgerDays';
import { formatMoney } from '@core/kernel/formatMoney';
import { ledgerSums } from '@core/pricing/ledger';
import { deliveries, giveBacks, missingPrices, returnsDue } from '@core/sourcing/ledgerLists';
import { Button } from 'antd';
import { useLocale, usePlan, useRows } from '../../../app/projectStore';
import { saveFile } from '../../../app/saveFile';
import shell from '../../../app/shell.module.css';
import { useSearchState } from '../../../app/useSearchState';
import { Empty } from '../../../ui/basics';
import { type Part, TabbedParts } from '../../../ui/TabbedParts';
import { HuntNav } from '../HuntNav';
import { Dates } from './Dates';
import { LedgerLines } from './LedgerLines';
import { LedgerSums } from './LedgerSums';
import { MoreMoney } from './MoreMoney';
import styles from './money.module.css';
import { ReceiptEntry } from './ReceiptEntry';

const parts: readonly Part<'dates' | 'lines' | 'sums' | 'receipt' | 'more'>[] = [
  { id: 'dates', name: 'Goes back, comes', content: () => <Dates /> },
  { id: 'lines', name: 'Every payment', content: () => <LedgerLines /> },
  { id: 'sums', name: 'Sums', content: () => <LedgerSums /> },
  { id: 'receipt', name: 'New receipt', content: () => <ReceiptEntry /> },
  { id: 'more', name: 'Fee, deposit, sale', content: () => <MoreMoney /> },
];

/** The books: what was paid, where, for what; what goes back, what comes; receipts of several lines. */
export function MoneyPage() {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const [search, update] = useSearchState();
  const open = parts.find(({ id }) => id === search.get('tab'))?.id ?? 'dates';
  const { spent, promised, spentAtLeast } = ledgerSums(rows.ledger);
  const missing = missingPrices(rows).length;
  const days = ledgerDays(
    { returns: returnsDue(rows, plan.asOfMs), giveBacks: giveBacks(rows), deliveries: deliveries(rows, plan.asOfMs) },
    locale.currency,
  );
  const save = async () => {
    // What writes it is loaded when somebody wants it.
    const { calendarFile } = await import('@core/formats/calendar/write');
    saveFile('euporia-dates.ics', 'text/calendar', calendarFile(rows.project.name, days, plan.asOfMs));
  };
  return (
    <main className={shell.page}>
      <HuntNav />
      <div className={styles.head}>
        <p>
          <b>
            {spentAtLeast ? 'at least ' : ''}
            {formatMoney(spent, locale.currency)}
          </b>{' '}
          spent, {formatMoney(promised, locale.currency)} promised
          {missing > 0 && (
            <>
              {' · '}
              <Button type="link" size="small" onClick={() => update((next) => next.set('tab', 'lines'))}>
                {missing} {missing === 1 ? 'price is' : 'prices are'} missing
              </Button>
            </>
          )}
        </p>
        {days.length > 0 && <Button onClick={() => void save()}>Dates as a calendar file</Button>}
      </div>
      {rows.ledger.length === 0 && open !== 'receipt' && open !== 'more' ? (
        <Empty title="Nothing was paid yet">
          <p>What is bought on the card or on the board stands here; or type a whole receipt off.</p>
          <Button type="primary" onClick={() => update((next) => next.set('tab', 'receipt'))}>
            New receipt
          </Button>{' '}
          <Button onClick={() => update((next) => next.set('tab', 'more'))}>Fee, deposit, sale</Button>
        </Empty>
      ) : (
        <TabbedParts
          open={open}
          parts={parts}
          onOpen={(id) =>
            update((next) => {
              next.delete('receipt');
              next.set('tab', id);
            })
          }
        />
      )}
    </main>
  );
}

import { shortDate } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { type BillState, standingOf } from '@core/closing/proposedBill';
import { formatMoney } from '@core/kernel/formatMoney';
import { billSums } from '@core/pricing/bill';
import { billKindNames, billNumber, sumsOfBill } from '@core/sheets/billSheet';
import { Link } from 'react-router';
import { useLocale, usePlan, useRows } from '../../../app/projectStore';
import styles from './sheets.module.css';

const stateWords: Readonly<Record<BillState, string>> = {
  quote: 'offered',
  open: 'open',
  paidInPart: 'paid in part',
  paid: 'paid',
  takenBack: 'taken back',
  creditNote: 'credit note',
};

/** What was written and what was sent, the latest first. */
export function BillList() {
  const rows = useRows();
  const { asOfMs } = usePlan();
  const { timeZone } = useLocale();
  const today = localDate(asOfMs, timeZone);
  const { billDrafts, bills } = rows;
  if (billDrafts.length + bills.length === 0) return null;
  const sent = [...bills].sort((a, b) => (a.issuedOn < b.issuedOn ? 1 : -1) || (b.number ?? 0) - (a.number ?? 0));
  return (
    <ul className={styles.bills} aria-label="Bills">
      {billDrafts.map(({ id, kind, body }) => (
        <li key={id}>
          <span>
            <Link to={`../wrap/bill/${id}`}>{`${billKindNames[kind]}, not sent yet`}</Link>
            <small>{body.to.split('\n')[0] || 'nobody named yet'}</small>
          </span>
          <b>{formatMoney(billSums(body.lines, body.isTaxIncluded).total, body.currency)}</b>
        </li>
      ))}
      {sent.map((bill) => {
        const { total } = sumsOfBill(bill);
        const { state, open } = standingOf(bill, total, rows);
        const left = state === 'paidInPart' ? `, ${formatMoney(open, bill.body.currency)} open` : '';
        return (
          <li key={bill.id}>
            <span>
              <Link to={`../wrap/bill/${bill.id}`}>{`${billKindNames[bill.kind]} ${billNumber(bill)}`}</Link>
              <small>
                {bill.body.to.split('\n')[0]} · {shortDate(bill.issuedOn, today)} · {stateWords[state]}
                {left}
              </small>
            </span>
            <b>{formatMoney(total, bill.body.currency)}</b>
          </li>
        );
      })}
    </ul>
  );
}

import { shortDate } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { afterwardsOf, billsInOrder, standingOf, standingWords } from '@core/closing/billStanding';
import { formatMoney } from '@core/kernel/formatMoney';
import { billSums } from '@core/pricing/bill';
import { billKindNames, billNumber } from '@core/sheets/billSheet';
import { Link } from 'react-router';
import { useLocale, usePlan, useRows } from '../../../app/projectStore';
import styles from './sheets.module.css';

/** What was written and what was sent, the latest first. */
export function BillList() {
  const rows = useRows();
  const { asOfMs } = usePlan();
  const { timeZone } = useLocale();
  const today = localDate(asOfMs, timeZone);
  const { billDrafts, bills } = rows;
  if (billDrafts.length + bills.length === 0) return null;
  const sent = billsInOrder(bills).reverse();
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
        const standing = standingOf(bill, afterwardsOf(bill, rows));
        return (
          <li key={bill.id}>
            <span>
              <Link to={`../wrap/bill/${bill.id}`}>{`${billKindNames[bill.kind]} ${billNumber(bill)}`}</Link>
              <small>
                {bill.body.to.split('\n')[0]} · {shortDate(bill.issuedOn, today)} ·{' '}
                {standingWords(standing, bill.body.currency)}
              </small>
            </span>
            <b>{formatMoney(standing.total, bill.body.currency)}</b>
          </li>
        );
      })}
    </ul>
  );
}

import { shortDate } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { afterwardsOf, standingOf } from '@core/closing/billStanding';
import { formatMoney } from '@core/kernel/formatMoney';
import { billNumber } from '@core/sheets/billSheet';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import { Choice } from '../../../ui/Choice';
import { DateField, MoneyField, TextField } from '../../../ui/fields';
import styles from './sheets.module.css';

/** What the client paid: deposits beforehand, and for invoices. */
export function Payments() {
  const rows = useRows();
  const { asOfMs } = usePlan();
  const { currency, timeZone } = useLocale();
  const { run } = useCommands();
  const today = localDate(asOfMs, timeZone);
  const [amount, setAmount] = useState<number | null>(null);
  const [onDate, setOnDate] = useState<string | null>(today);
  const [what, setWhat] = useState('');
  const [billId, setBillId] = useState('');
  const [problem, setProblem] = useState('');
  const open = rows.bills.flatMap((bill) => {
    const { open: left } = standingOf(bill, afterwardsOf(bill, rows));
    return left > 0 ? [{ bill, left }] : [];
  });
  const forBill = open.find(({ bill }) => bill.id === billId);
  const note = () => {
    const sum = amount ?? forBill?.left ?? null;
    if (sum === null || sum === 0) return setProblem('Amount: nothing yet; accepted: what was paid, such as 120.50');
    if (onDate === null) return setProblem('On: nothing yet; accepted: a date like 2026-06-20');
    setProblem('');
    const row = { id: crypto.randomUUID(), version: 1, onDate, amount: sum, what, billId: forBill?.bill.id ?? null };
    run('addClientPayment', { row });
    setAmount(null);
    setWhat('');
    setBillId('');
  };
  const nameOf = (id: string | null) => {
    const bill = rows.bills.find((one) => one.id === id);
    return bill ? `for invoice ${billNumber(bill)}` : 'for what is billed next';
  };
  const paid = [...rows.clientPayments].sort((a, b) => b.onDate.localeCompare(a.onDate) || (a.id < b.id ? -1 : 1));
  return (
    <section className={styles.box} aria-labelledby="payments">
      <h3 id="payments">What the client paid</h3>
      {paid.length > 0 && (
        <ul className={styles.bills} aria-label="Payments">
          {paid.map((payment) => (
            <li key={payment.id}>
              <span>
                {payment.what || 'Payment'}
                <small>
                  {shortDate(payment.onDate, today)} · {nameOf(payment.billId)}{' '}
                  <Button
                    size="small"
                    type="text"
                    aria-label={`Remove: ${payment.what || 'payment'} of ${formatMoney(payment.amount, currency)}`}
                    onClick={() => run('removeClientPayment', { id: payment.id })}
                  >
                    remove
                  </Button>
                </small>
              </span>
              <b>{formatMoney(payment.amount, currency)}</b>
            </li>
          ))}
        </ul>
      )}
      <div className={styles.fields}>
        {open.length > 0 && (
          <Choice
            label="For"
            value={billId}
            options={[
              { value: '', label: 'a deposit, for what is billed next' },
              ...open.map(({ bill, left }) => ({
                value: bill.id,
                label: `invoice ${billNumber(bill)}, ${formatMoney(left, currency)} open`,
              })),
            ]}
            onChange={setBillId}
          />
        )}
        <MoneyField
          label="Amount"
          value={amount}
          currency={currency}
          nullable
          {...(forBill ? { hint: 'empty: all that is open' } : {})}
          onCommit={setAmount}
        />
        <DateField label="On" value={onDate} onCommit={setOnDate} />
        <TextField label="What for" value={what} onCommit={setWhat} />
      </div>
      <p>
        <Button onClick={note}>Note the payment</Button>
      </p>
      {problem !== '' && <p role="alert">{problem}</p>}
    </section>
  );
}

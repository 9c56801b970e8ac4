import { afterwardsOf, standingOf, standingWords } from '@core/closing/billStanding';
import { formatMoney } from '@core/kernel/formatMoney';
import type { BillRow } from '@core/model/rows';
import { upperFirst } from '@core/schedule/benchWords';
import { billNumber } from '@core/sheets/billSheet';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCommands, useLocale, useRows } from '../../../app/projectStore';
import { localToday } from '../../../app/today';
import styles from './sheets.module.css';

/** What can be done with a bill that was sent: note that it was paid, or take it back. */
export function BillActs(props: { bill: BillRow }) {
  const { bill } = props;
  const rows = useRows();
  const { timeZone } = useLocale();
  const { run } = useCommands();
  const navigate = useNavigate();
  const [isAsking, setAsking] = useState(false);
  const standing = standingOf(bill, afterwardsOf(bill, rows));
  const { state, open } = standing;
  const today = () => localToday(timeZone);
  const note = rows.bills.find(({ cancelsId }) => cancelsId === bill.id);
  const takeBack = (isWrittenAnew: boolean) => {
    const draftId = isWrittenAnew ? crypto.randomUUID() : null;
    run('cancelBill', { billId: bill.id, creditNoteId: crypto.randomUUID(), issuedOn: today(), draftId });
    setAsking(false);
    if (draftId) void navigate(`../wrap/bill/${draftId}`);
  };
  return (
    <>
      {bill.number === null && (
        <p role="status">
          Its number is given as soon as it is sent from this device. Wait for it before you pass it on.
        </p>
      )}
      {bill.kind === 'quote' && (
        <div className={styles.buttons}>
          <Button
            onClick={() => {
              const draftId = crypto.randomUUID();
              const terms = rows.letterheads[0];
              // A quote holds for so many days; an invoice is paid within those of all invoices.
              const body = { ...bill.body, payWithinDays: terms?.payWithinDays ?? bill.body.payWithinDays };
              run('addBillDraft', { row: { id: draftId, version: 1, kind: 'invoice', body } });
              void navigate(`../wrap/bill/${draftId}`);
            }}
          >
            Write the invoice of it
          </Button>
        </div>
      )}
      {bill.kind === 'invoice' && state !== 'takenBack' && (
        <div className={styles.buttons}>
          {open > 0 && (
            <Button
              onClick={() =>
                run('addClientPayment', {
                  row: {
                    id: crypto.randomUUID(),
                    version: 1,
                    onDate: today(),
                    amount: open,
                    what: '',
                    billId: bill.id,
                  },
                })
              }
            >
              Paid today: {formatMoney(open, bill.body.currency)}
            </Button>
          )}
          {open === 0 && <p>{upperFirst(standingWords(standing, bill.body.currency))}.</p>}
          {!isAsking && <Button onClick={() => setAsking(true)}>Take it back …</Button>}
        </div>
      )}
      {isAsking && (
        <section className={styles.box} aria-label="Take it back">
          <p>
            An invoice is never changed or thrown away. A credit note with the next number takes it back, and says so;
            what was paid counts for what is billed next.
          </p>
          <div className={styles.buttons}>
            <Button type="primary" onClick={() => takeBack(true)}>
              Take it back and write it anew
            </Button>
            <Button onClick={() => takeBack(false)}>Take it back</Button>
            <Button type="text" onClick={() => setAsking(false)}>
              Leave it
            </Button>
          </div>
        </section>
      )}
      {note && (
        <p>
          Taken back by <Link to={`../wrap/bill/${note.id}`}>credit note {billNumber(note)}</Link>.
        </p>
      )}
    </>
  );
}

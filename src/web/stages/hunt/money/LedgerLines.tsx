import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { formatMoney } from '@core/kernel/formatMoney';
import type { ReceiptRow } from '@core/model/rows';
import { takenBack } from '@core/pricing/ledger';
import { type Basis, type LedgerEntry, ledgerEntries } from '@core/sourcing/ledgerLists';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { PaidLine } from '../../../app/PaidLine';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import { TakeBackBox } from '../../../app/TakeBackBox';
import { photoAddress } from '../../../ui/photoAddress';
import { AddPicture } from '../AddPicture';
import hunt from '../hunt.module.css';
import styles from './money.module.css';

/** So many lines are drawn at once; more are a press away. */
const PAGE = 60;

const basisWords: Record<Basis, string> = {
  stated: '',
  estimated: 'estimated',
  free: 'free',
  unknown: 'price unknown',
};
const kindWords: Record<LedgerEntry['line']['kind'], string> = {
  payment: '',
  promise: 'ordered, not paid yet',
  refund: 'came back',
  saleIncome: 'sold',
};

/** Every line of the books that counts, the latest first; what nobody knows the price of is asked for. */
export function LedgerLines() {
  const rows = useRows();
  const plan = usePlan();
  const { timeZone } = useLocale();
  const [shown, setShown] = useState(PAGE);
  const today = localDate(plan.asOfMs, timeZone);
  const entries = ledgerEntries(rows);
  const back = takenBack(rows.ledger);
  const receipts = new Map(rows.receipts.map((receipt) => [receipt.id, receipt]));
  const returned = new Set(rows.ledger.flatMap(({ id, receiptId }) => (back.has(id) ? [receiptId] : [])));
  // A receipt stands once, at the first of its lines.
  const firstOf = new Map(entries.toReversed().map(({ line }) => [line.receiptId, line.id]));
  return (
    <>
      <ul className={styles.lines} aria-label="Payments">
        {entries.slice(0, shown).map((entry) => (
          <Line
            key={entry.line.id}
            entry={entry}
            today={today}
            cameBack={back.get(entry.line.id)?.amount ?? 0}
            receipt={
              firstOf.get(entry.line.receiptId) === entry.line.id ? receipts.get(entry.line.receiptId ?? '') : undefined
            }
            receiptCameBack={returned.has(entry.line.receiptId)}
            isGone={back.get(entry.line.id)?.isWhole ?? false}
          />
        ))}
      </ul>
      {entries.length > shown && (
        <Button onClick={() => setShown(shown + PAGE)}>{entries.length - shown} earlier ones</Button>
      )}
    </>
  );
}

function Line(props: {
  entry: LedgerEntry;
  today: string;
  cameBack: number;
  isGone: boolean;
  receipt: ReceiptRow | undefined;
  /** Whether something of the receipt came back: then it stands as it is. */
  receiptCameBack: boolean;
}) {
  const { line, what, source, signed, basis, onDate } = props.entry;
  const { receipt } = props;
  const { currency } = useLocale();
  const { run } = useCommands();
  const [open, setOpen] = useState<'back' | 'right' | null>(null);
  const canGoBack = line.kind === 'payment' && !props.isGone && line.amount > 0;
  // What came back came back for what was paid: first that would have to be undone.
  const canBeRight = (line.kind === 'payment' || line.kind === 'promise') && props.cameBack === 0;
  const amount = basis === 'unknown' ? '?' : formatMoney(signed, currency);
  return (
    <li className={styles.line}>
      <b>{what}</b>
      <b>
        {line.atLeast && line.amount > 0 ? 'at least ' : ''}
        {amount}
      </b>
      <small>
        {[
          sayDay(onDate, props.today),
          source,
          kindWords[line.kind],
          basisWords[basis],
          line.foreign ? formatMoney(line.foreign.amount, line.foreign.currency) : '',
          props.cameBack > 0 ? `${formatMoney(props.cameBack, currency)} of it came back` : '',
          line.note === what ? '' : line.note,
        ]
          .filter((word) => word !== '')
          .join(' · ')}
      </small>
      <div className={styles.acts}>
        {receipt && !props.receiptCameBack && (
          <Link className={hunt.alone} to={`?tab=receipt&receipt=${receipt.id}`}>
            Change receipt
          </Link>
        )}
        {receipt && receipt.photoId === null && <AddPicture kind="receipt" about={receipt.id} of={what} />}
        {receipt && receipt.photoId !== null && (
          <>
            <a href={photoAddress(receipt.photoId, 'full')} target="_blank" rel="noreferrer">
              <img
                src={photoAddress(receipt.photoId, 'thumbnail')}
                alt={`Receipt: ${what}`}
                className={styles.receiptPhoto}
              />
            </a>
            <Button
              size="small"
              type="text"
              onClick={() => receipt.photoId !== null && run('removePhoto', { id: receipt.photoId })}
            >
              Remove receipt
            </Button>
          </>
        )}
        {open === 'right' ? (
          <PaidLine line={line} onClose={() => setOpen(null)} />
        ) : (
          basis === 'unknown' && <PaidLine line={line} />
        )}
        {open === 'back' && (
          <TakeBackBox
            line={line}
            proposed={line.amount - props.cameBack}
            onDone={(payload) => {
              run('takeBack', payload);
              setOpen(null);
            }}
            onLeave={() => setOpen(null)}
          />
        )}
        {open === null && canGoBack && (
          <Button size="small" type="text" aria-label={`It came back: ${what}`} onClick={() => setOpen('back')}>
            It came back
          </Button>
        )}
        {open === null && canBeRight && basis !== 'unknown' && (
          <Button size="small" type="text" aria-label={`Set right: ${what}`} onClick={() => setOpen('right')}>
            Set right
          </Button>
        )}
      </div>
    </li>
  );
}

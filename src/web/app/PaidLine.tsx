import { formatMoney } from '@core/kernel/formatMoney';
import type { LedgerRow } from '@core/model/rows';
import { Button } from 'antd';
import { useState } from 'react';
import { bookedSum, type Sum, SumField } from '../ui/SumField';
import styles from '../ui/ui.module.css';
import { useCommands, useLocale } from './projectStore';

/** What a line of the ledger says: a sum that is at least nothing is not known. */
const sumOf = ({ amount, atLeast }: LedgerRow): Sum =>
  atLeast && amount === 0 ? { minor: null, atLeast: false } : { minor: amount, atLeast };

/** What was paid or promised for something, and the way to set it right: the slip turned up, or it was mistyped. */
export function PaidLine(props: {
  line: LedgerRow;
  /** Where it was asked for already: it is open, and closing it is said. */
  onClose?: () => void;
}) {
  const { line, onClose } = props;
  const { run } = useCommands();
  const { currency } = useLocale();
  /** What is typed while it is set right; null while it is not. */
  const [typed, setTyped] = useState<Sum | null>(onClose ? sumOf(line) : null);
  const [verb, rest] = line.kind === 'promise' ? ['Ordered', ', paid later'] : ['Bought', ''];
  if (typed === null) {
    const { minor, atLeast } = sumOf(line);
    return (
      <p className="muted">
        {minor === null
          ? `${verb}${rest}, price not known`
          : `${verb} for ${atLeast ? 'at least ' : ''}${formatMoney(minor, currency)}${rest}`}
        .{' '}
        <Button size="small" type="link" onClick={() => setTyped(sumOf(line))}>
          Set right what was paid
        </Button>
      </p>
    );
  }
  const close = () => {
    setTyped(null);
    onClose?.();
  };
  const correct = () => {
    const [ledgerId, reversalId] = [crypto.randomUUID(), crypto.randomUUID()];
    run('correctPayment', { lineId: line.id, ...bookedSum(typed), ledgerId, reversalId, atMs: Date.now() });
    close();
  };
  return (
    <div className={styles.settle}>
      <SumField label="What it really was" sum={typed} currency={currency} onChange={setTyped} />
      <Button type="primary" onClick={correct}>
        Set it right
      </Button>
      <Button onClick={close}>Leave it</Button>
    </div>
  );
}

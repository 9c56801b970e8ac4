import { formatMoney } from '@core/kernel/formatMoney';
import type { LedgerRow } from '@core/model/rows';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { MoneyField } from '../ui/fields';
import styles from '../ui/ui.module.css';
import { useCommands, useLocale } from './projectStore';

/** What was paid or promised for something, and the way to set it right: the slip turned up, or it was mistyped. */
export function PaidLine(props: { line: LedgerRow }) {
  const { line } = props;
  const { run } = useCommands();
  const { currency } = useLocale();
  const [isOpen, setOpen] = useState(false);
  const [typed, setTyped] = useState<number | null>(line.amount);
  const [atLeast, setAtLeast] = useState(line.atLeast);
  const [verb, rest] = line.kind === 'promise' ? ['Ordered', ', paid later'] : ['Bought', ''];
  const sum = formatMoney(line.amount, currency);
  const correct = () => {
    run('correctPayment', {
      lineId: line.id,
      paid: typed ?? 0,
      atLeast: typed === null || atLeast,
      ledgerId: crypto.randomUUID(),
      reversalId: crypto.randomUUID(),
      atMs: Date.now(),
    });
    setOpen(false);
  };
  if (isOpen)
    return (
      <div className={styles.settle}>
        <MoneyField
          label="What it really was"
          value={typed}
          currency={currency}
          nullable
          hint={typed === null ? 'empty: nobody knows any more' : undefined}
          onCommit={setTyped}
        />
        {typed !== null && (
          <Checkbox checked={atLeast} onChange={(event) => setAtLeast(event.target.checked)}>
            it may have been more
          </Checkbox>
        )}
        <Button type="primary" onClick={correct}>
          Set it right
        </Button>
        <Button onClick={() => setOpen(false)}>Leave it</Button>
      </div>
    );
  return (
    <p className="muted">
      {line.atLeast && line.amount === 0
        ? `${verb}${rest}, price not known`
        : `${verb} for ${line.atLeast ? 'at least ' : ''}${sum}${rest}`}
      .{' '}
      <Button
        size="small"
        type="link"
        onClick={() => {
          setTyped(line.atLeast && line.amount === 0 ? null : line.amount);
          setAtLeast(line.atLeast && line.amount > 0);
          setOpen(true);
        }}
      >
        Set right what was paid
      </Button>
    </p>
  );
}

import { formatMoney } from '@core/plan/sentences';
import { Button } from 'antd';
import { useRef, useState } from 'react';
import { MoneyField } from './fields';
import styles from './ui.module.css';

/** What a payment or a promise needs: the sum, and ids made on the device. */
export interface Settlement {
  how: 'payment' | 'promise';
  paid: number;
  ledgerId: string;
  reversalId: string;
  atMs: number;
}

/** Presses that follow one another so quickly are one. */
const SAME_PRESS_MS = 1500;

/** Pays for something, or notes that it is ordered and paid later, at what the till really said. */
export function SettleBox(props: {
  /** What it should cost, minor units; null while that is not known. */
  proposed: number | null;
  currency: string;
  /** Ordered already: only the payment is open. */
  promised?: boolean;
  /** Whether it can be ordered now and paid later. */
  canPromise: boolean;
  onSettle: (settlement: Settlement) => void;
}) {
  const [typed, setTyped] = useState<number | null>(null);
  const paid = typed ?? props.proposed;
  // The same button pressed again at once is the same press: it buys one thing.
  const lastPress = useRef<{ how: Settlement['how']; at: number } | null>(null);
  const settle = (how: Settlement['how']) => {
    const at = performance.now();
    if (paid === null || (lastPress.current?.how === how && at - lastPress.current.at < SAME_PRESS_MS)) return;
    lastPress.current = { how, at };
    const [ledgerId, reversalId] = [crypto.randomUUID(), crypto.randomUUID()];
    props.onSettle({ how, paid, ledgerId, reversalId, atMs: Date.now() });
    setTyped(null);
  };
  return (
    <div className={styles.settle}>
      <MoneyField
        label="Paid at the till"
        value={paid}
        currency={props.currency}
        nullable
        hint={props.proposed === null ? 'the price is not known yet' : undefined}
        onCommit={setTyped}
      />
      <Button type="primary" disabled={paid === null} onClick={() => settle('payment')}>
        {paid === null ? 'Bought' : `Bought for ${formatMoney(paid, props.currency)}`}
      </Button>
      {props.canPromise && !props.promised && (
        <Button disabled={paid === null} onClick={() => settle('promise')}>
          Ordered, paid later
        </Button>
      )}
    </div>
  );
}

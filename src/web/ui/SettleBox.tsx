import { formatMoney } from '@core/kernel/formatMoney';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { bookedSum, type Sum, SumField } from './SumField';
import { isSamePress } from './samePress';
import styles from './ui.module.css';

/** What a payment or a promise needs: the sum, and ids made on the device. */
export interface Settlement {
  how: 'payment' | 'promise';
  paid: number;
  /** It may have been more; with nothing paid it is not known at all. */
  atLeast: boolean;
  ledgerId: string;
  reversalId: string;
  atMs: number;
}

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
  // Untouched it says what was proposed, also where that changes meanwhile.
  const [typed, setTyped] = useState<Sum | null>(null);
  const sum = typed ?? { minor: props.proposed, atLeast: false };
  const words =
    sum.minor === null ? null : `${sum.atLeast ? 'at least ' : ''}${formatMoney(sum.minor, props.currency)}`;
  const box = useId();
  const settle = (how: Settlement['how'], event: MouseEvent) => {
    if (isSamePress(`${box}${how}`, event)) return;
    const [ledgerId, reversalId] = [crypto.randomUUID(), crypto.randomUUID()];
    props.onSettle({ how, ...bookedSum(sum), ledgerId, reversalId, atMs: Date.now() });
    setTyped(null);
  };
  return (
    <div className={styles.settle}>
      <SumField label="Paid at the till" sum={sum} currency={props.currency} onChange={setTyped} />
      <Button type="primary" onClick={(event) => settle('payment', event.nativeEvent)}>
        {words === null ? 'Bought, price not known' : `Bought for ${words}`}
      </Button>
      {props.canPromise && !props.promised && (
        <Button onClick={(event) => settle('promise', event.nativeEvent)}>
          {words === null ? 'Ordered, price not known' : 'Ordered, paid later'}
        </Button>
      )}
    </div>
  );
}

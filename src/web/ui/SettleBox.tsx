import { formatMoney } from '@core/kernel/formatMoney';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { bookedSum, type Sum, SumField } from './SumField';
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

/** Presses that follow one another so quickly are one. */
const SAME_PRESS_MS = 1500;
/** A finger does not move further between them, pixels. */
const SAME_PLACE = 12;

/** The press that settled something last, on any page; null once anything else was pressed. */
let lastPress: { button: string; x: number; y: number; at: number } | null = null;

const isInPlace = ({ clientX, clientY }: MouseEvent): boolean =>
  lastPress !== null && Math.hypot(lastPress.x - clientX, lastPress.y - clientY) <= SAME_PLACE;

// Whoever presses elsewhere meanwhile, or another key, means the next press.
document.addEventListener(
  'pointerdown',
  (event) => {
    if (!isInPlace(event)) lastPress = null;
  },
  true,
);
document.addEventListener(
  'keydown',
  ({ key }) => {
    if (key !== 'Enter' && key !== ' ') lastPress = null;
  },
  true,
);

/** Whether a press is only the last one again: on the same button, or in the same place after the page moved under it. */
function isSamePress(button: string, event: MouseEvent): boolean {
  const at = performance.now();
  const isSoon = lastPress !== null && at - lastPress.at < SAME_PRESS_MS;
  if (isSoon && (lastPress?.button === button || (event.detail > 0 && isInPlace(event)))) return true;
  lastPress = { button, x: event.clientX, y: event.clientY, at };
  return false;
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

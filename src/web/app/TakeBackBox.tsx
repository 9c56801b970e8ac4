import type { PayloadOf } from '@core/acts';
import { supplyKind } from '@core/catalog/supplyKinds';
import { formatMoney } from '@core/kernel/formatMoney';
import type { LedgerRow } from '@core/model/rows';
import { takenBack } from '@core/pricing/ledger';
import { paidFor, refundOf } from '@core/pricing/returns';
import { boughtAmount } from '@core/sourcing/boughtAmount';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { MoneyField, NumberField } from '../ui/fields';
import { isSamePress } from '../ui/samePress';
import { useLocale, useRows } from './projectStore';
import styles from './shell.module.css';

/** What came back for a payment: all of it, or some of its pieces; the sum is proposed and can be set right. */
export function TakeBackBox(props: {
  line: LedgerRow;
  /** What should come back for all that is left, minor units. */
  proposed: number;
  onDone: (payload: PayloadOf<'takeBack'>) => void;
  onLeave: () => void;
}) {
  const { line } = props;
  const rows = useRows();
  const { currency } = useLocale();
  const box = useId();
  const [typed, setTyped] = useState<number | null>(null);
  const gone = takenBack(rows.ledger).get(line.id)?.pieces ?? 0;
  const left = line.pieces === null ? null : line.pieces - gone;
  const [pieces, setPieces] = useState<number | null>(null);
  const source = rows.sources.find(({ id }) => id === line.sourceId);
  const kept = source?.returns.state === 'within' ? source.returns.restockingThousandths : 0;
  const forPieces =
    pieces === null || left === null || line.pieces === null
      ? props.proposed
      : Math.min(props.proposed, refundOf(paidFor(line.amount, line.pieces, pieces, gone), kept));
  const { subject } = line;
  const supply = subject.kind === 'supply' ? rows.supplies.find(({ id }) => id === subject.id) : undefined;
  const onShelf = supply?.stash.amount ?? 0;
  const [amount, setAmount] = useState(Math.min(onShelf, boughtAmount(rows, line)));
  const refund = typed ?? forPieces;
  const done = (event: React.MouseEvent) => {
    if (isSamePress(box, event.nativeEvent)) return;
    props.onDone({
      paymentId: line.id,
      refund,
      pieces: pieces === left ? null : pieces,
      amount,
      note: '',
      ledgerId: crypto.randomUUID(),
      atMs: Date.now(),
    });
  };
  return (
    <>
      {left !== null && left > 1 && (
        <NumberField
          label={`Pieces, of ${left}`}
          value={pieces ?? left}
          least={1}
          most={left}
          whole
          onCommit={(count) => setPieces(count === left ? null : count)}
        />
      )}
      {supply && onShelf > 0 && (
        <NumberField
          label={`How much leaves the shelf, ${supplyKind(supply.kindId)?.unit ?? 'mL'}`}
          value={amount}
          least={0}
          most={onShelf}
          onCommit={setAmount}
        />
      )}
      <MoneyField label="What came back" value={refund} currency={currency} onCommit={setTyped} />
      <span className={styles.actsInLine}>
        <Button type="primary" onClick={done}>
          {formatMoney(refund, currency)} came back
        </Button>
        <Button onClick={props.onLeave}>Leave it</Button>
      </span>
    </>
  );
}

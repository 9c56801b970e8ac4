import { formatMoney } from '@core/kernel/formatMoney';
import { linesInForce } from '@core/pricing/ledger';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { useCommands, useLocale, useRows } from '../../../app/projectStore';
import { SourceField } from '../../../app/SourceField';
import { useMayDo } from '../../../app/useMayDo';
import { Choice } from '../../../ui/Choice';
import { MoneyField, TextField } from '../../../ui/fields';
import { isSamePress } from '../../../ui/samePress';
import hunt from '../hunt.module.css';
import styles from './money.module.css';

/** Money for no thing of its own, and money for a thing that leaves. */
export function MoreMoney() {
  const mayDo = useMayDo();
  return (
    <div className={styles.lists}>
      <Fee />
      {mayDo('sellPiece') && <Sale />}
    </div>
  );
}

const NOTHING = 'fee';

function Fee() {
  const rows = useRows();
  const { currency } = useLocale();
  const { run } = useCommands();
  const box = useId();
  const [what, setWhat] = useState('');
  const [paid, setPaid] = useState<number | null>(null);
  const [forId, setForId] = useState<string>(NOTHING);
  const [sourceId, setSourceId] = useState<string | null>(null);
  const lent = rows.pieces.filter(({ borrowedFrom }) => borrowedFrom !== '');
  const isReady = what.trim() !== '' && paid !== null;
  const pay = (event: React.MouseEvent) => {
    if (paid === null || isSamePress(box, event.nativeEvent)) return;
    run('payFee', {
      what: what.trim(),
      depositFor: forId === NOTHING ? null : forId,
      sourceId,
      paid,
      ledgerId: crypto.randomUUID(),
      atMs: Date.now(),
    });
    setWhat('');
    setPaid(null);
  };
  return (
    <section className={hunt.sheet} aria-label="Fee or deposit">
      <h3>A fee or a deposit</h3>
      <TextField label="What for" value={what} most={400} onCommit={setWhat} />
      <MoneyField label="Paid" value={paid} nullable currency={currency} onCommit={setPaid} />
      {lent.length > 0 && (
        <Choice
          label="A deposit for something borrowed?"
          value={forId}
          options={[
            { value: NOTHING, label: 'no, a fee' },
            ...lent.map(({ id, name, borrowedFrom }) => ({ value: id, label: `${name}, from ${borrowedFrom}` })),
          ]}
          onChange={setForId}
        />
      )}
      <SourceField label="Where" value={sourceId} onCommit={setSourceId} />
      <p>
        <Button type="primary" disabled={!isReady} onClick={pay}>
          {paid === null ? 'Note it' : `Paid ${formatMoney(paid, currency)}`}
        </Button>
      </p>
    </section>
  );
}

function Sale() {
  const rows = useRows();
  const { currency } = useLocale();
  const { run } = useCommands();
  const box = useId();
  const [income, setIncome] = useState<number | null>(null);
  const sold = new Set(
    linesInForce(rows.ledger).flatMap(({ kind, subject }) => (kind === 'saleIncome' ? [subject.id] : [])),
  );
  const bought = new Set(
    rows.finds.filter(({ state }) => state === 'bought' || state === 'owned').map(({ pieceId }) => pieceId),
  );
  const ours = rows.pieces
    .filter(({ id, inHouse, borrowedFrom }) => (inHouse || bought.has(id)) && borrowedFrom === '' && !sold.has(id))
    .sort((a, b) => a.name.localeCompare(b.name));
  const [pieceId, setPieceId] = useState<string | null>(null);
  const picked = ours.find(({ id }) => id === pieceId) ?? ours[0] ?? null;
  const sell = (event: React.MouseEvent) => {
    if (!picked || income === null || isSamePress(box, event.nativeEvent)) return;
    run('sellPiece', { pieceId: picked.id, income, note: '', ledgerId: crypto.randomUUID(), atMs: Date.now() });
    setIncome(null);
    setPieceId(null);
  };
  return (
    <section className={hunt.sheet} aria-label="Sale">
      <h3>Something of ours was sold</h3>
      {picked === null ? (
        <p className="muted">
          Nothing of ours is in this project: what was bought, or is used from the house, can be sold.
        </p>
      ) : (
        <>
          <Choice
            label="What"
            value={picked.id}
            options={ours.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={setPieceId}
          />
          <MoneyField label="What it brought" value={income} nullable currency={currency} onCommit={setIncome} />
          <p>
            <Button type="primary" disabled={income === null} onClick={sell}>
              {income === null ? 'Sold' : `Sold for ${formatMoney(income, currency)}`}
            </Button>
          </p>
          <p className="small muted">It leaves the house and the plan; what used it is open again.</p>
        </>
      )}
    </section>
  );
}

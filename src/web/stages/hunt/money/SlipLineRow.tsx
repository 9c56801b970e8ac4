import { supplyKind } from '@core/catalog/supplyKinds';
import { formatMoney } from '@core/kernel/formatMoney';
import type { FindRow, ProjectRows } from '@core/model/rows';
import { splitLot } from '@core/pricing/lot';
import { Button, Checkbox } from 'antd';
import { useRows } from '../../../app/projectStore';
import { MoneyField, NumberField, TextField } from '../../../ui/fields';
import { SideBySide } from '../../../ui/layout';
import { ManyOf } from '../../../ui/ManyOf';
import styles from './money.module.css';
import { type DraftLine, type LineFor, type LotPart, partOf } from './receiptDraft';

const NEW = 'new';
const FEE = 'fee';
const KEPT = 'kept';

/** What a line can be for: something new, a find that is not paid yet, a supply, a fee. */
function choicesFor(rows: ProjectRows, of: LineFor) {
  // What the line is for already stands among them, paid or not.
  const named = new Set(of.kind === 'finds' ? of.ids : []);
  const open = rows.finds.filter(
    ({ id, state, archived }) => named.has(id) || (!archived && (state === 'seen' || state === 'promised')),
  );
  const colorOf = (id: string | null) => rows.colorCards.find((card) => card.id === id)?.name;
  return [
    { value: NEW, label: 'something new' },
    { value: FEE, label: 'a fee' },
    ...(of.kind === 'kept' ? [{ value: KEPT, label: 'as it was' }] : []),
    ...open.map(({ id, name }) => ({ value: `find:${id}`, label: name })),
    ...rows.supplies.map((supply) => ({
      value: `supply:${supply.id}`,
      label: [supplyKind(supply.kindId)?.name ?? supply.kindId, colorOf(supply.colorCardId)].filter(Boolean).join(', '),
    })),
  ];
}

const valuesOf = (of: LineFor): string[] => {
  switch (of.kind) {
    case 'new':
      return [NEW];
    case 'fee':
      return [FEE];
    case 'kept':
      return [KEPT];
    case 'supply':
      return [`supply:${of.id}`];
    case 'finds':
      return of.ids.map((id) => `find:${id}`);
    default:
      return of satisfies never;
  }
};

/** The latest pick decides: finds gather to a lot, anything else stands alone. */
function lineFor(values: string[], rows: ProjectRows, quantity: number, before: LineFor): LineFor {
  const last = values.at(-1);
  if (last === undefined || last === NEW) return { kind: 'new' };
  if (last === FEE) return { kind: 'fee' };
  if (last.startsWith('supply:')) {
    const id = last.slice('supply:'.length);
    const size = rows.packs.find(({ supplyId }) => supplyId === id)?.size ?? 1;
    return { kind: 'supply', id, amount: size * quantity };
  }
  return {
    kind: 'finds',
    ids: values.filter((value) => value.startsWith('find:')).map((value) => value.slice(5)),
    ...(before.kind === 'finds' && before.parts ? { parts: before.parts } : {}),
  };
}

/** One line of a receipt: what it says, its price, how many, what it was for. */
export function SlipLineRow(props: {
  line: DraftLine;
  number: number;
  currency: string;
  total: number | null;
  onChange: (change: Partial<DraftLine>) => void;
  onRemove: () => void;
}) {
  const { line, number, onChange } = props;
  const rows = useRows();
  const supply =
    line.of.kind === 'supply'
      ? rows.supplies.find(({ id }) => line.of.kind === 'supply' && id === line.of.id)
      : undefined;
  const nameOfFind = (value: string | undefined) => rows.finds.find(({ id }) => `find:${id}` === value)?.name ?? '';
  return (
    <fieldset className={styles.slipLine} aria-label={`Line ${number}`}>
      <TextField label="It says" value={line.what} most={120} onCommit={(what) => onChange({ what })} />
      <MoneyField
        label="Price of one"
        value={line.price}
        nullable
        currency={props.currency}
        onCommit={(price) => onChange({ price })}
      />
      <NumberField
        label="How many"
        value={line.quantity}
        least={1}
        most={1000}
        whole
        onCommit={(quantity) => onChange({ quantity })}
      />
      <NumberField
        label="Marked down"
        suffix="%"
        value={line.percentOff}
        nullable
        least={0}
        most={100}
        onCommit={(percentOff) => onChange({ percentOff })}
      />
      <Button size="small" type="text" aria-label={`Remove line ${number}`} onClick={props.onRemove}>
        ×
      </Button>
      <div className={`${styles.wide} ${styles.acts}`}>
        <div className={styles.lineFor}>
          <ManyOf
            label={`Line ${number} is for`}
            hideLabel
            placeholder="something new"
            values={valuesOf(line.of)}
            options={choicesFor(rows, line.of)}
            onChange={(values) => {
              const of = lineFor(values, rows, line.quantity, line.of);
              const named = of.kind === 'finds' && line.what.trim() === '' ? { what: nameOfFind(values.at(-1)) } : {};
              onChange({ of, ...named });
            }}
          />
        </div>
        {supply && line.of.kind === 'supply' && (
          <NumberField
            label={`How much, ${supplyKind(supply.kindId)?.unit ?? 'mL'}`}
            value={line.of.amount}
            least={0}
            most={1_000_000}
            onCommit={(amount) => line.of.kind === 'supply' && onChange({ of: { ...line.of, amount } })}
          />
        )}
        <Checkbox checked={line.untaxed} onChange={(event) => onChange({ untaxed: event.target.checked })}>
          no tax on it
        </Checkbox>
        <b>{props.total === null ? '' : formatMoney(props.total, props.currency)}</b>
      </div>
      {line.of.kind === 'finds' && line.of.ids.length > 1 && <Lot {...props} of={line.of} />}
    </fieldset>
  );
}

/** How several finds share a line: those with a price of their own first, the rest by what each counts for. */
function Lot(props: {
  of: Extract<LineFor, { kind: 'finds' }>;
  number: number;
  currency: string;
  total: number | null;
  onChange: (change: Partial<DraftLine>) => void;
}) {
  const { of, currency, total } = props;
  const rows = useRows();
  const finds = of.ids.flatMap((id) => rows.finds.find((row) => row.id === id) ?? []);
  const weightOf = (find: FindRow) => partOf(of, find.id).weight ?? Math.max(1, find.count);
  const shares =
    total === null
      ? null
      : splitLot(
          total,
          finds.map((find) => ({ own: partOf(of, find.id).own, weight: weightOf(find) })),
        );
  const set = (id: string, change: Partial<LotPart>) =>
    props.onChange({ of: { ...of, parts: { ...of.parts, [id]: { ...partOf(of, id), ...change } } } });
  return (
    <details className={styles.wide}>
      <summary>
        A lot of {finds.length}:{' '}
        {finds.map(({ name }, n) => `${name}${shares ? ` ${formatMoney(shares[n] ?? 0, currency)}` : ''}`).join(', ')}
      </summary>
      {finds.map((find) => (
        <SideBySide key={find.id} across={2}>
          <MoneyField
            label={`${find.name}: a price of its own`}
            value={partOf(of, find.id).own}
            nullable
            currency={currency}
            hint="as paid; empty: shares what is left"
            onCommit={(own) => set(find.id, { own })}
          />
          <NumberField
            label={`${find.name}: counts for`}
            value={weightOf(find)}
            least={1}
            most={1000}
            whole
            onCommit={(weight) => set(find.id, { weight })}
          />
        </SideBySide>
      ))}
    </details>
  );
}

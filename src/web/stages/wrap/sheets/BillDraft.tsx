import { localDate } from '@core/calendar/zonedTime';
import { dueWords } from '@core/closing/billStanding';
import { proposedLines, usualTerms } from '@core/closing/proposedBill';
import { reckon } from '@core/closing/reckon';
import { formatMoney } from '@core/kernel/formatMoney';
import type { BillDraftRow, BillRow } from '@core/model/rows';
import type { BillBody, WrittenLine } from '@core/model/values/bill';
import { MOST_LINES, seriesOf } from '@core/model/values/billKinds';
import { QUANTITY_SCALE } from '@core/pricing/bill';
import { billDocument, billKindNames, sumsOfBill } from '@core/sheets/billSheet';
import { Button } from 'antd';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import shell from '../../../app/shell.module.css';
import { DateField, MoneyField, NumberField, TextField } from '../../../ui/fields';
import { SheetView } from '../../../ui/SheetView';
import { isSamePress } from '../../../ui/samePress';
import styles from './sheets.module.css';
import { FromField, TermsFields } from './TermsFields';

/** A bill while it is written: everything on it, and how it will look. */
export function BillDraft(props: { draft: BillDraftRow }) {
  const { draft } = props;
  const { kind, body } = draft;
  const rows = useRows();
  const plan = usePlan();
  const { timeZone } = useLocale();
  const { run } = useCommands();
  const navigate = useNavigate();
  const today = localDate(plan.asOfMs, timeZone);
  const [issuedOn, setIssuedOn] = useState<string | null>(today);
  const [doneOn, setDoneOn] = useState<string | null>(null);
  const [problem, setProblem] = useState('');
  const name = billKindNames[kind].toLowerCase();
  const set = (change: Partial<BillBody>) =>
    run('editBillDraft', { id: draft.id, values: { body: { ...body, ...change } } });
  const terms = rows.letterheads[0] ?? usualTerms(body.currency);
  const deposits =
    kind === 'invoice'
      ? rows.clientPayments
          .filter(({ billId }) => billId === null)
          .map(({ onDate, amount, what }) => ({ onDate, amount, what }))
      : [];
  const preview: BillRow = {
    id: draft.id,
    version: 1,
    kind,
    series: seriesOf(kind),
    number: null,
    prefix: terms.prefix,
    issuedOn: issuedOn ?? today,
    doneOn,
    body,
    deposits,
    cancelsId: null,
  };
  const { total, due } = sumsOfBill(preview);
  const missing = [
    body.from === '' ? 'your name and address' : '',
    body.to === '' ? 'the name and address of whoever pays' : '',
    body.lines.length === 0 ? 'a line' : '',
    issuedOn === null ? 'its date' : '',
  ].filter((words) => words !== '');
  const send = (event: React.MouseEvent) => {
    if (isSamePress(draft.id, event.nativeEvent)) return;
    if (missing.length > 0 || issuedOn === null)
      return setProblem(`The ${name} wants ${missing.join(', ')} before it gets a number.`);
    const billId = crypto.randomUUID();
    run('issueBill', { draftId: draft.id, billId, issuedOn, doneOn });
    void navigate(`../wrap/bill/${billId}`, { replace: true });
  };
  return (
    <main className={`${shell.page} ${styles.page}`}>
      <div className={`${styles.draft} ${styles.noPrint}`}>
        <p className={styles.back}>
          <Link to="../wrap?tab=sheets">All sheets</Link>
        </p>
        <h1>{billKindNames[kind]}, not sent yet</h1>
        <div className={styles.fields}>
          <FromField said={body} set={set} />
          <div className={styles.wide}>
            <TextField
              label="Whoever pays: name and address"
              lines={3}
              most={600}
              value={body.to}
              onCommit={(to) => set({ to })}
            />
          </div>
          <div className={styles.wide}>
            <TextField label="What it is for" most={200} value={body.about} onCommit={(about) => set({ about })} />
          </div>
          <DateField label="Date" value={issuedOn} onCommit={setIssuedOn} />
          {kind === 'invoice' && (
            <DateField label="Done on" hint="empty: not said" value={doneOn} onCommit={setDoneOn} />
          )}
        </div>
        <Lines body={body} set={set} />
        <div className={styles.buttons}>
          <Button
            disabled={body.lines.length >= MOST_LINES}
            onClick={() =>
              set({
                lines: [
                  ...body.lines,
                  {
                    id: crypto.randomUUID(),
                    what: 'Something else',
                    quantityThousandths: QUANTITY_SCALE,
                    unit: '',
                    unitPrice: 0,
                    taxThousandths: terms.taxThousandths,
                  },
                ],
              })
            }
          >
            Add a line
          </Button>
          <Button
            onClick={() =>
              set({
                lines: proposedLines(reckon(plan), kind, terms, body.currency, () => crypto.randomUUID()),
                isTaxIncluded: terms.isTaxIncluded,
                taxName: terms.taxName,
              })
            }
          >
            Lines anew from the project
          </Button>
        </div>
        <div className={styles.fields}>
          <TermsFields said={body} set={set} {...(kind === 'quote' ? { days: 'Holds for' } : {})} />
        </div>
        <p className={styles.due}>
          {formatMoney(total, body.currency)}
          {deposits.length > 0 && `, ${dueWords(due, body.currency)}`}
        </p>
        <div className={styles.buttons}>
          <Button type="primary" onClick={send}>
            Make out the {name}
          </Button>
          <Button
            onClick={() => {
              run('removeBillDraft', { id: draft.id });
              void navigate('../wrap?tab=sheets');
            }}
          >
            Throw it away
          </Button>
        </div>
        {problem !== '' && missing.length > 0 && <p role="alert">{problem}</p>}
        <p className="small">Made out, it gets the next number and stays as it is. How it will look:</p>
      </div>
      <SheetView sheet={billDocument(preview, null)} />
    </main>
  );
}

/** The lines, each with what it comes to. */
function Lines(props: { body: BillBody; set: (change: Partial<BillBody>) => void }) {
  const { body, set } = props;
  const sums = sumsOfBill({ body, deposits: [] });
  const change = (id: string, values: Partial<WrittenLine>) =>
    set({ lines: body.lines.map((line) => (line.id === id ? { ...line, ...values } : line)) });
  if (body.lines.length === 0) return <p className="muted">No line yet.</p>;
  return (
    <div className={styles.lineTable}>
      <table>
        <thead>
          <tr>
            <th>What</th>
            <th>Quantity</th>
            <th>Unit</th>
            <th>Each</th>
            <th>Tax</th>
            <th>Amount</th>
            <th>
              <span className="visually-hidden">Remove</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {body.lines.map((line, n) => {
            const nth = `line ${n + 1}`;
            return (
              <tr key={line.id}>
                <td style={{ width: '38%' }}>
                  <TextField
                    label={`What, ${nth}`}
                    hideLabel
                    least={1}
                    most={200}
                    value={line.what}
                    onCommit={(what) => change(line.id, { what })}
                  />
                </td>
                <td>
                  <NumberField
                    label={`Quantity, ${nth}`}
                    hideLabel
                    least={-100_000}
                    most={100_000}
                    value={line.quantityThousandths / QUANTITY_SCALE}
                    onCommit={(value) => change(line.id, { quantityThousandths: Math.round(value * QUANTITY_SCALE) })}
                  />
                </td>
                <td>
                  <TextField
                    label={`Unit, ${nth}`}
                    hideLabel
                    most={20}
                    value={line.unit}
                    onCommit={(unit) => change(line.id, { unit })}
                  />
                </td>
                <td>
                  <MoneyField
                    label={`Each, ${nth}`}
                    hideLabel
                    currency={body.currency}
                    value={line.unitPrice}
                    onCommit={(unitPrice) => change(line.id, { unitPrice })}
                  />
                </td>
                <td>
                  <NumberField
                    label={`Tax, ${nth}`}
                    hideLabel
                    suffix="%"
                    least={0}
                    most={100}
                    value={line.taxThousandths / 1000}
                    onCommit={(percent) => change(line.id, { taxThousandths: Math.round(percent * 1000) })}
                  />
                </td>
                <td className={styles.amount}>{formatMoney(sums.lines[n] ?? 0, body.currency)}</td>
                <td>
                  <Button
                    type="text"
                    aria-label={`Remove: ${line.what}`}
                    onClick={() => set({ lines: body.lines.filter(({ id }) => id !== line.id) })}
                  >
                    ✕
                  </Button>
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

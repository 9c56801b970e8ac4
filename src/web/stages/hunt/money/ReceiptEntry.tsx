import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { currencyCodes } from '@core/kernel/currencies.data';
import { formatMoney } from '@core/kernel/formatMoney';
import type { ReceiptRow } from '@core/model/rows';
import { sourceName } from '@core/model/sourceName';
import { reckonSlip } from '@core/pricing/slip';
import { Button } from 'antd';
import { useId, useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import { SourceField } from '../../../app/SourceField';
import { useSearchState } from '../../../app/useSearchState';
import { Choice, OneOf } from '../../../ui/Choice';
import { DateField, MoneyField, NumberField } from '../../../ui/fields';
import { SideBySide } from '../../../ui/layout';
import { isSamePress } from '../../../ui/samePress';
import hunt from '../hunt.module.css';
import { DiscountRows } from './DiscountRows';
import styles from './money.module.css';
import {
  correctionPayload,
  draftKey,
  draftOf,
  dropReceipt,
  emptyReceipt,
  filledLines,
  keepReceipt,
  keepSent,
  loadReceipt,
  loadSent,
  newLine,
  notKept,
  type ReceiptDraft,
  receiptPayload,
  type SentReceipt,
  slipOf,
} from './receiptDraft';
import { SlipLineRow } from './SlipLineRow';

/** A new receipt to type off, or a kept one, named in the address, to set right. */
export function ReceiptEntry() {
  const rows = useRows();
  const [search] = useSearchState();
  const kept = rows.receipts.find(({ id }) => id === search.get('receipt')) ?? null;
  return <Slip key={kept?.id ?? 'new'} kept={kept} />;
}

/** A whole receipt typed off: its lines, discounts over several of them, and what was really paid; to the cent. */
function Slip({ kept }: { kept: ReceiptRow | null }) {
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const box = useId();
  const projectId = rows.project.id;
  const today = localDate(plan.asOfMs, locale.timeZone);
  const key = draftKey(projectId, kept?.id ?? null);
  const start = () => (kept === null ? emptyReceipt(today) : draftOf(kept, rows));
  const [draft, setDraft] = useState(() => loadReceipt(key, start()));
  const [sent, setSent] = useState(() => loadSent(key));
  const [, update] = useSearchState();
  const [saved, setSaved] = useState<string | null>(null);
  const currency = draft.foreign?.currency ?? locale.currency;
  const noteSent = (next: SentReceipt | null) => {
    setSent(next);
    keepSent(key, next);
  };
  const set = (change: Partial<ReceiptDraft>) => {
    const next = { ...draft, ...change };
    setSaved(null);
    setDraft(next);
    keepReceipt(key, next);
  };
  const lost = notKept(sent, rows.ledger);
  const lines = filledLines(draft);
  const reckoned = reckonSlip(slipOf(draft, rows));
  const money = (minor: number) => formatMoney(minor, currency);
  const off = reckoned.discounts.reduce((sum, discount) => sum + discount.off, 0);
  const goods = reckoned.lines.reduce((sum, line) => sum + line.goods, 0);
  const difference = reckoned.total - reckoned.reckoned;
  const toPayments = () =>
    update((next) => {
      next.delete('receipt');
      next.set('tab', 'lines');
    });
  const save = (event: React.MouseEvent) => {
    if (isSamePress(box, event.nativeEvent)) return;
    dropReceipt(key);
    if (kept !== null) {
      const correction = correctionPayload(draft, kept, rows, locale, Date.now());
      noteSent({ draft, ledgerId: correction.ledgerIds[0] ?? '' });
      run('correctReceipt', correction);
      toPayments();
      return;
    }
    const payload = receiptPayload(draft, rows, locale, Date.now());
    noteSent({ draft, ledgerId: payload.ledgerIds[0] ?? '' });
    run('recordReceipt', payload);
    setDraft(emptyReceipt(today));
    setSaved(`Kept: ${money(reckoned.total)} for ${lines.length} ${lines.length === 1 ? 'line' : 'lines'}.`);
  };
  return (
    <section className={styles.slip} aria-label={kept === null ? 'New receipt' : 'Receipt to set right'}>
      <div className={hunt.sheet}>
        {lost !== null && (
          <p role="status" className={styles.acts}>
            What was typed here last was not kept.
            <Button
              onClick={() => {
                noteSent(null);
                set(lost);
              }}
            >
              Take it up again
            </Button>
            <Button type="text" onClick={() => noteSent(null)}>
              Forget it
            </Button>
          </p>
        )}
        {kept !== null && (
          <p>
            Receipt of {sayDay(kept.onDate, today)}
            {kept.sourceId === null ? '' : `, ${sourceName(rows.sources, kept.sourceId)}`}: what it says now takes the
            place of what it said. The books keep both.
          </p>
        )}
        <SideBySide across={3}>
          <SourceField label="From" value={draft.sourceId} onCommit={(sourceId) => set({ sourceId, tax: null })} />
          <DateField label="Date on it" value={draft.onDate} onCommit={(onDate) => set({ onDate: onDate ?? today })} />
          <Choice
            label="The till rounds tax"
            value={draft.rounding}
            options={[
              { value: 'receipt', label: 'once, on all of it' },
              { value: 'line', label: 'on each line' },
              { value: 'piece', label: 'on each piece' },
            ]}
            onChange={(rounding) => set({ rounding })}
          />
        </SideBySide>
        {draft.lines.map((line, n) => (
          <SlipLineRow
            key={line.id}
            line={line}
            number={n + 1}
            currency={currency}
            total={reckoned.lines.find(({ id }) => id === line.id)?.total ?? null}
            onChange={(change) =>
              set({ lines: draft.lines.map((old) => (old.id === line.id ? { ...old, ...change } : old)) })
            }
            onRemove={() => set({ lines: draft.lines.filter(({ id }) => id !== line.id) })}
          />
        ))}
        <p className={styles.acts}>
          <Button onClick={() => set({ lines: [...draft.lines, newLine()] })}>Another line</Button>
        </p>
        <DiscountRows
          discounts={draft.discounts}
          reckoned={reckoned.discounts}
          lines={lines}
          currency={currency}
          onChange={(discounts) => set({ discounts })}
        />
        <details>
          <summary>Paid in other money</summary>
          <SideBySide across={3}>
            <label className={styles.foreign} htmlFor={`${box}currency`}>
              Currency
              <OneOf
                id={`${box}currency`}
                label="Currency of the receipt"
                value={draft.foreign?.currency ?? locale.currency}
                options={currencyCodes.map((code) => ({ value: code, label: code }))}
                onChange={(code) =>
                  set({ foreign: code === locale.currency ? null : { currency: code, rate: draft.foreign?.rate ?? 1 } })
                }
                width="100%"
              />
            </label>
            {draft.foreign && (
              <NumberField
                label={`1 ${draft.foreign.currency} was, in ${locale.currency}`}
                value={draft.foreign.rate}
                least={0.000001}
                most={1_000_000}
                hint="the rate of that day"
                onCommit={(rate) => draft.foreign && set({ foreign: { ...draft.foreign, rate } })}
              />
            )}
          </SideBySide>
        </details>
        <div className={styles.slipSum} aria-label="What it comes to" role="status">
          <span>Goods</span>
          <span>{money(goods)}</span>
          {off > 0 && (
            <>
              <span>Discounts</span>
              <span>−{money(off)}</span>
            </>
          )}
          <span>Tax</span>
          <span>{money(reckoned.tax)}</span>
          {difference !== 0 && (
            <>
              <span>The receipt says {difference > 0 ? 'more' : 'less'}: spread over the lines</span>
              <span>{money(difference)}</span>
            </>
          )}
          <b>{difference === 0 ? 'It comes to' : 'Paid'}</b>
          <b>{money(reckoned.total)}</b>
        </div>
        <div className={styles.acts}>
          <MoneyField
            label="The receipt says"
            value={draft.paid}
            nullable
            currency={currency}
            hint="empty: as it comes to"
            onCommit={(paid) => set({ paid })}
          />
          <Button type="primary" disabled={lines.length === 0} onClick={save}>
            {kept === null ? 'Keep receipt' : 'Set it right'}, {money(reckoned.total)}
          </Button>
          {kept === null ? (
            <Button type="text" onClick={() => set(emptyReceipt(today))}>
              Empty it
            </Button>
          ) : (
            <Button
              type="text"
              onClick={() => {
                dropReceipt(key);
                toPayments();
              }}
            >
              Leave it as it was
            </Button>
          )}
          {saved && <span role="status">{saved}</span>}
        </div>
      </div>
    </section>
  );
}

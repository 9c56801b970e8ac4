import { formatMoney } from '@core/kernel/formatMoney';
import type { ReckonedDiscount, SlipDiscount, SlipOffer } from '@core/pricing/slip';
import { Button } from 'antd';
import { Choice, OneOf } from '../../../ui/Choice';
import { MoneyField, NumberField } from '../../../ui/fields';
import { ManyOf } from '../../../ui/ManyOf';
import styles from './money.module.css';
import type { DraftLine } from './receiptDraft';

const offers: { key: SlipOffer['kind']; label: string; make: () => SlipOffer }[] = [
  { key: 'money', label: 'So much off', make: () => ({ kind: 'money', amount: 0, by: 'store' }) },
  { key: 'percent', label: 'So many percent off', make: () => ({ kind: 'percent', percentThousandths: 10_000 }) },
  { key: 'buyGet', label: 'Some free: 3 for 2', make: () => ({ kind: 'buyGet', buy: 2, free: 1 }) },
  { key: 'secondLess', label: 'The second for half', make: () => ({ kind: 'secondLess', percentThousandths: 50_000 }) },
];

/** Discounts over several lines of a receipt. */
export function DiscountRows(props: {
  discounts: readonly SlipDiscount[];
  reckoned: readonly ReckonedDiscount[];
  lines: readonly DraftLine[];
  currency: string;
  onChange: (discounts: SlipDiscount[]) => void;
}) {
  const { discounts, currency } = props;
  const set = (id: string, change: Partial<SlipDiscount>) =>
    props.onChange(discounts.map((old) => (old.id === id ? { ...old, ...change } : old)));
  return (
    <section className={styles.discounts} aria-label="Discounts over several lines">
      {discounts.map((discount, n) => {
        const { id, offer, lineIds, leastSpend } = discount;
        const came = props.reckoned.find((entry) => entry.id === id);
        return (
          <fieldset key={id} className={`${styles.slipLine} ${styles.discount}`} aria-label={`Discount ${n + 1}`}>
            <div>
              <span className="small muted">{offers.find(({ key }) => key === offer.kind)?.label}, on</span>
              <ManyOf
                label={`Discount ${n + 1} holds for`}
                hideLabel
                placeholder="all goods"
                values={lineIds ?? []}
                options={props.lines.map((line) => ({ value: line.id, label: line.what }))}
                onChange={(ids) => set(id, { lineIds: ids.length === 0 ? null : ids })}
              />
            </div>
            {offer.kind === 'money' && (
              <>
                <MoneyField
                  label="Off"
                  value={offer.amount}
                  currency={currency}
                  onCommit={(amount) => set(id, { offer: { ...offer, amount } })}
                />
                <Choice
                  label="By"
                  value={offer.by}
                  options={[
                    { value: 'store', label: 'the store' },
                    { value: 'maker', label: 'the maker' },
                  ]}
                  onChange={(by) => set(id, { offer: { ...offer, by } })}
                />
              </>
            )}
            {'percentThousandths' in offer && (
              <NumberField
                label="Percent"
                suffix="%"
                value={offer.percentThousandths / 1000}
                least={0}
                most={100}
                onCommit={(percent) => set(id, { offer: { ...offer, percentThousandths: Math.round(percent * 1000) } })}
              />
            )}
            {offer.kind === 'buyGet' && (
              <>
                <NumberField
                  label="Buy"
                  value={offer.buy}
                  least={1}
                  most={100}
                  whole
                  onCommit={(buy) => set(id, { offer: { ...offer, buy } })}
                />
                <NumberField
                  label="Free"
                  value={offer.free}
                  least={1}
                  most={100}
                  whole
                  onCommit={(free) => set(id, { offer: { ...offer, free } })}
                />
              </>
            )}
            <MoneyField
              label="Only from"
              value={leastSpend}
              nullable
              hint="spent at least"
              currency={currency}
              onCommit={(least) => set(id, { leastSpend: least })}
            />
            <Button
              size="small"
              type="text"
              aria-label={`Remove discount ${n + 1}`}
              onClick={() => props.onChange(discounts.filter((old) => old.id !== id))}
            >
              ×
            </Button>
            <small className={styles.wide}>
              {came?.missing
                ? `Does not count yet: ${formatMoney(came.missing, currency)} more has to be bought.`
                : `−${formatMoney(came?.off ?? 0, currency)}`}
            </small>
          </fieldset>
        );
      })}
      <OneOf
        label="Discount over several lines"
        placeholder="+ discount over several lines"
        value={null}
        options={offers.map(({ key, label }) => ({ value: key, label }))}
        width={240}
        onChange={(kind) => {
          const made = offers.find(({ key }) => key === kind);
          if (made)
            props.onChange([
              ...discounts,
              { id: crypto.randomUUID(), offer: made.make(), lineIds: null, leastSpend: null },
            ]);
        }}
      />
    </section>
  );
}

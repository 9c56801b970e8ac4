import { formatMoney } from '@core/kernel/formatMoney';
import type { Price } from '@core/kernel/price';
import type { PriceStory, Tax } from '@core/pricing/priceStory';
import { tagsFor } from '@core/pricing/receipt';
import { useState } from 'react';
import { useLocale } from '../../app/projectStore';
import { MoneyField } from '../../ui/fields';

/** Only what was paid is known: the list price is worked back through markdowns, coupons and tax. */
export function TagFromPaid(props: { story: PriceStory; tax: Tax; onFound: (tag: Price) => void }) {
  const { currency } = useLocale();
  const [none, setNone] = useState<number | null>(null);
  const work = (paid: number | null) => {
    if (paid === null) return;
    const tags = tagsFor(props.story, currency, props.tax, paid);
    setNone(tags ? null : paid);
    if (tags) props.onFound({ state: 'stated', ...tags });
  };
  return (
    <MoneyField
      label="Or only what was paid"
      value={null}
      nullable
      currency={currency}
      hint={
        none === null
          ? 'its list price is worked back'
          : `no tag comes to ${formatMoney(none, currency)} with these lines and this tax`
      }
      onCommit={work}
    />
  );
}

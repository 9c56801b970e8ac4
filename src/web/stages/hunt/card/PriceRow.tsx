import type { Amount } from '@core/kernel/amount';
import { formatMoney } from '@core/kernel/formatMoney';
import { wantedColor } from '@core/pricing/discountPattern';
import type { PriceLine, PriceStory } from '@core/pricing/priceStory';
import { chipWords } from '@core/sourcing/patternWords';
import { useState } from 'react';
import { useLocale } from '../../../app/projectStore';
import { amountWords } from '../../../app/words';
import { MoneyField, NumberField } from '../../../ui/fields';
import styles from './card.module.css';
import type { CardDraft } from './cardDraft';
import type { DiscountChip } from './findOnCard';

const quickPercents = [25, 50];

/** The tag and what is paid at the till, with what the shop takes off today, a tap each. */
export function PriceRow(props: {
  story: PriceStory;
  till: Amount;
  chips: readonly DiscountChip[];
  draft: CardDraft;
  today: string;
  onChange: (change: Partial<CardDraft>) => void;
}) {
  const { story, draft, chips } = props;
  const locale = useLocale();
  const [more, setMore] = useState<'coupon' | null>(null);
  const tag = story.tag;
  const tagWords =
    tag.state === 'unknown'
      ? '?'
      : tag.state === 'free'
        ? 'free'
        : tag.state === 'stated' && tag.low === tag.high
          ? formatMoney(tag.low, locale.currency, { cents: 'auto' })
          : amountWords(props.till, locale);
  const toggle = ({ discount, isOn }: DiscountChip) => {
    const { id } = discount.pattern;
    const color = wantedColor(discount.pattern, props.today);
    const without = (list: string[]) => list.filter((entry) => entry !== id);
    // The tag of such a color says it: the shop's rule does the rest.
    if (color !== null) return props.onChange({ tagColor: isOn ? '' : color, off: without(draft.off) });
    return props.onChange(
      isOn
        ? { on: without(draft.on), off: [...without(draft.off), id] }
        : { on: [...without(draft.on), id], off: without(draft.off) },
    );
  };
  const setExtra = (kind: PriceLine['kind'], line: PriceLine | null) =>
    props.onChange({ extra: [...draft.extra.filter((entry) => entry.kind !== kind), ...(line ? [line] : [])] });
  const markdown = draft.extra.find((line) => line.kind === 'markdown');
  const coupon = draft.extra.find((line) => line.kind === 'couponMoney');
  return (
    <section className={styles.part} aria-label="Price">
      <div className={styles.price}>
        <span className={styles.tagPrice}>{tagWords}</span>
        <span className={styles.till}>
          at the till
          <b>{tag.state === 'unknown' ? 'unknown' : amountWords(props.till, locale)}</b>
        </span>
      </div>
      <div className={styles.chips}>
        {chips.map((chip) => (
          <button
            key={chip.discount.pattern.id}
            type="button"
            className={styles.chip}
            aria-pressed={chip.isOn}
            onClick={() => toggle(chip)}
          >
            {chipWords(chip.discount, props.today)}
          </button>
        ))}
        {quickPercents.map((percent) => {
          const isOn = markdown?.kind === 'markdown' && markdown.percentThousandths === percent * 1000;
          return (
            <button
              key={percent}
              type="button"
              className={styles.chip}
              aria-pressed={isOn}
              onClick={() =>
                setExtra('markdown', isOn ? null : { kind: 'markdown', percentThousandths: percent * 1000 })
              }
            >
              −{percent} %
            </button>
          );
        })}
        <button
          type="button"
          className={styles.chip}
          aria-expanded={more === 'coupon'}
          aria-pressed={coupon !== undefined}
          onClick={() => setMore(more === 'coupon' ? null : 'coupon')}
        >
          coupon, other %
        </button>
      </div>
      {more === 'coupon' && (
        <div className={styles.fields}>
          <MoneyField
            label="Coupon"
            value={coupon?.kind === 'couponMoney' ? coupon.amount : null}
            nullable
            currency={locale.currency}
            onCommit={(amount) =>
              setExtra('couponMoney', amount === null ? null : { kind: 'couponMoney', amount, by: 'store' })
            }
          />
          <NumberField
            label="Another markdown"
            suffix="%"
            value={markdown?.kind === 'markdown' ? markdown.percentThousandths / 1000 : null}
            nullable
            least={0}
            most={100}
            onCommit={(percent) =>
              setExtra(
                'markdown',
                percent === null ? null : { kind: 'markdown', percentThousandths: Math.round(percent * 1000) },
              )
            }
          />
        </div>
      )}
    </section>
  );
}

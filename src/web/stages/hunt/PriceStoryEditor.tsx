import { type PriceLine, type PriceStory, piecesBought, type Tax } from '@core/pricing/priceStory';
import { Button, Checkbox, Dropdown } from 'antd';
import { useLocale } from '../../app/projectStore';
import { Choice } from '../../ui/Choice';
import { MoneyField, NumberField, PriceField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './hunt.module.css';
import { MixedPack } from './MixedPack';
import { TagFromPaid } from './TagFromPaid';

const kinds: { key: PriceLine['kind']; label: string; make: () => PriceLine }[] = [
  { key: 'markdown', label: 'Markdown, %', make: () => ({ kind: 'markdown', percentThousandths: 50_000 }) },
  { key: 'couponMoney', label: 'Coupon in money', make: () => ({ kind: 'couponMoney', amount: 0, by: 'store' }) },
  {
    key: 'couponPercent',
    label: 'Coupon in percent',
    make: () => ({ kind: 'couponPercent', percentThousandths: 10_000 }),
  },
  { key: 'buyGet', label: 'Some of them free (3 for 2)', make: () => ({ kind: 'buyGet', buy: 2, free: 1 }) },
  {
    key: 'secondLess',
    label: 'The second for less',
    make: () => ({ kind: 'secondLess', percentThousandths: 50_000 }),
  },
  { key: 'couponUnknown', label: 'Coupon, unknown which', make: () => ({ kind: 'couponUnknown', value: 10_000 }) },
  { key: 'fee', label: 'Fee', make: () => ({ kind: 'fee', amount: 0, taxed: false }) },
  { key: 'delivery', label: 'Delivery', make: () => ({ kind: 'delivery', amount: 0, taxed: false }) },
];

/** Edits a price story: the tag and what happens to it in order, tax, rounding, pack. */
export function PriceStoryEditor(props: {
  story: PriceStory;
  /** The tax where it is sold. */
  tax: Tax;
  /** How many of what was bought serve. */
  usable: number;
  /** Whether they were counted; else there are at least so many. */
  counted: boolean;
  onChange: (change: { story?: PriceStory; count?: number; counted?: boolean }) => void;
}) {
  const { story } = props;
  const locale = useLocale();
  const bought = piecesBought(story);
  const set = (change: Partial<PriceStory>) => {
    const next = { ...story, ...change };
    const all = piecesBought(next);
    // What serves follows what is bought, until somebody has said how many that are.
    const count = props.usable === bought ? all : Math.min(props.usable, all);
    props.onChange({ story: next, ...(count === props.usable ? {} : { count }) });
  };
  const setLine = (index: number, line: PriceLine | null) =>
    set({
      lines:
        line === null
          ? story.lines.filter((_, i) => i !== index)
          : story.lines.map((old, i) => (i === index ? line : old)),
    });
  const swap = (index: number, by: -1 | 1) => {
    const lines = [...story.lines];
    const [moved] = lines.splice(index, 1);
    if (moved) lines.splice(index + by, 0, moved);
    set({ lines });
  };
  return (
    <>
      <SideBySide across={3}>
        <PriceField label="Tag price" value={story.tag} currency={locale.currency} onCommit={(tag) => set({ tag })} />
        {story.tag.state === 'unknown' && <TagFromPaid story={story} tax={props.tax} onFound={(tag) => set({ tag })} />}
        <NumberField
          label="Bought how many times"
          value={story.quantity}
          least={1}
          most={1000}
          whole
          onCommit={(quantity) => set({ quantity })}
        />
      </SideBySide>
      {story.lines.map((line, index) => (
        <div className={styles.line} key={`${index}-${line.kind}`}>
          <Choice
            label={`Line ${index + 1}`}
            value={line.kind}
            options={kinds.map(({ key, label }) => ({ value: key, label }))}
            onChange={(kind) => setLine(index, kinds.find((entry) => entry.key === kind)?.make() ?? line)}
          />
          {'percentThousandths' in line && (
            <NumberField
              label="Percent"
              suffix="%"
              value={line.percentThousandths / 1000}
              least={0}
              most={100}
              onCommit={(value) => setLine(index, { ...line, percentThousandths: Math.round(value * 1000) })}
            />
          )}
          {line.kind === 'buyGet' && (
            <>
              <NumberField
                label="Buy"
                value={line.buy}
                least={1}
                most={100}
                whole
                onCommit={(buy) => setLine(index, { ...line, buy })}
              />
              <NumberField
                label="Free on top"
                value={line.free}
                least={1}
                most={100}
                whole
                onCommit={(free) => setLine(index, { ...line, free })}
              />
            </>
          )}
          {line.kind === 'couponUnknown' && (
            <NumberField
              label="It says"
              value={line.value / 1000}
              least={0}
              most={100}
              onCommit={(value) => setLine(index, { ...line, value: Math.round(value * 1000) })}
            />
          )}
          {(line.kind === 'fee' || line.kind === 'delivery') && (
            <MoneyField
              label="Amount"
              value={line.amount}
              nullable
              hint="empty: not known yet"
              currency={locale.currency}
              onCommit={(amount) => setLine(index, { ...line, amount })}
            />
          )}
          {line.kind === 'couponMoney' && (
            <MoneyField
              label="Amount"
              value={line.amount}
              currency={locale.currency}
              onCommit={(amount) => setLine(index, { ...line, amount })}
            />
          )}
          {line.kind === 'couponMoney' ? (
            <Choice
              label="By"
              value={line.by}
              options={[
                { value: 'store', label: 'the store' },
                { value: 'maker', label: 'the maker' },
              ]}
              onChange={(by) => setLine(index, { ...line, by })}
            />
          ) : line.kind === 'fee' || line.kind === 'delivery' ? (
            <Choice
              label="Taxed"
              value={line.taxed ? 'yes' : 'no'}
              options={[
                { value: 'yes', label: 'yes' },
                { value: 'no', label: 'no' },
              ]}
              onChange={(taxed) => setLine(index, { ...line, taxed: taxed === 'yes' })}
            />
          ) : line.kind === 'couponPercent' ? (
            <MoneyField
              label="Only from"
              value={line.leastSpend ?? null}
              nullable
              hint="spent at least"
              currency={locale.currency}
              onCommit={(least) => setLine(index, { ...line, leastSpend: least ?? undefined })}
            />
          ) : line.kind === 'buyGet' ? null : (
            <span />
          )}
          <span style={{ paddingTop: 22, whiteSpace: 'nowrap' }}>
            {index > 0 && (
              <Button size="small" type="text" aria-label={`Move line ${index + 1} up`} onClick={() => swap(index, -1)}>
                ↑
              </Button>
            )}
            <Button
              size="small"
              type="text"
              aria-label={`Remove line ${index + 1}`}
              onClick={() => setLine(index, null)}
            >
              ×
            </Button>
          </span>
        </div>
      ))}
      <p style={{ margin: '0 0 12px' }}>
        <Dropdown
          menu={{
            items: kinds.map(({ key, label }) => ({ key, label })),
            onClick: ({ key }) =>
              set({
                lines: [
                  ...story.lines,
                  kinds.find((entry) => entry.key === key)?.make() ?? { kind: 'fee', amount: 0, taxed: false },
                ],
              }),
          }}
          trigger={['click']}
        >
          <Button size="small">Add a line: markdown, coupon, fee …</Button>
        </Dropdown>
      </p>
      <MixedPack story={story} onChange={props.onChange} />
      <SideBySide across={3}>
        <NumberField
          label="Pieces in the pack"
          value={story.pieces}
          least={1}
          most={1000}
          whole
          onCommit={(pieces) => set({ pieces })}
        />
        <NumberField
          label="Usable of them"
          value={props.usable}
          least={0}
          most={Math.max(bought, props.usable)}
          whole
          onCommit={(count) => props.onChange({ count })}
        />
        <Checkbox checked={!props.counted} onChange={(event) => props.onChange({ counted: !event.target.checked })}>
          not counted: at least so many
        </Checkbox>
        <Choice
          label="The till rounds"
          value={story.rounding}
          options={[
            { value: 'line', label: 'each line' },
            { value: 'piece', label: 'each piece' },
            { value: 'receipt', label: 'the receipt' },
          ]}
          onChange={(rounding) => set({ rounding })}
        />
        <Choice
          label="Tax"
          value={
            story.tax === null
              ? 'project'
              : story.tax.percentThousandths === 0
                ? 'none'
                : story.tax.included
                  ? 'included'
                  : 'added'
          }
          options={[
            { value: 'project', label: 'as in the project' },
            { value: 'none', label: 'none on this' },
            { value: 'added', label: 'added, own rate' },
            { value: 'included', label: 'included, own rate' },
          ]}
          onChange={(kind) =>
            set({
              tax:
                kind === 'project'
                  ? null
                  : {
                      percentThousandths: kind === 'none' ? 0 : story.tax?.percentThousandths || 8_000,
                      included: kind === 'included',
                    },
            })
          }
        />
        {story.tax !== null && story.tax.percentThousandths > 0 && (
          <NumberField
            label="Rate"
            suffix="%"
            value={story.tax.percentThousandths / 1000}
            least={0}
            most={50}
            onCommit={(value) =>
              story.tax && set({ tax: { ...story.tax, percentThousandths: Math.round(value * 1000) } })
            }
          />
        )}
      </SideBySide>
    </>
  );
}

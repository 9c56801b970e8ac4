import type { SupplyUnit } from '@core/catalog/consumables';
import { formatLength } from '@core/kernel/formatLength';
import { decimalMoney } from '@core/kernel/formatMoney';
import { inputSentences } from '@core/kernel/inputSentences';
import { parseLength } from '@core/kernel/parseLength';
import { parseMoney } from '@core/kernel/parseMoney';
import { parsePrice } from '@core/kernel/parsePrice';
import type { Price } from '@core/kernel/price';
import { isQuantity, parseQuantity, type QuantityKind, quantityUnit, shownQuantity } from '@core/kernel/quantities';
import type { Result } from '@core/kernel/result';
import { sayerOf } from '@core/kernel/sayerOf';
import { type KnownThing, parseSizeRange, type SizeInWords } from '@core/kernel/sizeWords';
import type { UnitSystem } from '@core/kernel/units';
import type { ReactNode } from 'react';
import { type Reading, TypedField } from './TypedField';

type Common = {
  label: string;
  hint?: ReactNode;
  width?: number | string;
  hideLabel?: boolean;
  autoFocus?: boolean;
  error?: string | null;
};

// The sentences of all findings would come along with every page that has a field.
const say = sayerOf([inputSentences]);

/** What the core read of a text, its first finding as the reason where it read nothing. */
function readingOf<T>(read: Result<T>, locale: { units: UnitSystem; currency: string }): Reading<T> {
  if (read.ok) return read;
  const [finding] = read.findings;
  return { ok: false, reason: say(finding, locale) ?? finding.code };
}

/** A calendar date as ISO writes it, or nothing. */
export function DateField(props: Common & { value: string | null; onCommit: (value: string | null) => void }) {
  return (
    <TypedField
      {...props}
      show={(value) => value ?? ''}
      read={(text) => {
        if (text === '') return { ok: true, value: null };
        const date = new Date(`${text}T00:00:00Z`);
        const real =
          /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
        return real
          ? { ok: true, value: text }
          : { ok: false, reason: `${props.label}: “${text}”; accepted: a date like 2026-06-20, or nothing` };
      }}
    />
  );
}

/** Text of limited length. */
export function TextField(
  props: Common & { value: string; onCommit: (value: string) => void; least?: number; most?: number; lines?: number },
) {
  const { least = 0, most = 120 } = props;
  return (
    <TypedField
      {...props}
      show={(value) => value}
      read={(text) =>
        text.length < least || text.length > most
          ? { ok: false, reason: `${props.label}: “${text}”; accepted: text of ${least} to ${most} characters` }
          : { ok: true, value: text }
      }
    />
  );
}

/** Money of the project's currency; empty is allowed where `emptyAs` says what it means. */
export function MoneyField<T extends number | null>(
  props: Common & { value: T; currency: string; onCommit: (value: T) => void; nullable?: boolean },
) {
  return (
    <TypedField<T>
      {...props}
      inputMode="decimal"
      suffix={props.currency}
      show={(value) => decimalMoney(value, props.currency)}
      read={(text) => {
        if (text === '' && props.nullable) return { ok: true, value: null as T };
        return readingOf(parseMoney(text, props.currency), { units: 'us', currency: props.currency }) as Reading<T>;
      }}
    />
  );
}

/** A price as it is known: `12`, `10 to 14`, `over 100`, `at most 20`, `about 12`, `free`, `unknown`. */
export function PriceField(
  props: Common & { value: Price; currency: string; onCommit: (value: Price) => void; unknown?: string },
) {
  const { unknown = 'empty: unknown; a range, over 100 and at most 20 are read too', ...rest } = props;
  return (
    <TypedField<Price>
      {...rest}
      hint={props.hint ?? unknown}
      suffix={props.currency}
      show={(price) => priceText(price, props.currency)}
      read={(text) => readingOf(parsePrice(text, props.currency), { units: 'us', currency: props.currency })}
    />
  );
}

/** A price as it would be typed. */
function priceText(price: Price, currency: string): string {
  const money = (minor: number) => decimalMoney(minor, currency);
  switch (price.state) {
    case 'stated':
      return price.low === price.high
        ? money(price.low)
        : price.low === 0
          ? `at most ${money(price.high)}`
          : `${money(price.low)} to ${money(price.high)}`;
    case 'estimated':
      return `about ${money(price.likely)}`;
    case 'over':
      return `over ${money(price.low)}`;
    case 'free':
      return 'free';
    case 'unknown':
      return '';
    default:
      return price satisfies never;
  }
}

/** A length as a person writes it, kept in mm. */
export function LengthField<T extends number | null>(
  props: Common & {
    value: T;
    units: UnitSystem;
    onCommit: (value: T) => void;
    nullable?: boolean;
    /** Whether nothing (0) is a length here: a distance from an edge may be. */
    zero?: boolean;
  },
) {
  return (
    <TypedField<T>
      {...props}
      fractions={props.units === 'us'}
      suffix={props.units === 'us' ? 'in' : 'cm'}
      show={(value) => (value === null ? '' : formatLength(value as number, props.units, false))}
      read={(text) => {
        if (text === '' && props.nullable) return { ok: true, value: null as T };
        if (props.zero && /^0+([.,]0+)?$/.test(text)) return { ok: true, value: 0 as T };
        const read = readingOf(parseLength(text, props.units), { units: props.units, currency: 'USD' });
        return read.ok ? { ok: true, value: (Math.round(read.value * 100) / 100) as T } : read;
      }}
    />
  );
}

/** A quantity in whatever unit it is typed, shown in the project's: an area, a volume, a weight, a temperature. */
export function QuantityField<T extends number | null>(
  props: Common & {
    kind: QuantityKind;
    value: T;
    units: UnitSystem;
    least: number;
    most: number;
    digits?: number;
    nullable?: boolean;
    onCommit: (value: T) => void;
  },
) {
  const { kind, units, digits = 2 } = props;
  const unit = quantityUnit(kind, units);
  const show = (value: number) => String(Math.round(shownQuantity(value, kind, units) * 10 ** digits) / 10 ** digits);
  return (
    <TypedField<T>
      {...props}
      suffix={unit}
      show={(value) => (value === null ? '' : show(value as number))}
      read={(text) => {
        if (text === '' && props.nullable) return { ok: true, value: null as T };
        const value = parseQuantity(text, kind, units);
        return value !== null && value >= props.least && value <= props.most
          ? { ok: true, value: value as T }
          : {
              ok: false,
              reason: `${props.label}: “${text}”; accepted: from ${show(props.least)} to ${show(props.most)} ${unit}, or in another unit that is named`,
            };
      }}
    />
  );
}

/** How much there is of a supply, in its own unit: cans and sheets are counted, paint is poured. */
export function SupplyAmountField<T extends number | null>(
  props: Common & {
    unit: SupplyUnit;
    value: T;
    units: UnitSystem;
    least: number;
    nullable?: boolean;
    onCommit: (value: T) => void;
  },
) {
  const { unit, ...rest } = props;
  return isQuantity(unit) ? (
    <QuantityField {...rest} kind={unit} most={MOST_AMOUNT} />
  ) : (
    <NumberField {...rest} most={MOST_AMOUNT} digits={2} suffix={`${unit}s`} />
  );
}

/** More of anything is not on one shelf. */
const MOST_AMOUNT = 1_000_000;

/** A wished size as people say it: `24 to 27`, `at most 18 1/2`, `knee high`, `taller than the lamp`. */
export function SizeField(
  props: Common & {
    value: SizeInWords;
    show: (value: SizeInWords) => string;
    units: UnitSystem;
    things: readonly KnownThing[];
    onCommit: (value: SizeInWords) => void;
  },
) {
  const { things, ...rest } = props;
  return (
    <TypedField<SizeInWords>
      {...rest}
      fractions={props.units === 'us'}
      suffix={props.units === 'us' ? 'in' : 'cm'}
      read={(text) => readingOf(parseSizeRange(text, props.units, things), { units: props.units, currency: 'USD' })}
    />
  );
}

/** A number within limits. */
export function NumberField<T extends number | null>(
  props: Common & {
    value: T;
    least: number;
    most: number;
    whole?: boolean;
    suffix?: string;
    digits?: number;
    onCommit: (value: T) => void;
    nullable?: boolean;
  },
) {
  return (
    <TypedField<T>
      {...props}
      inputMode="decimal"
      show={(value) =>
        value === null
          ? ''
          : String(Math.round((value as number) * 10 ** (props.digits ?? 3)) / 10 ** (props.digits ?? 3))
      }
      read={(text) => {
        if (text === '' && props.nullable) return { ok: true, value: null as T };
        const value = Number(text.replace(',', '.'));
        const good =
          text !== '' &&
          Number.isFinite(value) &&
          value >= props.least &&
          value <= props.most &&
          (!props.whole || Number.isInteger(value));
        return good
          ? { ok: true, value: value as T }
          : {
              ok: false,
              reason: `${props.label}: “${text}”; accepted: ${props.whole ? 'a whole number' : 'a number'} from ${props.least} to ${props.most}`,
            };
      }}
    />
  );
}

/** Hours on a form, minutes in the data: `2 h 30`, `2:30` or `2.5`. */
export function HoursField<T extends number | null>(
  props: Common & { value: T; onCommit: (value: T) => void; nullable?: boolean },
) {
  return (
    <TypedField<T>
      {...props}
      suffix="h"
      show={(value) =>
        value === null
          ? ''
          : (value as number) % 60 === 0
            ? String((value as number) / 60)
            : `${Math.floor((value as number) / 60)}:${String((value as number) % 60).padStart(2, '0')}`
      }
      read={(text) => {
        if (text === '' && props.nullable) return { ok: true, value: null as T };
        const clock = /^(\d{1,4})\s*(?::|h)\s*([0-5]?\d)?\s*m?$/.exec(text);
        const minutes = clock
          ? Number(clock[1]) * 60 + Number(clock[2] ?? 0)
          : Math.round(Number(text.replace(',', '.')) * 60);
        const good = text !== '' && Number.isFinite(minutes) && minutes >= 0 && minutes <= 600_000;
        return good
          ? { ok: true, value: minutes as T }
          : { ok: false, reason: `${props.label}: “${text}”; accepted: hours like 26, 2:30 or 2.5` };
      }}
    />
  );
}

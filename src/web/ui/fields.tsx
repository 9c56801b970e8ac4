import { currencyExponent } from '@core/kernel/currencies.data';
import { formatLength } from '@core/kernel/formatLength';
import { parseLength } from '@core/kernel/parseLength';
import { parseMoney } from '@core/kernel/parseMoney';
import { type KnownThing, parseSizeRange, type SizeInWords } from '@core/kernel/sizeWords';
import type { UnitSystem } from '@core/kernel/units';
import { sentenceFor } from '@core/words/sentences';
import { Input, type InputRef, Select } from 'antd';
import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { draftOf, dropDraft, keepDraft } from './draft';
import styles from './ui.module.css';

type Reading<T> = { ok: true; value: T } | { ok: false; reason: string };

/**
 * A field that is typed freely and committed when left or on Enter. What cannot be read stays as typed, with the
 * reason beneath it; the stored value changes only when it can be read.
 */
export function TypedField<T>(props: {
  label: string;
  value: T;
  show: (value: T) => string;
  read: (text: string) => Reading<T>;
  onCommit: (value: T) => void;
  hint?: ReactNode;
  suffix?: string;
  width?: number | string;
  hideLabel?: boolean;
  autoFocus?: boolean;
  error?: string | null;
  inputMode?: 'decimal' | 'text' | 'numeric';
  /** On a touch screen, keys for fractions and foot and inch marks stand below while the field is written in. */
  fractions?: boolean;
}) {
  const id = useId();
  const shown = props.show(props.value);
  const [text, setText] = useState(shown);
  const [error, setError] = useState<string | null>(null);
  const [writing, setWriting] = useState(false);
  // A value that changed elsewhere shows at once, unless something unread stands here.
  useEffect(() => {
    setText(shown);
    setError(null);
  }, [shown]);
  const input = useRef<InputRef>(null);
  // A page that was loaded again gives back what was being typed when it went.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only once, when the field comes
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      const element = input.current?.input;
      const draft = element ? draftOf(props.label, element, shown) : null;
      if (draft === null) return;
      setText(draft);
      input.current?.focus();
    });
    return () => cancelAnimationFrame(frame);
  }, []);
  const type = (next: string) => {
    setText(next);
    const element = input.current?.input;
    if (element) keepDraft(props.label, element, shown, next);
  };
  const commit = () => {
    const trimmed = text.trim();
    dropDraft();
    if (trimmed === shown.trim()) return setError(null);
    const reading = props.read(trimmed);
    if (!reading.ok) return setError(reading.reason);
    setError(null);
    props.onCommit(reading.value);
    setText(props.show(reading.value));
  };
  const problem = error ?? props.error ?? null;
  return (
    <label className={styles.field} htmlFor={id} style={{ width: props.width }}>
      <span className={props.hideLabel ? 'visually-hidden' : undefined}>{props.label}</span>
      <Input
        id={id}
        value={text}
        ref={input}
        data-field={props.label}
        onChange={(event) => type(event.target.value)}
        onBlur={() => {
          setWriting(false);
          commit();
        }}
        onPressEnter={commit}
        {...(problem ? { status: 'error' as const } : {})}
        {...(props.suffix ? { suffix: props.suffix } : {})}
        {...(props.autoFocus ? { autoFocus: true } : {})}
        aria-invalid={problem !== null}
        aria-describedby={problem ? `${id}-error` : undefined}
        inputMode={props.inputMode ?? 'text'}
        autoComplete="off"
        onFocus={() => setWriting(true)}
      />
      {props.fractions && writing && (
        <span className={styles.fractions}>
          {['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8', "'", '"', ' to '].map((mark) => (
            <button
              key={mark}
              type="button"
              tabIndex={-1}
              // The field keeps the focus, so that what is written is not left and saved halfway.
              onPointerDown={(event) => {
                event.preventDefault();
                setText((now) =>
                  /\d\/\d|^ /.test(mark) && now !== '' && !/\s$/.test(now)
                    ? `${now} ${mark.trim()}${mark.endsWith(' ') ? ' ' : ''}`
                    : `${now}${mark}`,
                );
              }}
            >
              {mark.trim()}
            </button>
          ))}
        </span>
      )}
      {problem ? (
        <span className={styles.error} id={`${id}-error`} role="alert">
          {problem}
        </span>
      ) : (
        props.hint && <span className={styles.hint}>{props.hint}</span>
      )}
    </label>
  );
}

type Common = {
  label: string;
  hint?: ReactNode;
  width?: number | string;
  hideLabel?: boolean;
  autoFocus?: boolean;
  error?: string | null;
};

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
  props: Common & { value: string; onCommit: (value: string) => void; least?: number; most?: number },
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
  const exponent = currencyExponent(props.currency);
  return (
    <TypedField<T>
      {...props}
      inputMode="decimal"
      suffix={props.currency}
      show={(value) => (value === null ? '' : ((value as number) / 10 ** exponent).toFixed(exponent))}
      read={(text) => {
        if (text === '' && props.nullable) return { ok: true, value: null as T };
        const read = parseMoney(text, props.currency);
        return read.ok
          ? { ok: true, value: read.value as T }
          : { ok: false, reason: sentenceFor(read.findings[0] as never, { units: 'us', currency: props.currency }) };
      }}
    />
  );
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
        const read = parseLength(text, props.units);
        return read.ok
          ? { ok: true, value: (Math.round(read.value * 100) / 100) as T }
          : { ok: false, reason: sentenceFor(read.findings[0] as never, { units: props.units, currency: 'USD' }) };
      }}
    />
  );
}

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
      read={(text) => {
        const read = parseSizeRange(text, props.units, things);
        return read.ok
          ? { ok: true, value: read.value }
          : { ok: false, reason: sentenceFor(read.findings[0] as never, { units: props.units, currency: 'USD' }) };
      }}
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

/** A closed list as a labeled select. */
export function Choice<T extends string>(props: {
  label: string;
  value: T;
  options: readonly { value: T; label: ReactNode }[];
  onChange: (value: T) => void;
  width?: number | string;
  hint?: ReactNode;
  hideLabel?: boolean;
}) {
  const id = useId();
  return (
    <div className={styles.field} style={{ width: props.width }}>
      <span className={props.hideLabel ? 'visually-hidden' : undefined}>
        <label htmlFor={id}>{props.label}</label>
      </span>
      <Select
        id={id}
        aria-label={props.label}
        value={props.value}
        options={[...props.options]}
        onChange={props.onChange}
        style={{ width: '100%' }}
        popupMatchSelectWidth={false}
        // Every entry is in the page, for whoever reads it by ear.
        virtual={false}
      />
      {props.hint && <span className={styles.hint}>{props.hint}</span>}
    </div>
  );
}

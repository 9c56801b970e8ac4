import { type ReactNode, useEffect, useId, useRef, useState } from 'react';
import { draftOf, dropDraft, keepDraft } from './draft';
import { Input, type InputRef } from './input';
import { LinesOfText } from './LinesOfText';
import styles from './ui.module.css';

/** What was made of a text, or why it cannot be read. */
export type Reading<T> = { ok: true; value: T } | { ok: false; reason: string };

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
  /** How many lines it shows, where a text may have several; Enter then begins the next. */
  lines?: number;
  /** Texts that are offered while one types; one that is picked is taken at once. */
  known?: readonly string[];
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
  const area = useRef<HTMLTextAreaElement>(null);
  const elementOf = () => input.current?.input ?? area.current;
  // A page that was loaded again gives back what was being typed when it went.
  // biome-ignore lint/correctness/useExhaustiveDependencies: only once, when the field comes
  useEffect(() => {
    const frame = requestAnimationFrame(() => {
      const element = elementOf();
      const draft = element ? draftOf(props.label, element, shown) : null;
      if (draft === null) return;
      setText(draft);
      element?.focus();
    });
    return () => cancelAnimationFrame(frame);
  }, []);
  const type = (next: string) => {
    setText(next);
    const element = elementOf();
    if (element) keepDraft(props.label, element, shown, next);
    // A text that comes whole was picked from the list, not typed.
    if (props.known?.includes(next) && Math.abs(next.length - text.length) > 1) commit(next);
  };
  const commit = (said = text) => {
    const trimmed = said.trim();
    dropDraft();
    if (trimmed === shown.trim()) return setError(null);
    const reading = props.read(trimmed);
    if (!reading.ok) return setError(reading.reason);
    setError(null);
    props.onCommit(reading.value);
    setText(props.show(reading.value));
  };
  const problem = error ?? props.error ?? null;
  const written = {
    id,
    value: text,
    'data-field': props.label,
    onChange: (event: { target: { value: string } }) => type(event.target.value),
    onBlur: () => {
      setWriting(false);
      commit();
    },
    onFocus: () => setWriting(true),
    ...(props.autoFocus ? { autoFocus: true } : {}),
    'aria-invalid': problem !== null,
    'aria-describedby': problem ? `${id}-error` : undefined,
    autoComplete: 'off',
  };
  return (
    <label className={styles.field} htmlFor={id} style={{ width: props.width }}>
      <span className={props.hideLabel ? 'visually-hidden' : undefined}>{props.label}</span>
      {props.lines === undefined ? (
        <Input
          {...written}
          ref={input}
          {...(problem ? { status: 'error' as const } : {})}
          onPressEnter={() => commit()}
          {...(props.known ? { list: `${id}-known` } : {})}
          {...(props.suffix ? { suffix: props.suffix } : {})}
          inputMode={props.inputMode ?? 'text'}
        />
      ) : (
        <LinesOfText {...written} ref={area} rows={props.lines} />
      )}
      {props.known && (
        <datalist id={`${id}-known`}>
          {props.known.map((text) => (
            <option key={text} value={text} />
          ))}
        </datalist>
      )}
      {props.fractions && writing && <FractionKeys onKey={(mark) => setText((now) => withMark(now, mark))} />}
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

/** Marks that a phone's keyboard hides: fractions of an inch, feet and inches, and the word between two ends. */
const marks = ['1/8', '1/4', '3/8', '1/2', '5/8', '3/4', '7/8', "'", '"', ' to '];

/** A text with a mark behind it; a fraction and a word stand apart from what is there. */
function withMark(text: string, mark: string): string {
  const isApart = /\d\/\d|^ /.test(mark) && text !== '' && !/\s$/.test(text);
  return isApart ? `${text} ${mark.trim()}${mark.endsWith(' ') ? ' ' : ''}` : `${text}${mark}`;
}

function FractionKeys(props: { onKey: (mark: string) => void }) {
  return (
    <span className={styles.fractions}>
      {marks.map((mark) => (
        <button
          key={mark}
          type="button"
          tabIndex={-1}
          // The field keeps the focus, so that what is written is not left and saved halfway.
          onPointerDown={(event) => {
            event.preventDefault();
            props.onKey(mark);
          }}
        >
          {mark.trim()}
        </button>
      ))}
    </span>
  );
}

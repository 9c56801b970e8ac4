import { type KeyboardEvent, type ReactNode, useId } from 'react';
import styles from './ui.module.css';

/** What can be chosen; the browser's own list shows text and nothing else. */
export interface Entry<T> {
  value: T;
  label: string;
}
/** Entries that stand together under a heading. */
export interface EntryGroup<T> {
  label: string;
  options: readonly Entry<T>[];
}

const isGroup = <T,>(entry: Entry<T> | EntryGroup<T>): entry is EntryGroup<T> => 'options' in entry;

/**
 * One of a closed list, in the browser's own select: on a phone it is the phone's own.
 * Where nothing is chosen the placeholder stands there; so a list that does something at each choice has null for ever.
 */
export function OneOf<T extends string | number>(props: {
  label: string;
  value: T | null;
  options: readonly (Entry<T> | EntryGroup<T>)[];
  onChange: (value: T) => void;
  id?: string;
  placeholder?: string;
  size?: 'small';
  /** Whether something is missing as long as this stands there. */
  warns?: boolean;
  disabled?: boolean;
  width?: number | string;
}) {
  const { label, value, options, onChange, id, placeholder = '', disabled = false, warns = false } = props;
  const all = options.flatMap((entry) => (isGroup(entry) ? entry.options : [entry]));
  const entryOf = (entry: Entry<T>) => (
    <option key={entry.value} value={entry.value}>
      {entry.label}
    </option>
  );
  return (
    <select
      id={id}
      aria-label={label}
      className={styles.oneOf}
      data-size={props.size}
      data-warns={warns || undefined}
      data-open-to={value === null || undefined}
      style={{ width: props.width }}
      value={value ?? ''}
      disabled={disabled}
      onChange={(event) => {
        const chosen = all.find((entry) => String(entry.value) === event.target.value);
        if (chosen) onChange(chosen.value);
      }}
      onKeyDown={openFirst}
    >
      {/* Also where what is chosen stands in the list no more. */}
      {!all.some((entry) => entry.value === value) && (
        <option value={value ?? ''} disabled hidden>
          {placeholder}
        </option>
      )}
      {options.map((entry) =>
        isGroup(entry) ? (
          <optgroup key={entry.label} label={entry.label}>
            {entry.options.map(entryOf)}
          </optgroup>
        ) : (
          entryOf(entry)
        ),
      )}
    </select>
  );
}

/** A closed list with its label above it. */
export function Choice<T extends string>(props: {
  label: string;
  value: T;
  options: readonly (Entry<T> | EntryGroup<T>)[];
  onChange: (value: T) => void;
  width?: number | string;
  hint?: ReactNode;
  hideLabel?: boolean;
}) {
  const id = useId();
  const { label, value, options, onChange } = props;
  return (
    <div className={styles.field} style={{ width: props.width }}>
      <span className={props.hideLabel ? 'visually-hidden' : undefined}>
        <label htmlFor={id}>{label}</label>
      </span>
      <OneOf id={id} label={label} value={value} options={options} onChange={onChange} width="100%" />
      {props.hint && <span className={styles.hint}>{props.hint}</span>}
    </div>
  );
}

/** Keys that choose another entry of a closed list at once, in browsers that do so. */
const isChoosing = ({ key, altKey, ctrlKey, metaKey }: KeyboardEvent) =>
  !altKey && !ctrlKey && !metaKey && (/^(Arrow|Page|Home|End)/.test(key) || (key.length === 1 && key !== ' '));

/** Each entry that is gone by would be an act of its own; so a key opens the list, and what is chosen there is one act. */
function openFirst(event: KeyboardEvent<HTMLSelectElement>): void {
  const select = event.currentTarget;
  if (!isChoosing(event) || !isClosed(select)) return;
  event.preventDefault();
  select.showPicker();
}

/** Whether a list is closed for certain, and can be opened; some browsers do not say. */
function isClosed(select: HTMLSelectElement): boolean {
  try {
    return !select.matches(':open') && typeof select.showPicker === 'function';
  } catch {
    return false;
  }
}

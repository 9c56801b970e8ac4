import { memo, type ReactNode } from 'react';
import { Link } from 'react-router';
import type { Entry } from './Choice';
import styles from './ui.module.css';

/** A slot's number in its stitched circle. */
export const StitchedNumber = memo(function StitchedNumber(props: { children: ReactNode }) {
  return <span className={styles.number}>{props.children}</span>;
});

/** The little card that tells where a figure comes from. */
export function SourceTag(props: { children: ReactNode }) {
  return <span className={styles.tag}>{props.children}</span>;
}

/** A link that looks like a button: goes somewhere, does nothing else. */
export function LinkButton(props: { to: string; primary?: boolean; children: ReactNode }) {
  return (
    <Link to={props.to} className={`${styles.linkButton} ${props.primary ? styles.primary : ''}`}>
      {props.children}
    </Link>
  );
}

/** What a screen says while it has nothing to show: what to do first. */
export function Empty(props: { title: string; children?: ReactNode }) {
  return (
    <div className={styles.empty}>
      <h3>{props.title}</h3>
      {props.children}
    </div>
  );
}

/** One of a few, side by side in one line. */
export function Segments<T extends string>(props: {
  label: string;
  value: T;
  options: readonly Entry<T>[];
  onChange: (value: T) => void;
  className?: string | undefined;
}) {
  return (
    <fieldset className={`${styles.segments} ${props.className ?? ''}`} aria-label={props.label}>
      {props.options.map(({ value, label }) => (
        <button key={value} type="button" aria-pressed={value === props.value} onClick={() => props.onChange(value)}>
          {label}
        </button>
      ))}
    </fieldset>
  );
}

/** One choice out of a few, as thumb-high buttons. */
export function BigChoice<T extends string>(props: {
  label: string;
  value: T | null;
  choices: readonly { value: T; title: string; hint?: string }[];
  /** How many stand side by side; as many as there is room for where it is not said. */
  across?: 2;
  onChange: (value: T) => void;
}) {
  return (
    <fieldset style={{ border: 0, padding: 0, margin: 0 }}>
      <legend className="small muted" style={{ padding: 0, marginBottom: 3 }}>
        {props.label}
      </legend>
      <div className={`${styles.big} ${props.across === 2 ? styles.two : ''}`}>
        {props.choices.map((choice) => (
          <button
            key={choice.value}
            type="button"
            aria-pressed={choice.value === props.value}
            onClick={() => props.onChange(choice.value)}
          >
            {choice.title}
            {choice.hint && <small>{choice.hint}</small>}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

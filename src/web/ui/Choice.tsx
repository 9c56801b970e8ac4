import { Select } from 'antd';
import { type ReactNode, useId } from 'react';
import styles from './ui.module.css';

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

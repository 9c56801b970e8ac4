import type { Lab } from '@core/color/lab';
import type { ColorCardRow } from '@core/model/rows';
import { type ReactNode, useId } from 'react';
import type { Entry } from './Choice';
import { ListToCome } from './ListToCome';
import { later } from './later';
import styles from './ui.module.css';

/** What can be chosen, with its color where it has one. */
export interface ColoredEntry<T> extends Entry<T> {
  color?: Lab;
}

/** A color card as it can be chosen. */
export const coloredCard = ({ id, name, lab }: ColorCardRow): ColoredEntry<string> => ({
  value: id,
  label: name,
  color: lab,
});

/** The entries of some values, in the order of those. */
const entriesOf = <T extends string>(values: readonly string[], options: readonly ColoredEntry<T>[]) =>
  values.flatMap((value) => options.find((entry) => entry.value === value) ?? []);

const ManyList = later(
  async () => (await import('./libraryLists')).ManyList,
  ({ values, options, placeholder }) => (
    <ListToCome>
      {entriesOf(values, options)
        .map((entry) => entry.label)
        .join(', ') || placeholder}
    </ListToCome>
  ),
);

/** Several of a closed list, in the order in which they were chosen, with its label above it. */
export function ManyOf<T extends string>(props: {
  label: string;
  values: readonly T[];
  options: readonly ColoredEntry<T>[];
  onChange: (values: T[]) => void;
  placeholder: string;
  hint?: ReactNode;
  hideLabel?: boolean;
  /** At most so many. */
  most?: number;
}) {
  const id = useId();
  const { label, values, options, onChange, placeholder, hint, most } = props;
  return (
    <div className={styles.field}>
      <span className={props.hideLabel ? 'visually-hidden' : undefined}>
        <label htmlFor={id}>{label}</label>
      </span>
      <ManyList
        id={id}
        label={label}
        values={values}
        options={options}
        onChange={(chosen) => onChange(entriesOf(chosen, options).map(({ value }) => value))}
        placeholder={placeholder}
        most={most}
      />
      {hint && <span className={styles.hint}>{hint}</span>}
    </div>
  );
}

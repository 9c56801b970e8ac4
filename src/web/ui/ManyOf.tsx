import type { Lab } from '@core/color/lab';
import type { ColorCardRow } from '@core/model/rows';
import { lazy, type ReactNode, Suspense, useId } from 'react';
import type { Entry } from './Choice';
import { ListToCome } from './ListToCome';
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

const ManyList = lazy(async () => ({ default: (await import('./libraryLists')).ManyList }));

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
  const entriesOf = (of: readonly string[]) =>
    of.flatMap((value) => options.find((entry) => entry.value === value) ?? []);
  const words = entriesOf(values).map((entry) => entry.label);
  return (
    <div className={styles.field}>
      <span className={props.hideLabel ? 'visually-hidden' : undefined}>
        <label htmlFor={id}>{label}</label>
      </span>
      <Suspense fallback={<ListToCome>{words.join(', ') || placeholder}</ListToCome>}>
        <ManyList
          id={id}
          label={label}
          values={values}
          options={options}
          onChange={(chosen) => onChange(entriesOf(chosen).map(({ value }) => value))}
          placeholder={placeholder}
          most={most}
        />
      </Suspense>
      {hint && <span className={styles.hint}>{hint}</span>}
    </div>
  );
}

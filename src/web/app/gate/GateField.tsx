import { useId } from 'react';
import { Input, Password } from '../../ui/input';
import styles from './gate.module.css';

/** A field of a form that is sent as a whole. */
export function GateField(props: {
  label: string;
  value: string;
  onChange: (value: string) => void;
  hint?: string | undefined;
  isSecret?: boolean;
  autoComplete: string;
}) {
  const id = useId();
  const Field = props.isSecret ? Password : Input;
  return (
    <div className={styles.field}>
      <label htmlFor={id}>{props.label}</label>
      <Field
        id={id}
        value={props.value}
        autoComplete={props.autoComplete}
        onChange={(event) => props.onChange(event.target.value)}
      />
      {props.hint && <small className="muted">{props.hint}</small>}
    </div>
  );
}

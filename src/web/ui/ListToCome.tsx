import type { Lab } from '@core/color/lab';
import type { ReactNode } from 'react';
import { Swatch } from './Swatch';
import styles from './ui.module.css';

/** Where a list will be that is still on its way: as high as it, with what is chosen in it. */
export function ListToCome(props: { children: ReactNode }) {
  return <span className={styles.listToCome}>{props.children}</span>;
}

/** A name as it stands in a list, behind its color where it has one. */
export function Colored(props: { name: string; color?: Lab | undefined }) {
  return (
    <span>
      {props.color && <Swatch color={props.color} />}
      {props.name}
    </span>
  );
}

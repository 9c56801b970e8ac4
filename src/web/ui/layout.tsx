import type { CSSProperties, ReactNode } from 'react';
import styles from './layout.module.css';

/** Fields side by side; on a phone at most two in a line. */
export function SideBySide(props: { across: 2 | 3 | 4 | 5; children: ReactNode }) {
  return <div className={`${styles.sideBySide} ${styles[`across${props.across}`]}`}>{props.children}</div>;
}

/** Cards of one kind, as many in a line as there is room for. */
export function Cards(props: {
  leastWidth: number;
  label?: string;
  className?: string | undefined;
  children: ReactNode;
}) {
  return (
    <ul
      className={`${styles.cards} ${props.className ?? ''}`}
      style={{ '--least': `${props.leastWidth}px` } as CSSProperties}
      aria-label={props.label}
    >
      {props.children}
    </ul>
  );
}

/**
 * A page to work on: a list at the left, the work in the middle, what belongs to it at the right. On a narrow screen the
 * right part comes beneath, on a phone all three.
 */
export function Workbench(props: {
  leftWidth: number;
  rightWidth: number;
  /** Whether the parts touch, with lines between them. */
  isJoined?: boolean;
  children: ReactNode;
}) {
  const widths = { '--left': `${props.leftWidth}px`, '--right': `${props.rightWidth}px` } as CSSProperties;
  return (
    <div className={`${styles.workbench} ${props.isJoined ? styles.joined : ''}`} style={widths}>
      {props.children}
    </div>
  );
}

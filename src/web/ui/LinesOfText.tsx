import type { ComponentProps } from 'react';
import styles from './ui.module.css';

/** A field for several lines, as high as the lines that it is given. */
export function LinesOfText(props: Omit<ComponentProps<'textarea'>, 'className'>) {
  return <textarea {...props} className={styles.linesOfText} />;
}

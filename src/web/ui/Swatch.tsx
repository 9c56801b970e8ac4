import { hexFromLab, type Lab } from '@core/color/lab';
import styles from './ui.module.css';

/** A small square in a color. */
export function Swatch(props: { color: Lab }) {
  return <span className={styles.swatch} style={{ background: hexFromLab(props.color) }} aria-hidden="true" />;
}

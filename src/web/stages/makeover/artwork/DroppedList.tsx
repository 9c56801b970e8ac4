import type { Dropped } from '@core/formats/artwork/readSvg';
import styles from './artwork.module.css';

/** What of a file was left out, each with its place. */
export function DroppedList(props: { dropped: readonly Dropped[] }) {
  if (props.dropped.length === 0) return <p className="muted small">Everything in the file was read.</p>;
  return (
    <div className="small">
      <p>Left out:</p>
      <ul className={styles.dropped}>
        {props.dropped.map(({ what, reason, place }) => (
          <li key={`${what} ${place.line} ${place.column}`}>
            &lt;{what}&gt; in line {place.line}: {reason}
          </li>
        ))}
      </ul>
    </div>
  );
}

import { waitWords } from '@core/schedule/benchWords';
import type { Help } from '@core/schedule/whatHelps';
import { dateWords } from '../../app/words';
import styles from './bench.module.css';

function helpWords({ kind, date, soonerMinutes, lessLateMinutes }: Help): string {
  const what = {
    evening: `Two hours in the evening of ${date ? dateWords(date) : 'another day'}`,
    place: 'Another table to dry on',
    hands: 'A second pair of hands in your hours',
  }[kind];
  const gain =
    soonerMinutes >= 720
      ? `${waitWords(soonerMinutes)} sooner`
      : lessLateMinutes > 0
        ? 'less is late'
        : 'a little sooner';
  return `${what}: ${gain}.`;
}

/** What would help: each was tried by planning anew. */
export function Helps(props: { helps: readonly Help[] }) {
  if (props.helps.length === 0) return null;
  return (
    <section className={styles.helps} aria-label="What would help">
      <h3>What would help</h3>
      <ul>
        {props.helps.map((help) => (
          <li key={help.kind}>{helpWords(help)}</li>
        ))}
      </ul>
    </section>
  );
}

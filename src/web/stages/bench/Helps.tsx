import { waitWords } from '@core/schedule/benchWords';
import type { Help } from '@core/schedule/whatHelps';
import { hoursOn } from '@core/schedule/workerWindows';
import { USUAL_TABLE_M2, usualEvening, type Workshop } from '@core/state/workshop';
import { Button } from 'antd';
import { Link } from 'react-router';
import { useCommands, useRows } from '../../app/projectStore';
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

/** What would help: each was tried by planning anew; what is ours to give is taken with one press. */
export function Helps(props: { helps: readonly Help[] }) {
  const { project } = useRows();
  const { run } = useCommands();
  const { workshop } = project;
  if (props.helps.length === 0) return null;
  const take = ({ kind, date }: Help) => {
    const change: Partial<Workshop> =
      kind === 'evening' && date !== null
        ? {
            exceptions: [
              ...workshop.exceptions.filter((one) => one.date !== date),
              { date, hours: [...hoursOn(workshop, date), usualEvening], note: '' },
            ],
          }
        : {
            dryingPlaces: [
              ...workshop.dryingPlaces,
              { id: crypto.randomUUID(), name: 'Another table', areaM2: USUAL_TABLE_M2 },
            ],
          };
    run('editProject', { id: project.id, values: { workshop: { ...workshop, ...change } } });
  };
  return (
    <section className={styles.helps} aria-label="What would help">
      <h3>What would help</h3>
      <ul>
        {props.helps.map((help) => (
          <li key={help.kind}>
            {helpWords(help)}{' '}
            {help.kind === 'hands' ? (
              <Link to="hours">Who lends a hand?</Link>
            ) : (
              <Button size="small" onClick={() => take(help)}>
                {help.kind === 'evening' ? 'Take that evening' : 'There is one'}
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

import { listed } from '@core/kernel/listed';
import { waitWords } from '@core/schedule/benchWords';
import type { WetDay } from '@core/schedule/ifItRains';
import { dateWords } from '../../app/words';
import styles from './bench.module.css';
import type { BenchState } from './useBench';
import { useMoments } from './useMoments';

/** What becomes of the plan when a day that it counts on turns out wet: better known before than on the day. */
export function WetDays({ state }: { state: BenchState }) {
  const { bench, wetDays } = state;
  const { moment } = useMoments(bench.problem.now);
  if (wetDays.length === 0) return null;
  const goesOn = ({ taskIds, to }: WetDay) => {
    const rowIds = new Set(taskIds.map((taskId) => bench.jobs.get(taskId)?.task.rowId));
    const names = bench.rows.filter(({ id }) => rowIds.has(id)).map(({ name }) => name);
    const isOne = names.length === 1;
    const then =
      to === null ? `${isOne ? 'finds' : 'find'} no other hour outdoors` : `${isOne ? 'goes' : 'go'} on ${moment(to)}`;
    return `${listed(names)} ${then}`;
  };
  return (
    <section className={styles.helps} aria-label="If the weather turns">
      <h3>If the weather turns</h3>
      <ul>
        {wetDays.map((day) => (
          <li key={day.date}>
            No spraying on {dateWords(day.date)}: {goesOn(day)}
            {day.others > 0 ? `, ${day.others} more move` : ''}; {thenWords(day)}.
          </li>
        ))}
      </ul>
    </section>
  );
}

/** What it means for the end. */
function thenWords({ to, laterMinutes, moreLateMinutes }: WetDay): string {
  if (to === null) return 'a roof to spray under, or a brush instead, would help';
  if (laterMinutes >= 720) return `all is ready ${waitWords(laterMinutes)} later`;
  return moreLateMinutes > 0 ? 'more is late' : 'nothing is ready later';
}

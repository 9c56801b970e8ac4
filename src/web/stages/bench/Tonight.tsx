import { formatMinutes } from '@core/kernel/formatMinutes';
import { type BenchDay, withinMinutes } from '@core/schedule/eveningsOf';
import { useLocale } from '../../app/projectStore';
import { dayWords, temperatureWords } from '../../app/words';
import { Swatch } from '../../ui/basics';
import styles from './bench.module.css';
import { clock } from './DryingLine';
import type { BenchState } from './useBench';

/** What is short enough for a spare moment, minutes. */
const SPARE_MINUTES = 20;
const MOST_SPARE = 5;

/** What is done next: today's tasks in order, else those of the next day on which something is done. */
export function Tonight(props: { state: BenchState; days: readonly BenchDay[] }) {
  const { state, days } = props;
  const { bench, schedule } = state;
  const locale = useLocale();
  const { now } = bench.problem;
  const next = days.find(({ blocks }) => blocks.some(({ end }) => end > now));
  const spare = withinMinutes(schedule, bench.jobs, now, SPARE_MINUTES);
  if (!next) return null;
  const blocks = next.blocks.filter(({ end }) => end > now);
  const first = blocks[0];
  const hour = first ? Number(clock(first.start, locale.timeZone).slice(0, 2)) : 18;
  const weather = bench.forecast(next.date).hours[hour];
  const isToday = next.date === bench.from;
  const name = isToday
    ? hour >= 17
      ? 'Tonight'
      : 'Today'
    : dayWords((first?.start ?? now) * 60_000, now * 60_000, locale.timeZone);
  let number = 0;
  return (
    <section className={styles.tonight} aria-label="What is next">
      <header>
        <h2>
          {name}
          {first
            ? `, ${clock(first.start, locale.timeZone)} to ${clock(blocks.at(-1)?.end ?? first.end, locale.timeZone)}`
            : ''}
        </h2>
        <p className="muted small">
          {formatMinutes(blocks.reduce((sum, { start, end }) => sum + end - start, 0))} of hands
          {weather
            ? ` · outdoors ${temperatureWords(weather.airC, locale.units)}, ${weather.humidityPercent} %${bench.forecast(next.date).source === 'simulated' ? ' (simulated)' : ''}`
            : ''}
        </p>
      </header>
      <ol>
        {blocks.map((block) => (
          <li key={block.id} data-session={block.tasks.length > 1 || undefined}>
            {block.setUpMinutes > 0 && (
              <small className="muted">
                set up {block.setUpMinutes} min, clean up {block.cleanUpMinutes} min, once
              </small>
            )}
            {block.tasks.map(({ job, start, end }) => {
              number += 1;
              return (
                <div key={`${job.task.id} ${start}`} className={styles.step}>
                  <span>{number}</span>
                  <div>
                    <b>
                      {job.color && <Swatch color={job.color} />} {job.title}
                    </b>
                    <small className="muted">
                      {bench.rows.find(({ id }) => id === job.task.rowId)?.name}
                      {job.hint ? `. ${job.hint}` : ''}
                    </small>
                  </div>
                  <span>{end - start > 0 ? `${end - start} min` : ''}</span>
                </div>
              );
            })}
          </li>
        ))}
      </ol>
      {spare.length > 0 && (
        <div className={styles.spare}>
          <h3>In twenty minutes</h3>
          <ul>
            {spare.slice(0, MOST_SPARE).map((job) => (
              <li key={job.task.id}>
                {job.title} <small className="muted">{job.task.runMinutes} min</small>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

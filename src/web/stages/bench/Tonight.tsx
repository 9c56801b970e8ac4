import type { StepRunRow } from '@core/model/rows';
import { type BenchJob, taskIdOf } from '@core/schedule/benchJobs';
import { handsWords } from '@core/schedule/benchWords';
import { type BenchBlock, type BenchDay, withinMinutes } from '@core/schedule/eveningsOf';
import { toFetch } from '@core/schedule/toFetch';
import { useMemo } from 'react';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import { useTick } from '../../app/useTick';
import { dayWords, temperatureWords } from '../../app/words';
import { Swatch } from '../../ui/Swatch';
import styles from './bench.module.css';
import { clock } from './benchTimes';
import { missingWords } from './Missing';
import { timerWords, workedMs } from './stepMinutes';
import type { BenchState } from './useBench';

/** What is short enough for a spare moment, minutes. */
const SPARE_MINUTES = 20;
const MOST_SPARE = 5;

const upperFirst = (words: string): string => `${words.charAt(0).toUpperCase()}${words.slice(1)}`;

/** What is done next: today's tasks in order, else those of the next day on which something is done. */
export function Tonight(props: {
  state: BenchState;
  days: readonly BenchDay[];
  /** Goes to a step; the plan is kept with it, so that it stays where it is. */
  onOpen: (job: BenchJob) => void;
}) {
  const { state, days } = props;
  const { bench, schedule } = state;
  const locale = useLocale();
  const { now } = bench.problem;
  const { stepRuns } = useRows();
  const plan = usePlan();
  const runs = useMemo(() => new Map(stepRuns.map((run) => [taskIdOf(run), run])), [stepRuns]);
  const nowMs = useTick([...runs.values()].some((run) => run.state === 'running'));
  const isAhead = ({ start, end, tasks }: BenchBlock) =>
    end > now || (start >= now && tasks.some(({ job }) => job.subject !== null && job.doneAt === null));
  const next = days.find((day) => day.blocks.some(isAhead));
  if (!next) return null;
  // What takes no planned time is to be done all the same: an old finish is tested for lead before anything else.
  const blocks = next.blocks.filter(isAhead);
  const listed = new Set(blocks.flatMap(({ tasks }) => tasks.map(({ job }) => job.task.id)));
  const spare = withinMinutes(schedule, bench.jobs, now, SPARE_MINUTES).filter(({ task }) => !listed.has(task.id));
  const first = blocks[0];
  const hour = first ? Number(clock(first.start, locale.timeZone).slice(0, 2)) : 18;
  const weather = bench.forecast(next.date).hours[hour];
  const isToday = next.date === bench.from;
  const name = isToday
    ? hour >= 17
      ? 'Tonight'
      : 'Today'
    : upperFirst(dayWords((first?.start ?? now) * 60_000, now * 60_000, locale.timeZone));
  const nameOf = ({ task }: BenchJob) => bench.rows.find(({ id }) => id === task.rowId)?.name ?? '';
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
          {handsWords(blocks.reduce((sum, { start, end }) => sum + end - start, 0))} of hands
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
                      {nameOf(job)}
                      {job.hint ? `. ${job.hint}` : ''}
                    </small>
                    <NotHere missing={toFetch(plan, job)} />
                  </div>
                  <StepAction
                    job={job}
                    run={runs.get(job.task.id)}
                    nowMs={nowMs}
                    minutes={end - start}
                    onBegin={() => props.onOpen(job)}
                  />
                </div>
              );
            })}
          </li>
        ))}
      </ol>
      {spare.length > 0 && (
        <div className={styles.spare}>
          <h3>Also, in twenty minutes</h3>
          <ul>
            {spare.slice(0, MOST_SPARE).map((job) => (
              <li key={job.task.id}>
                <button type="button" onClick={() => props.onOpen(job)}>
                  {job.title}{' '}
                  <small className="muted">
                    {nameOf(job)}, {job.task.runMinutes} min
                  </small>
                </button>
              </li>
            ))}
          </ul>
        </div>
      )}
    </section>
  );
}

/** What a step waits for that nobody has fetched. */
function NotHere({ missing }: { missing: ReturnType<typeof toFetch> }) {
  return missing.length === 0 ? null : <small className={styles.notHere}>not here: {missingWords(missing)}</small>;
}

/** The way to a step: start it, or see its timer. */
function StepAction(props: {
  job: BenchJob;
  run: StepRunRow | undefined;
  nowMs: number;
  minutes: number;
  onBegin: () => void;
}) {
  const { job, run, minutes } = props;
  if (!job.subject) return <span className="muted">{minutes > 0 ? `${minutes} min` : ''}</span>;
  const words =
    run?.state === 'done'
      ? 'done'
      : run
        ? timerWords(workedMs(run, props.nowMs))
        : minutes > 0
          ? `${minutes} min`
          : 'open';
  return (
    <button
      type="button"
      className={styles.stepAction}
      data-state={run?.state}
      aria-label={`${run ? 'Open' : 'Start'}: ${job.title}, ${words}`}
      onClick={props.onBegin}
    >
      {words}
    </button>
  );
}

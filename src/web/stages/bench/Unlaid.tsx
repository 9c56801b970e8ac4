import { placeOutdoors } from '@core/calendar/weather/placeOutdoors';
import type { BenchJob } from '@core/schedule/benchJobs';
import { mostlyWords, waitWords } from '@core/schedule/benchWords';
import { type NoHourOutdoors, noHourOutdoors } from '@core/schedule/noHourOutdoors';
import { whyUnlaid } from '@core/schedule/whyUnlaid';
import { Button } from 'antd';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useCommands, useRows } from '../../app/projectStore';
import styles from './bench.module.css';
import type { BenchState } from './useBench';

/** What found no time, why, and what can be done about it. */
export function Unlaid({ state }: { state: BenchState }) {
  const { bench, schedule } = state;
  return whyUnlaid(bench.problem, schedule, bench.jobs).map((why) => {
    const job = why.kind === 'nobody' ? undefined : bench.jobs.get(why.taskId);
    if (why.kind === 'outdoors' && job) return <NoHour key={why.kind} state={state} job={job} />;
    return (
      <p key={why.kind} className={styles.warn} role="alert">
        {why.kind === 'nobody' && 'Nobody has hours to work: say when you work under '}
        {why.kind === 'tooShort' &&
          `${job?.title}: it takes ${waitWords(why.minutes)} in one go, and your longest hours are ${waitWords(why.longestMinutes)}. Longer ones are said under `}
        {why.kind === 'other' && `${job?.title}: what it waits for never leaves it time. Give it more hours under `}
        <Link to="hours">Hours and places</Link>.
      </p>
    );
  });
}

/** No hour in the open allows it: what forbids them, whether a roof would do, and the ways on. */
function NoHour({ state, job }: { state: BenchState; job: BenchJob }) {
  const { bench } = state;
  const { project } = useRows();
  const { run } = useCommands();
  const { workshop } = project;
  const why = useMemo(
    () =>
      noHourOutdoors(bench.forecast, job.step?.limits ?? null, placeOutdoors(workshop), {
        from: bench.from,
        days: bench.days,
      }),
    [bench, job, workshop],
  );
  const recipeId = job.subject?.recipeId;
  const helps = why?.helps;
  return (
    <p className={styles.warn} role="alert">
      <b>{job.title}</b>: no hour outdoors allows it in the {bench.days} days ahead
      {why ? `, mostly since ${mostlyWords[why.mostly]}. ` : ' within your hours. '}
      {helps && (
        <Button
          size="small"
          onClick={() => run('editProject', { id: project.id, values: { workshop: { ...workshop, ...helps } } })}
        >
          {helpsWords(helps)}
        </Button>
      )}
      {why && !helps && 'Neither a roof nor carrying it in would change that; warmer weeks, or a brush, would. '}
      {recipeId && <Link to={`../makeover/${recipeId}`}>Lay it another way</Link>} ·{' '}
      <Link to="hours">Type a better forecast, or other hours</Link>
    </p>
  );
}

/** What would leave an hour outdoors, as somebody says that it is so. */
function helpsWords({ hasShelter, carriesIn }: NonNullable<NoHourOutdoors['helps']>): string {
  if (!carriesIn) return 'There is a roof to spray under';
  return hasShelter ? 'There is a roof, and it is carried in to dry' : 'It is carried in to dry';
}

import { placeOutdoors } from '@core/calendar/weather/placeOutdoors';
import { formatMinutes } from '@core/kernel/formatMinutes';
import type { BenchJob } from '@core/schedule/benchJobs';
import { decidesWords, mostlyWords, waitWords } from '@core/schedule/benchWords';
import { capUse } from '@core/schedule/busyHours';
import type { DecidingChain } from '@core/schedule/decidingChain';
import { type NoHourOutdoors, noHourOutdoors } from '@core/schedule/noHourOutdoors';
import { whyUnlaid } from '@core/schedule/whyUnlaid';
import { Button } from 'antd';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useCommands, usePlan, useRows } from '../../app/projectStore';
import styles from './bench.module.css';
import type { BenchState } from './useBench';
import { useMoments } from './useMoments';

/** Less than this of a week's hours is of no use. */
const LEFT_OVER_MINUTES = 30;

/** In one breath: when all is ready, how far that is from the reveal, what decides it, how many brush-outs it takes. */
export function Lead(props: {
  state: BenchState;
  chain: DecidingChain | null;
  ready: ReadonlyMap<string, number | null>;
  rowNameOf: (taskId: string | undefined) => string;
}) {
  const { state, chain, ready, rowNameOf } = props;
  const plan = usePlan();
  const { bench, schedule } = state;
  const { day } = useMoments(bench.problem.now);
  const lateMinutes = lateOf(bench, ready);
  return (
    <>
      <p className={styles.lead}>
        <b>
          {schedule.unlaid.length > 0
            ? `No time was found for ${schedule.unlaid.length} of ${bench.problem.tasks.length}.`
            : `All usable ${day(schedule.score.end)}${lateMinutes > 0 ? `, ${waitWords(lateMinutes)} late` : plan.rows.project.revealDate ? `; ${inHand(bench, schedule.score.end)} in hand` : ''}.`}
        </b>{' '}
        {chain &&
          schedule.unlaid.length === 0 &&
          decidesWords(chain, bench.jobs, rowNameOf(chain.links.at(-1)?.taskId))}{' '}
        {schedule.sessions.length > 0 &&
          `${schedule.sessions.length} brush-outs for ${schedule.sessions.reduce((sum, one) => sum + one.taskIds.length, 0)} coats.`}
      </p>
      {lateMinutes > 0 && schedule.unlaid.length === 0 && <UsedUp state={state} />}
      {schedule.unlaid.length > 0 && <Unlaid state={state} />}
    </>
  );
}

/** How late the latest deliverable is, minutes. */
function lateOf({ problem }: BenchState['bench'], ready: ReadonlyMap<string, number | null>): number {
  return Math.max(
    0,
    ...problem.deliverables.map(({ id, due }) => (due === null ? 0 : (ready.get(id) ?? problem.now) - due)),
  );
}

function inHand({ problem }: BenchState['bench'], end: number): string {
  const due = problem.deliverables.find((one) => one.due !== null)?.due ?? end;
  const days = Math.max(0, Math.floor((due - end) / 1440));
  return `${days} ${days === 1 ? 'day' : 'days'}`;
}

/** What found no time, why, and what can be done about it. */
function Unlaid({ state }: { state: BenchState }) {
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

/** Why evenings stay empty while things are late: the brief gives only so many hours a week. */
function UsedUp({ state }: { state: BenchState }) {
  const { bench, schedule } = state;
  const { project } = useRows();
  const due = bench.problem.deliverables.find((one) => one.due !== null)?.due ?? schedule.score.end;
  const weeks = useMemo(() => {
    const [own] = bench.problem.workers;
    return own ? capUse(bench.problem, schedule, own).filter(({ start }) => start < due) : [];
  }, [bench, schedule, due]);
  const full = weeks.filter(({ minutes, usedMinutes }) => minutes - usedMinutes < LEFT_OVER_MINUTES);
  if (full.length === 0) return null;
  const given = weeks.reduce((sum, { minutes }) => sum + minutes, 0);
  const used = weeks.reduce((sum, { usedMinutes }) => sum + usedMinutes, 0);
  return (
    <p className="muted">
      The <Link to={`/p/${project.id}/brief`}>brief</Link> gives {formatMinutes(given)} until the reveal, and{' '}
      {used >= given ? 'all of them are planned' : `${formatMinutes(used)} of them are planned`}: {full.length} of{' '}
      {weeks.length} weeks are full, so evenings stay empty though there is something to do. Alone, each piece would be
      ready sooner, as the purse says.
    </p>
  );
}

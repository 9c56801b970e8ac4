import type { BenchJob } from '@core/schedule/benchJobs';
import type { Bench } from '@core/schedule/benchOfPlan';
import type { BenchSchedule } from '@core/schedule/benchProblem';
import type { Drying } from '@core/schedule/dryingNow';
import { blocksOf } from '@core/schedule/eveningsOf';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useTick } from '../../app/useTick';
import { Empty } from '../../ui/basics';
import { later } from '../../ui/later';
import { Swatch } from '../../ui/Swatch';
import { LayOut } from './LayOut';
import { StepCautions, useStepCautions } from './StepCautions';
import styles from './step.module.css';
import { timerWords, workedMs } from './stepMinutes';
import { useAwake } from './useAwake';
import { useBench } from './useBench';
import { useDrying } from './useDrying';
import { useMoments } from './useMoments';
import { useSteps } from './useSteps';

// What is said of a step once it is at hand, done or wrong; what is read before it is there at once.
const Amounts = later(async () => (await import('./Amounts')).Amounts);
const LogLine = later(async () => (await import('./LogLine')).LogLine);
const StepPictures = later(async () => (await import('./StepPictures')).StepPictures);
const StepWho = later(async () => (await import('./StepWho')).StepWho);
const TellAfterwards = later(async () => (await import('./TellAfterwards')).TellAfterwards);
const WentWrong = later(async () => (await import('./WentWrong')).WentWrong);

/** One step fills the screen: what to lay out, what to mind, a timer, and three buttons that a painted thumb hits. */
export function StepPage() {
  const [search] = useSearchParams();
  const { bench, schedule } = useBench(false);
  const job = bench.jobs.get(search.get('task') ?? '');
  if (!job?.subject)
    return (
      <main className={shell.page}>
        <Empty title="This step is not planned any more">
          <p>
            Its recipe was changed, or it is not chosen any more. What was logged of it stays in the log.{' '}
            <Link to="../bench">Back to the bench</Link>
          </p>
        </Empty>
      </main>
    );
  return <Runner key={job.task.id} bench={bench} schedule={schedule} job={job} />;
}

function Runner(props: { bench: Bench; schedule: BenchSchedule; job: BenchJob }) {
  const { bench, schedule, job } = props;
  const rows = useRows();
  const steps = useSteps(schedule);
  const stepRun = steps.runOf(job.task.id);
  // As many hands as were planned for it, until somebody says otherwise.
  const planned = 1 + (schedule.tasks.find(({ taskId }) => taskId === job.task.id)?.helperIds.length ?? 0);
  const [wanted, setWanted] = useState<number | null>(null);
  const people = stepRun?.people ?? wanted ?? planned;
  const isRunning = stepRun?.state === 'running';
  const isDone = stepRun?.state === 'done';
  const now = useTick(isRunning);
  const [isWrong, setWrong] = useState(false);
  const [isTelling, setTelling] = useState(false);
  useAwake(isRunning);
  const { findings, unread } = useStepCautions(job);
  const drying = useDrying(bench);
  const { clock } = useMoments(bench.problem.now);
  const blocks = useMemo(() => blocksOf(schedule, bench.jobs), [schedule, bench]);
  const next = useMemo(() => {
    const order = blocks.flatMap(({ tasks }) => tasks.map((one) => one.job));
    const at = order.findIndex(({ task }) => task.id === job.task.id);
    return order.slice(at + 1).find(({ task, subject }) => subject !== null && steps.runOf(task.id)?.state !== 'done');
  }, [blocks, job, steps]);
  const nameOf = (rowId: string) => bench.rows.find(({ id }) => id === rowId)?.name ?? '';
  const entry = rows.logEntries.find(({ id }) => id === stepRun?.logId);
  return (
    <main className={styles.page}>
      <p className={styles.back}>
        <Link to="../bench">Bench</Link> <span className="muted">{nameOf(job.task.rowId)}</span>
      </p>
      <h1>
        {job.color && <Swatch color={job.color} />} {job.title}
      </h1>
      {job.hint && <p className={styles.hint}>{job.hint.charAt(0).toUpperCase() + job.hint.slice(1)}.</p>}
      {!isDone && <LayOut job={job} />}
      {!isDone && <StepCautions findings={findings} recipeId={job.subject?.recipeId ?? null} />}
      <div className={styles.clock} role="timer" aria-label="Time at this step">
        {timerWords(stepRun ? workedMs(stepRun, now) : 0)}
      </div>
      <p className={styles.planned}>
        {plannedWords(job.task.fixed && entry ? Math.round(entry.expectedMinutes) : job.task.runMinutes, people)}
        {isRunning && stepRun.by !== '' ? `, ${stepRun.by} is at it` : ''}
        {stepRun?.state === 'paused' ? ', paused' : ''}
        {isDone ? `, done ${clock(job.doneAt ?? bench.problem.now)}` : ''}
      </p>
      {isDone && <Dries own={drying.find(({ taskId }) => taskId === job.task.id)} now={bench.problem.now} />}
      {isDone && entry && (
        <LogLine
          entry={entry}
          amounts={<Amounts job={job} entryId={entry.id} />}
          isOpen
          hasCoats={job.step?.kind === 'coat'}
        />
      )}
      {!isDone && (rows.project.workshop.helpers.length > 0 || people > 1 || stepRun?.by) && (
        <StepWho
          stepRun={stepRun}
          people={people}
          onPeople={(count) => (stepRun ? steps.tell(stepRun, { people: count }) : setWanted(count))}
          onBy={(by) => stepRun && steps.tell(stepRun, { by })}
        />
      )}
      {isTelling && !isDone && (
        <TellAfterwards
          job={job}
          people={people}
          onTold={(minutes, people) => {
            steps.finish(job, { minutes, people });
            setTelling(false);
          }}
        />
      )}
      {isWrong && stepRun && (
        <WentWrong
          job={job}
          stepRun={stepRun}
          onSaid={() => setWrong(false)}
          finish={(problem) => {
            steps.finish(job, { minutes: null, people }, { wrong: problem });
          }}
        />
      )}
      {stepRun && <StepPictures stepRun={stepRun} />}
      <div className={styles.buttons}>
        {isDone && stepRun ? (
          <>
            <Button size="large" onClick={() => steps.reopen(stepRun)}>
              Not done after all
            </Button>
            {!isWrong && (
              <Button size="large" onClick={() => setWrong(true)}>
                Went wrong
              </Button>
            )}
            {next && (
              <Link className={styles.next} to={`?task=${encodeURIComponent(next.task.id)}`}>
                <span className="visually-hidden">Next: </span>
                <span aria-hidden="true">Next</span>
                <small>
                  {next.title}, {nameOf(next.task.rowId)}
                </small>
              </Link>
            )}
          </>
        ) : isRunning && stepRun ? (
          <>
            <Button size="large" onClick={() => steps.pause(stepRun)}>
              Pause
            </Button>
            <Button size="large" onClick={() => setWrong(true)} disabled={isWrong}>
              Went wrong
            </Button>
            <Button size="large" type="primary" onClick={() => steps.finish(job, { minutes: null, people })}>
              Done
            </Button>
          </>
        ) : (
          <>
            <Button size="large" onClick={() => setTelling(true)} disabled={isTelling || unread > 0}>
              It is done already
            </Button>
            <Button size="large" type="primary" disabled={unread > 0} onClick={() => steps.begin(job, people)}>
              {unread > 0 ? 'Read the stop first' : stepRun ? 'Go on' : 'Start'}
            </Button>
          </>
        )}
      </div>
    </main>
  );
}

/** What was planned of it: "planned 16 min"; with several people the time of each. */
function plannedWords(minutes: number, people: number): string {
  if (minutes === 0) return 'no time planned for it';
  return people === 1
    ? `planned ${minutes} min`
    : `planned ${minutes} min of hands, ${Math.ceil(minutes / people)} each`;
}

/** What dries till when; nothing where it does not dry. */
function Dries({ own, now }: { own: Drying | undefined; now: number }) {
  const { soon } = useMoments(now);
  if (!own) return null;
  return (
    <dl className={styles.dries}>
      <div>
        <dt>Dry to touch</dt>
        <dd>{soon(own.touch)}</dd>
      </div>
      {own.next && (
        <div>
          <dt>Next: {own.next.title}</dt>
          <dd>
            from {soon(own.next.from)}
            {own.next.until !== null && ` to ${soon(own.next.until)}`}
          </dd>
        </div>
      )}
      <div>
        <dt>Handle</dt>
        <dd>{soon(own.handle)}</dd>
      </div>
    </dl>
  );
}

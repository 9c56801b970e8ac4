import { acknowledgmentTrigger } from '@core/plan/acknowledgment';
import { cautionsAt } from '@core/recipe/recipeFindings';
import type { BenchJob } from '@core/schedule/benchJobs';
import type { Bench } from '@core/schedule/benchOfPlan';
import type { BenchSchedule } from '@core/schedule/benchProblem';
import { waitWords } from '@core/schedule/benchWords';
import { dryingNow } from '@core/schedule/dryingNow';
import { blocksOf } from '@core/schedule/eveningsOf';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty, Swatch } from '../../ui/basics';
import { NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';
import { Caution } from '../makeover';
import { Amounts } from './Amounts';
import { clock } from './benchTimes';
import { DryAlarms } from './DryAlarms';
import { LayOut } from './LayOut';
import { LogLine } from './LogLine';
import styles from './step.module.css';
import { timerWords, workedMs } from './stepMinutes';
import { useAwake } from './useAwake';
import { useBench } from './useBench';
import { useSteps } from './useSteps';
import { useTick } from './useTick';
import { WentWrong } from './WentWrong';
import { sayWhoIsAtIt, whoIsAtIt } from './whoIsAtIt';

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
  const locale = useLocale();
  const steps = useSteps(schedule);
  // As many hands as were planned for it; the line of the log can say otherwise.
  const people = 1 + (schedule.tasks.find(({ taskId }) => taskId === job.task.id)?.helperIds.length ?? 0);
  const stepRun = steps.runOf(job.task.id);
  const isRunning = stepRun?.state === 'running';
  const isDone = stepRun?.state === 'done';
  const now = useTick(isRunning);
  const [isWrong, setWrong] = useState(false);
  const [isTelling, setTelling] = useState(false);
  useAwake(isRunning);
  const unread = useUnreadStops(job);
  const blocks = useMemo(() => blocksOf(schedule, bench.jobs), [schedule, bench]);
  const next = useMemo(() => {
    const order = blocks.flatMap(({ tasks }) => tasks.map((one) => one.job));
    const at = order.findIndex(({ task }) => task.id === job.task.id);
    return order.slice(at + 1).find(({ task, subject }) => subject !== null && steps.runOf(task.id)?.state !== 'done');
  }, [blocks, job, steps]);
  const rowName = bench.rows.find(({ id }) => id === job.task.rowId)?.name ?? '';
  const entry = rows.logEntries.find(({ id }) => id === stepRun?.logId);
  return (
    <main className={styles.page}>
      <DryAlarms bench={bench} nowMs={now} />
      <p className={styles.back}>
        <Link to="../bench">Bench</Link> <span className="muted">{rowName}</span>
      </p>
      <h1>
        {job.color && <Swatch color={job.color} />} {job.title}
      </h1>
      {job.hint && <p className={styles.hint}>{job.hint.charAt(0).toUpperCase() + job.hint.slice(1)}.</p>}
      {!isDone && <LayOut job={job} />}
      {!isDone && <Cautions job={job} />}
      <div className={styles.clock} role="timer" aria-label="Time at this step">
        {timerWords(stepRun ? workedMs(stepRun, now) : 0)}
      </div>
      <p className={styles.planned}>
        planned {job.task.fixed ? Math.round(entry?.expectedMinutes ?? job.task.runMinutes) : job.task.runMinutes} min
        {isRunning && stepRun.by !== '' ? `, ${stepRun.by} is at it` : ''}
        {stepRun?.state === 'paused' ? ', paused' : ''}
        {isDone ? `, done ${clock(Math.round((stepRun.doneMs ?? 0) / 60_000), locale.timeZone)}` : ''}
      </p>
      {isDone && <Dries bench={bench} job={job} />}
      {isDone && entry && (
        <LogLine
          entry={entry}
          amounts={<Amounts job={job} entryId={entry.id} />}
          isOpen
          hasCoats={job.step?.kind === 'coat'}
        />
      )}
      {!stepRun && rows.project.workshop.helpers.length > 0 && <Who />}
      {isTelling && !isDone && (
        <TellAfterwards
          job={job}
          onTold={(minutes, people) => {
            steps.finish(job, { minutes, people });
            setTelling(false);
          }}
        />
      )}
      {isWrong && stepRun && (
        <WentWrong
          job={job}
          onSaid={() => setWrong(false)}
          finish={(problem) => {
            if (!isDone) steps.finish(job, { minutes: null, people }, { wrong: problem });
          }}
        />
      )}
      <div className={styles.buttons}>
        {isDone && stepRun ? (
          <>
            <Button size="large" onClick={() => steps.reopen(stepRun)}>
              Not done after all
            </Button>
            {!isWrong && job.step?.kind === 'coat' && (
              <Button size="large" onClick={() => setWrong(true)}>
                Went wrong
              </Button>
            )}
            {next && (
              <Link className={styles.next} to={`?task=${encodeURIComponent(next.task.id)}`}>
                Next: {next.title}
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
            <Button size="large" type="primary" disabled={unread > 0} onClick={() => steps.begin(job)}>
              {unread > 0 ? 'Read the stop first' : stepRun ? 'Go on' : 'Start'}
            </Button>
          </>
        )}
      </div>
    </main>
  );
}

/** The cautions of the step; a stop is acknowledged before it is begun. */
function Cautions({ job }: { job: BenchJob }) {
  const plan = usePlan();
  const recipeId = job.subject?.recipeId ?? null;
  const recipe = recipeId === null ? undefined : plan.model.recipe(recipeId);
  if (!recipe || !job.step || recipeId === null) return null;
  const findings = cautionsAt(recipe, job.step.id);
  return (
    <>
      {findings.map((finding) => (
        <Caution key={finding.code} finding={finding} recipeId={recipeId} />
      ))}
    </>
  );
}

/** How many stops of the step nobody has read yet: it is not begun before. */
function useUnreadStops(job: BenchJob): number {
  const plan = usePlan();
  const { acknowledgments } = useRows();
  const recipeId = job.subject?.recipeId ?? null;
  const recipe = recipeId === null ? undefined : plan.model.recipe(recipeId);
  if (!recipe || !job.step) return 0;
  const read = new Set(acknowledgments.filter((one) => one.recipeId === recipeId).map(({ trigger }) => trigger));
  return cautionsAt(recipe, job.step.id).filter(
    (finding) => finding.severity === 'stop' && !read.has(acknowledgmentTrigger(finding)),
  ).length;
}

/** What dries till when. */
function Dries({ bench, job }: { bench: Bench; job: BenchJob }) {
  const locale = useLocale();
  const own = dryingNow(bench.jobs, bench.problem.now + 5).find(({ taskId }) => taskId === job.task.id);
  if (!own) return null;
  const at = (minute: number) => clock(minute, locale.timeZone);
  return (
    <dl className={styles.dries}>
      <div>
        <dt>Dry to touch</dt>
        <dd>{at(own.touch)}</dd>
      </div>
      {own.next && (
        <div>
          <dt>Next: {own.next.title}</dt>
          <dd>
            from {at(own.next.from)}
            {own.next.until !== null && ` to ${at(own.next.until)}`}
          </dd>
        </div>
      )}
      <div>
        <dt>Handle</dt>
        <dd>{waitWords(own.handle - bench.problem.now)}</dd>
      </div>
    </dl>
  );
}

/** Who is at it, where there are several: kept on the device, and written with each step that it begins. */
function Who() {
  const { project } = useRows();
  const [name, setName] = useState(whoIsAtIt);
  return (
    <TypedField
      label="Who is at it"
      value={name}
      show={(value) => value}
      read={(text) => ({ ok: true, value: text.slice(0, 60) })}
      known={project.workshop.helpers.map((helper) => helper.name)}
      hint="kept on this device"
      onCommit={(value) => {
        sayWhoIsAtIt(value);
        setName(value);
      }}
    />
  );
}

/** What a step took that nobody timed. */
function TellAfterwards(props: { job: BenchJob; onTold: (minutes: number, people: number) => void }) {
  const [minutes, setMinutes] = useState(props.job.task.runMinutes);
  const [people, setPeople] = useState(1);
  return (
    <section className={styles.tell} aria-label="How long it took">
      <SideBySide across={2}>
        <NumberField label="It took, minutes" value={minutes} least={0} most={6000} onCommit={setMinutes} autoFocus />
        <NumberField label="People" value={people} least={1} most={12} whole onCommit={setPeople} />
      </SideBySide>
      <Button type="primary" size="large" onClick={() => props.onTold(minutes * people, people)}>
        Log it
      </Button>
    </section>
  );
}

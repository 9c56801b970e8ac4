import { formatMinutes } from '@core/kernel/formatMinutes';
import { listed } from '@core/kernel/listed';
import type { BenchSubject } from '@core/model/values/benchSubject';
import type { BenchJob } from '@core/schedule/benchJobs';
import type { Stretch } from '@core/schedule/benchProblem';
import { decidesWords, lowerFirst, notThereWords, waitWords } from '@core/schedule/benchWords';
import { decidingChain } from '@core/schedule/decidingChain';
import { type BenchBlock, blocksOf, daysOf } from '@core/schedule/eveningsOf';
import { keptOf, moveTasks } from '@core/schedule/moveTasks';
import { readyMoments } from '@core/schedule/scoreOf';
import { whyNotThere } from '@core/schedule/whyNotThere';
import { Button, Progress } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import { saveFile } from '../../app/saveFile';
import shell from '../../app/shell.module.css';
import { dateWords, dayWords } from '../../app/words';
import { Empty, LinkButton } from '../../ui/basics';
import { TabbedParts } from '../../ui/TabbedParts';
import { AtHand } from './AtHand';
import { BlockSheet } from './BlockSheet';
import styles from './bench.module.css';
import { Chain } from './Chain';
import { clock, DryingLine, type RowWords } from './DryingLine';
import { Evenings } from './Evenings';
import { Helps } from './Helps';
import { Tonight } from './Tonight';
import { useBench } from './useBench';

type Part = 'line' | 'evenings' | 'why';

/** The bench: what is done when, tonight first; a plan that works inside the drying time. */
export function BenchPage() {
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const state = useBench();
  const navigate = useNavigate();
  const { bench, schedule, graph } = state;
  const [part, setPart] = useState<Part>('line');
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const [movedWords, setMovedWords] = useState<string | null>(null);
  const blocks = useMemo(() => blocksOf(schedule, bench.jobs), [schedule, bench]);
  const days = useMemo(() => daysOf(blocks, locale.timeZone), [blocks, locale.timeZone]);
  const chain = useMemo(() => decidingChain(bench.problem, schedule), [bench, schedule]);
  const { now } = bench.problem;
  const day = useCallback(
    (minute: number) => dayWords(minute * 60_000, now * 60_000, locale.timeZone),
    [now, locale.timeZone],
  );
  const moment = (minute: number) => `${day(minute)} ${clock(minute, locale.timeZone)}`;
  const ready = useMemo(() => readyMoments(bench.problem, schedule.tasks), [bench, schedule]);
  const rows = useMemo((): RowWords[] => {
    const shown = new Set(blocks.flatMap(({ tasks }) => tasks.map(({ job }) => job.task.rowId)));
    return bench.rows
      .filter(({ id }) => shown.has(id))
      .map((row) => {
        const own = plan.chosen.filter(
          ({ model }) => model.option.id === row.ofId || (row.kind === 'recipe' && model.recipe?.recipeId === row.ofId),
        );
        const moments = own.map(({ model }) => ready.get(model.option.id) ?? null).filter((moment) => moment !== null);
        const words = moments.length > 0 ? `usable ${day(Math.max(...moments))}` : '';
        return { row, words };
      });
  }, [bench, blocks, ready, plan.chosen, day]);

  const keep = (places: ReturnType<typeof keptOf>, why: 'kept' | 'moved' | 'better') =>
    run('keepBench', {
      id: crypto.randomUUID(),
      madeAtMs: plan.asOfMs,
      why,
      placed: places.flatMap(({ taskId, start, end, isPinned }) => {
        const subject: BenchSubject | null = bench.jobs.get(taskId)?.subject ?? null;
        return subject ? [{ ...subject, atMs: start * 60_000, untilMs: end * 60_000, pinned: isPinned }] : [];
      }),
    });
  const move = (block: BenchBlock, to: Stretch) => {
    const taskIds = block.tasks.map(({ job }) => job.task.id);
    const titles = listed(block.tasks.map(({ job }) => lowerFirst(job.title)));
    const moved = moveTasks(bench.problem, { schedule, pinned: state.pinned }, taskIds, to, graph);
    if (moved.start === null) {
      setMovedWords(`There is no time for ${titles} from there on. Nothing was moved.`);
      return;
    }
    const others = moved.others === 0 ? 'nothing else moves' : `${moved.others} more move with it`;
    const later =
      moved.laterMinutes > 720
        ? `; all is ready ${waitWords(moved.laterMinutes)} later`
        : moved.laterMinutes < -720
          ? `; all is ready ${waitWords(-moved.laterMinutes)} sooner`
          : '';
    setMovedWords(
      moved.isThere
        ? `Moved to ${day(moved.start)}: ${others}${later}.`
        : `It cannot be done ${day(to.start)}: ${notThereWords(whyNotThere(bench.problem, schedule, taskIds, to), bench.jobs, moment)}. It lies ${moment(moved.start)} now; ${others}${later}.`,
    );
    keep(moved.kept, 'moved');
  };
  /** Goes to a step; what is shown is kept with it, so that it stays where it is while it is worked by. */
  const open = (job: BenchJob) => {
    if (!state.isKept) keep(keptOf(schedule), 'kept');
    navigate(`step?task=${encodeURIComponent(job.task.id)}`);
  };

  if (bench.problem.tasks.length === 0)
    return (
      <main className={shell.page}>
        <Empty title="Nothing to do at the bench">
          <p>
            The bench plans what is chosen: makeovers, things to make, set up or fetch, and what a spot needs first.
            Choose on the <Link to="../compare">board</Link>; done recipes are not planned again.
          </p>
        </Empty>
        <LinkButton to="hours">Hours and places</LinkButton>
      </main>
    );
  if (state.faults.length > 0)
    return (
      <main className={shell.page}>
        <h1>The bench</h1>
        <p className={styles.warn} role="alert">
          The plan did not pass its check ({[...new Set(state.faults.map(({ kind }) => kind))].join(', ')} at{' '}
          {bench.jobs.get(state.faults[0]?.taskId ?? '')?.title ?? 'a step'}), so it is not shown. Nothing of what is
          done or logged is touched.
        </p>
        {state.isKept && (
          <Button onClick={() => run('letBenchGo', { id: plan.rows.benchPlans[0]?.id ?? '' })}>Plan anew</Button>
        )}
      </main>
    );
  const saveCalendar = async () => {
    const { benchCalendar } = await import('@core/formats/calendar/benchDays');
    const nameOf = (rowId: string) => bench.rows.find(({ id }) => id === rowId)?.name ?? '';
    const text = benchCalendar(plan.rows.project.name, blocks, nameOf, plan.asOfMs);
    saveFile(`${plan.rows.project.name} bench.ics`, 'text/calendar', text);
  };
  const lateMinutes = lateOf(bench, ready);
  const unlaid = schedule.unlaid.flatMap((id) => bench.jobs.get(id)?.title ?? []);
  const lastDate = days.at(-1)?.date ?? bench.from;
  return (
    <main className={styles.page}>
      <section className={styles.plan}>
        <div className={styles.head}>
          <h1>
            The bench, {dateWords(bench.from).split(', ')[1]} to {dateWords(lastDate).split(', ')[1]}
          </h1>
          <span className={styles.links}>
            <LinkButton to="log">The log</LinkButton>
            <LinkButton to="hours">Hours and places</LinkButton>
          </span>
        </div>
        <p className={styles.lead}>
          <b>
            {unlaid.length > 0
              ? `No time was found for ${unlaid.length} of ${bench.problem.tasks.length}.`
              : `All usable ${day(schedule.score.end)}${lateMinutes > 0 ? `, ${waitWords(lateMinutes)} late` : plan.rows.project.revealDate ? `; ${inHand(bench, schedule.score.end)} in hand` : ''}.`}
          </b>{' '}
          {chain && unlaid.length === 0 && decidesWords(chain, bench.jobs, rowNameOf(chain.links.at(-1)?.taskId))}{' '}
          {schedule.sessions.length > 0 &&
            `${schedule.sessions.length} brush-outs for ${schedule.sessions.reduce((sum, one) => sum + one.taskIds.length, 0)} coats.`}
        </p>
        {unlaid.length > 0 && <Unlaid state={state} />}
        <div className={styles.acts}>
          {state.isKept ? (
            <Button size="small" onClick={() => run('letBenchGo', { id: plan.rows.benchPlans[0]?.id ?? '' })}>
              Plan anew
            </Button>
          ) : (
            <Button size="small" type="primary" onClick={() => keep(keptOf(schedule), 'kept')}>
              Keep this plan
            </Button>
          )}
          <span className="muted small">
            {state.isKept
              ? state.moved > 0
                ? `Kept; ${state.moved} had to move since.`
                : 'Kept: it stays as it is, and moves only what must.'
              : 'Not kept yet: it is planned anew as things change.'}
          </span>
          {state.progress !== null && (
            <span className={styles.search} role="status">
              <Progress percent={Math.round(state.progress * 100)} size="small" showInfo={false} />
              <Button size="small" type="text" onClick={state.stop}>
                Stop looking
              </Button>
            </span>
          )}
        </div>
        <TabbedParts<Part>
          open={part}
          onOpen={setPart}
          parts={[
            {
              id: 'line',
              name: 'Drying line',
              content: () => (
                <>
                  <DryingLine
                    state={state}
                    blocks={blocks}
                    rows={rows}
                    selectedId={selectedId}
                    onSelect={setSelectedId}
                    onMove={move}
                  />
                  <p className="muted small">
                    Solid: hands at work. Dashed: drying. Frames across: one session, one brush-out. Drag a session to
                    another day, or press it to move it by name.
                  </p>
                </>
              ),
            },
            {
              id: 'evenings',
              name: 'Day by day',
              content: () => (
                <Evenings days={days} today={bench.from} onSelect={setSelectedId} selectedId={selectedId} />
              ),
            },
            {
              id: 'why',
              name: 'What decides',
              content: () => <Chain chain={chain} state={state} rowNameOf={rowNameOf} />,
            },
          ]}
        />
        <Helps helps={state.helps} />
        <p>
          <Button size="small" onClick={saveCalendar}>
            Save as a calendar file
          </Button>
        </p>
      </section>
      <aside className={styles.side}>
        {state.better && (
          <p className={styles.better} role="status">
            A better plan: {betterWords(schedule.score, state.better.score)}.{' '}
            <Button size="small" onClick={() => keep(keptOf(state.better ?? schedule), 'better')}>
              Take it
            </Button>
          </p>
        )}
        {movedWords && (
          <p className={styles.better} role="status">
            {movedWords}{' '}
            <Button size="small" type="text" onClick={() => setMovedWords(null)}>
              Put away
            </Button>
          </p>
        )}
        {selectedId && (
          <BlockSheet
            block={blocks.find(({ id }) => id === selectedId) ?? null}
            state={state}
            onMove={move}
            onClose={() => setSelectedId(null)}
          />
        )}
        <AtHand state={state} onOpen={open} />
        <Tonight state={state} days={days} onOpen={open} />
      </aside>
    </main>
  );

  function rowNameOf(taskId: string | undefined): string {
    const rowId = bench.jobs.get(taskId ?? '')?.task.rowId;
    return bench.rows.find(({ id }) => id === rowId)?.name ?? '';
  }
}

/** How late the latest deliverable is, minutes. */
function lateOf({ problem }: ReturnType<typeof useBench>['bench'], ready: ReadonlyMap<string, number | null>): number {
  return Math.max(
    0,
    ...problem.deliverables.map(({ id, due }) => (due === null ? 0 : (ready.get(id) ?? problem.now) - due)),
  );
}

function inHand({ problem }: ReturnType<typeof useBench>['bench'], end: number): string {
  const due = problem.deliverables.find((one) => one.due !== null)?.due ?? end;
  const days = Math.max(0, Math.floor((due - end) / 1440));
  return `${days} ${days === 1 ? 'day' : 'days'}`;
}

function betterWords(now: { lateMinutes: number; setUpMinutes: number; end: number }, then: typeof now): string {
  const words = [
    then.lateMinutes < now.lateMinutes ? 'less is late' : '',
    now.end - then.end > 720 ? `ready ${waitWords(now.end - then.end)} sooner` : '',
    then.setUpMinutes < now.setUpMinutes
      ? `${formatMinutes(now.setUpMinutes - then.setUpMinutes)} less to set up and clean`
      : '',
  ].filter((word) => word !== '');
  return words.length > 0 ? listed(words) : 'a little sooner';
}

/** What found no time, and what can be done about it. */
function Unlaid({ state }: { state: ReturnType<typeof useBench> }) {
  const { bench, schedule } = state;
  const jobs = schedule.unlaid.flatMap((id) => bench.jobs.get(id) ?? []);
  const weather = jobs.filter(({ task }) => task.hoursKey !== null);
  const hasHours = bench.problem.workers.some(({ windows }) => windows.length > 0);
  return (
    <p className={styles.warn} role="alert">
      {!hasHours
        ? 'Nobody has hours to work: say when you work under Hours and places.'
        : weather.length > 0
          ? `${weather[0]?.title}: no hour outdoors allows it in the ${bench.days} days ahead. Say that there is a roof to spray under, or type a better forecast, under Hours and places; or lay it with a brush in its recipe.`
          : `${jobs[0]?.title}: what it waits for never leaves it time. Give it more hours under Hours and places.`}
    </p>
  );
}

import { decidingChain } from '@core/schedule/decidingChain';
import { blocksOf, daysOf } from '@core/schedule/eveningsOf';
import { readyMoments } from '@core/schedule/scoreOf';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../app/projectStore';
import { saveFile } from '../../app/saveFile';
import shell from '../../app/shell.module.css';
import { useMayDo } from '../../app/useMayDo';
import { useWorksAt } from '../../app/useWorksAt';
import { dateWords } from '../../app/words';
import { Empty, LinkButton } from '../../ui/basics';
import { later } from '../../ui/later';
import { TabbedParts } from '../../ui/TabbedParts';
import { WorkShare } from '../../ui/WorkShare';
import { AtHand } from './AtHand';
import styles from './bench.module.css';
import { Chain } from './Chain';
import { DryingLine, type RowWords } from './DryingLine';
import { Evenings } from './Evenings';
import { Helps } from './Helps';
import { Lead } from './Lead';
import { Missing } from './Missing';
import { Notices } from './Notices';
import { Tonight } from './Tonight';
import { useBench } from './useBench';
import { useBenchActs } from './useBenchActs';
import { useMoments } from './useMoments';
import { WetDays } from './WetDays';

type Part = 'line' | 'evenings' | 'why';
const BlockSheet = later(async () => (await import('./BlockSheet')).BlockSheet);

/** On a phone the days come first; the line is wide. */
const NARROW = '(max-width: 760px)';

/** The bench: what is done when, tonight first; a plan that works inside the drying time. */
export function BenchPage() {
  const plan = usePlan();
  const locale = useLocale();
  const state = useBench();
  const { bench, schedule } = state;
  const [part, setPart] = useState<Part>(() => (window.matchMedia(NARROW).matches ? 'evenings' : 'line'));
  const [selectedId, setSelectedId] = useState<string | null>(null);
  const blocks = useMemo(() => blocksOf(schedule, bench.jobs), [schedule, bench]);
  const days = useMemo(() => daysOf(blocks, locale.timeZone), [blocks, locale.timeZone]);
  const chain = useMemo(() => decidingChain(bench.problem, schedule), [bench, schedule]);
  const { now } = bench.problem;
  const { day } = useMoments(now);
  const acts = useBenchActs(state);
  const mayDo = useMayDo();
  const worksAt = useWorksAt();
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
        const model = row.kind === 'recipe' || row.kind === 'option' ? (own[0]?.model ?? null) : null;
        return { row, words, model };
      });
  }, [bench, blocks, ready, plan.chosen, day]);

  if (bench.problem.tasks.length === 0)
    return (
      <main className={shell.page}>
        <h1>The bench</h1>
        <Empty title="Nothing to do here yet">
          <p>
            The bench plans what is chosen: makeovers, things to make, set up or fetch, and what a spot needs first.{' '}
            {worksAt('compare') ? (
              <>
                Choose on the <Link to="../compare">board</Link>; done
              </>
            ) : (
              'Done'
            )}{' '}
            recipes are not planned again.
          </p>
        </Empty>
        {worksAt('bench/hours') && <LinkButton to="hours">Hours and places</LinkButton>}
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
        {state.keptId !== null && <Button onClick={acts.letGo}>Plan anew</Button>}
      </main>
    );
  const saveCalendar = async () => {
    const { benchCalendar } = await import('@core/formats/calendar/benchDays');
    const nameOf = (rowId: string) => bench.rows.find(({ id }) => id === rowId)?.name ?? '';
    const text = benchCalendar(plan.rows.project.name, blocks, nameOf, plan.asOfMs);
    saveFile(`${plan.rows.project.name} bench.ics`, 'text/calendar', text);
  };
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
            {worksAt('bench/hours') && <LinkButton to="hours">Hours and places</LinkButton>}
          </span>
        </div>
        <Lead state={state} chain={chain} ready={ready} rowNameOf={rowNameOf} />
        <Missing blocks={blocks} now={now} />
        <div className={styles.acts}>
          {state.keptId !== null ? (
            <Button size="small" onClick={acts.letGo}>
              Plan anew
            </Button>
          ) : (
            <Button size="small" type="primary" onClick={acts.keepShown}>
              Keep this plan
            </Button>
          )}
          <span className="muted small">
            {state.keptId !== null
              ? state.moved > 0
                ? `Kept; ${state.moved} had to move since.`
                : 'Kept: it stays as it is, and moves only what must.'
              : 'Not kept yet: it is planned anew as things change.'}
          </span>
          {state.progress !== null && (
            <span className={styles.search} role="status">
              <WorkShare label="How far a better plan is looked for" share={state.progress} />
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
                    onMove={acts.move}
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
                <Evenings
                  days={days}
                  today={bench.from}
                  onSelect={setSelectedId}
                  selectedId={selectedId}
                  rowNameOf={rowNameOf}
                />
              ),
            },
            {
              id: 'why',
              name: 'What decides',
              content: () => <Chain chain={chain} state={state} rowNameOf={rowNameOf} />,
            },
          ]}
        />
        <WetDays state={state} />
        {mayDo('editProject') && <Helps helps={state.helps} />}
        <p>
          <Button size="small" onClick={saveCalendar}>
            Save as a calendar file
          </Button>
        </p>
      </section>
      <aside className={styles.side}>
        <Notices state={state} movedWords={acts.movedWords} onTake={acts.takeBetter} onPutAway={acts.putAway} />
        {selectedId && (
          <BlockSheet
            block={blocks.find(({ id }) => id === selectedId) ?? null}
            state={state}
            onMove={acts.move}
            onClose={() => setSelectedId(null)}
          />
        )}
        <AtHand state={state} onOpen={acts.open} />
        <Tonight state={state} days={days} onOpen={acts.open} />
      </aside>
    </main>
  );

  function rowNameOf(taskId: string | undefined): string {
    const rowId = bench.jobs.get(taskId ?? '')?.task.rowId;
    return bench.rows.find(({ id }) => id === rowId)?.name ?? '';
  }
}

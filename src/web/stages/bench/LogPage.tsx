import { coatings } from '@core/catalog/coatings';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { factorWords, logByProject, logByWork, trendWords, usedByCoating } from '@core/log/logSummary';
import { wrongLesson, wrongName } from '@core/recipe/wentWrong';
import { Button } from 'antd';
import { type ReactNode, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useCommands, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useMayDo } from '../../app/useMayDo';
import { BigChoice, Empty } from '../../ui/basics';
import { later } from '../../ui/later';
import { LogLine } from './LogLine';
import styles from './log.module.css';
import { Pictures } from './StepPictures';

const LogChart = later(
  async () => (await import('./LogChart')).LogChart,
  () => <div className={styles.chartWaits} aria-hidden="true" />,
);

const LINES_AT_FIRST = 20;

/** The log: planned against actual, what it teaches, and every line of it. */
export function LogPage() {
  const { logEntries, stepRuns } = useRows();
  const runOf = useMemo(() => new Map(stepRuns.map((one) => [one.logId, one.id])), [stepRuns]);
  const { run } = useCommands();
  const mayDo = useMayDo();
  const [by, setBy] = useState<'work' | 'project'>('work');
  const [shown, setShown] = useState(LINES_AT_FIRST);
  const works = useMemo(() => logByWork(logEntries), [logEntries]);
  const sums = useMemo(() => (by === 'work' ? works : logByProject(logEntries)), [by, works, logEntries]);
  const used = useMemo(() => usedByCoating(logEntries), [logEntries]);
  const lines = useMemo(() => [...logEntries].sort((a, b) => b.atMs - a.atMs), [logEntries]);
  if (logEntries.length === 0)
    return (
      <LogFrame>
        <Empty title="Nothing is logged yet">
          <p>
            Start a step at the bench and press Done, or say afterwards how long it took. From the third line of a kind
            of work on, your own minutes are used in every plan.
          </p>
        </Empty>
      </LogFrame>
    );
  const wrong = lines.filter((entry) => entry.wrong !== null);
  return (
    <LogFrame>
      <p className="muted">
        {logEntries.length} lines, {formatMinutes(works.reduce((sum, work) => sum + work.actualMinutes, 0))} of hands,
        where {formatMinutes(works.reduce((sum, work) => sum + work.expectedMinutes, 0))} were expected by the tables
        and your skill.
      </p>
      <div className={styles.parts}>
        <section className={styles.part} aria-label="Planned against actual">
          <BigChoice
            label="Planned against actual"
            value={by}
            across={2}
            choices={[
              { value: 'work', title: 'By kind of work' },
              { value: 'project', title: 'By project' },
            ]}
            onChange={setBy}
          />
          <LogChart sums={sums.slice(0, 10)} />
        </section>
        <section className={styles.part} aria-label="What it teaches">
          <h2>What it teaches</h2>
          <p className="muted small">
            Used in every estimate from three lines on; a label and your own figures still come first.
          </p>
          <ul className={styles.factors}>
            {works.map((work) => (
              <li key={work.key}>
                <span>
                  {work.name}
                  <small className="muted">
                    {work.counted} {work.counted === 1 ? 'line' : 'lines'}
                    {work.counted < work.entries ? ` of ${work.entries} count` : ''}
                    {trendWords(work.learningRate) && `; ${trendWords(work.learningRate)}`}
                  </small>
                </span>
                <b>
                  {work.factor === null ? 'too few yet' : `× ${work.factor.toFixed(2)}, ${factorWords(work.factor)}`}
                </b>
                {work.counted > 0 && mayDo('forgetFactor') && (
                  <Button size="small" type="text" onClick={() => run('forgetFactor', { work: work.key })}>
                    Reset
                  </Button>
                )}
              </li>
            ))}
          </ul>
          {used.length > 0 && (
            <>
              <h3>What it took of each can</h3>
              <ul className={styles.factors}>
                {used.map(({ kindId, entries, ratio, factor }) => (
                  <li key={kindId}>
                    <span>
                      {coatings.find(kindId)?.name ?? kindId}
                      <small className="muted">
                        {entries} {entries === 1 ? 'line' : 'lines'}
                      </small>
                    </span>
                    <b>
                      {factor === null
                        ? `${Math.round((ratio - 1) * 100)} % more, too few yet`
                        : `× ${factor.toFixed(2)} of what was planned`}
                    </b>
                  </li>
                ))}
              </ul>
            </>
          )}
          {wrong.length > 0 && (
            <>
              <h3>What went wrong</h3>
              <ul className={styles.wrong}>
                {wrong.map(
                  (entry) =>
                    entry.wrong && (
                      <li key={entry.id}>
                        {entry.what}
                        <small className="muted">
                          {[entry.recipeName, entry.projectName].filter((name) => name !== '').join(', ')}
                        </small>
                        <b>
                          {wrongName(entry.wrong)}: {wrongLesson(entry.wrong)}
                        </b>
                      </li>
                    ),
                )}
              </ul>
            </>
          )}
        </section>
      </div>
      <section aria-label="Lines of the log">
        <h2>Line by line</h2>
        {lines.slice(0, shown).map((entry) => (
          <div key={entry.id}>
            <p className={styles.what}>
              {entry.what}{' '}
              <span className="muted small">{[entry.recipeName, entry.projectName].filter(Boolean).join(', ')}</span>
            </p>
            <LogLine entry={entry} hasCoats={entry.coatingId !== null} />
            <Pictures runId={runOf.get(entry.id) ?? ''} what={entry.what} />
          </div>
        ))}
        {shown < lines.length && (
          <Button onClick={() => setShown(shown + LINES_AT_FIRST * 2)}>Show more: {lines.length - shown} older</Button>
        )}
      </section>
    </LogFrame>
  );
}

/** The page of the log under its heading, with the way back. */
function LogFrame({ children }: { children: ReactNode }) {
  return (
    <main className={shell.page}>
      <p>
        <Link to="../bench">Bench</Link>
      </p>
      <h1>The log</h1>
      {children}
    </main>
  );
}

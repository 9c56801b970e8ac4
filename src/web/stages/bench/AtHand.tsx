import { MS_PER_MINUTE } from '@core/kernel/units';
import { type BenchJob, taskIdOf } from '@core/schedule/benchJobs';
import { lowerFirst } from '@core/schedule/benchWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useRows } from '../../app/projectStore';
import { serverNow } from '../../app/serverClock';
import { canAskToNotify } from '../../app/useAlarms';
import { useTick } from '../../app/useTick';
import styles from './bench.module.css';
import { timerWords, workedMs } from './stepMinutes';
import type { BenchState } from './useBench';
import { useDrying } from './useDrying';
import { useMoments } from './useMoments';

/** What hands are at, what dries till when, and what may be touched from now on. */
export function AtHand(props: { state: BenchState; onOpen: (job: BenchJob) => void }) {
  const { bench } = props.state;
  const { stepRuns } = useRows();
  const commands = useCommands();
  const atHand = stepRuns.filter(({ state }) => state !== 'done');
  const nowMs = useTick(atHand.some(({ state }) => state === 'running'));
  const drying = useDrying(bench);
  const [canAsk, setCanAsk] = useState(canAskToNotify);
  const { soon } = useMoments(bench.problem.now);
  if (atHand.length === 0 && drying.length === 0) return null;
  return (
    <section className={styles.atHand} aria-label="At hand and drying">
      {atHand.map((run) => {
        const job = bench.jobs.get(taskIdOf(run));
        return (
          <button
            key={run.id}
            type="button"
            className={styles.running}
            data-state={run.state}
            onClick={() => {
              if (job) props.onOpen(job);
              // What is not chosen any more has no page of its own: its timer can be stopped here.
              else if (run.state === 'running') commands.run('pauseStep', { runId: run.id, atMs: serverNow() });
            }}
          >
            <span>
              {run.what}
              <small>
                {run.state === 'running' ? 'at hand' : 'paused'}
                {run.by === '' ? '' : `, ${run.by}`}
                {job
                  ? ''
                  : run.state === 'running'
                    ? ', not planned any more: press to pause'
                    : ', not planned any more'}
              </small>
            </span>
            <b>{timerWords(workedMs(run, nowMs))}</b>
          </button>
        );
      })}
      {drying.length > 0 && (
        <>
          <h3>Drying</h3>
          <ul>
            {drying.map(({ taskId, title, rowId, touch, next, handle }) => (
              <li key={taskId}>
                <b>{bench.rows.find(({ id }) => id === rowId)?.name}</b>, {lowerFirst(title)}
                <small className="muted">
                  {touch * MS_PER_MINUTE > nowMs ? `touch ${soon(touch)} · ` : ''}
                  {next
                    ? `next coat from ${soon(next.from)}${next.until === null ? '' : ` to ${soon(next.until)}`} · `
                    : ''}
                  handle {soon(handle)}
                </small>
              </li>
            ))}
          </ul>
          {canAsk && (
            <Button size="small" onClick={() => void Notification.requestPermission().then(() => setCanAsk(false))}>
              Tell me when it is dry
            </Button>
          )}
        </>
      )}
    </section>
  );
}

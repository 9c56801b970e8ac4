import { chainWords, waitWords } from '@core/schedule/benchWords';
import type { DecidingChain } from '@core/schedule/decidingChain';
import styles from './bench.module.css';
import type { BenchState } from './useBench';
import { useMoments } from './useMoments';

/** The chain that decides the end, link by link, and how far the plan may be from the best. */
export function Chain(props: {
  chain: DecidingChain | null;
  state: BenchState;
  rowNameOf: (taskId: string) => string;
}) {
  const { chain, state } = props;
  const { day, moment } = useMoments(state.bench.problem.now);
  if (!chain) return <p className="muted">Nothing is planned.</p>;
  const { schedule, bound, bench } = state;
  const apart = schedule.score.end - bound.end;
  return (
    <>
      <ol className={styles.chain} aria-label="The chain that decides the end">
        {chain.links.map((link) => (
          <li key={link.taskId}>
            <b>{bench.jobs.get(link.taskId)?.title}</b>, {props.rowNameOf(link.taskId)}
            <br />
            <span className="muted small">
              {moment(link.start)}: {chainWords(link, bench.jobs)}
            </span>
          </li>
        ))}
        <li>
          <b>Ready {day(chain.ready)}</b>
          {chain.curingMinutes > 0 && (
            <span className="muted small"> after {waitWords(chain.curingMinutes)} of curing</span>
          )}
        </li>
      </ol>
      <p className="muted small">
        {apart < 720
          ? 'No plan can be ready noticeably sooner: each piece alone takes as long.'
          : `No plan can be ready sooner than ${day(bound.end)}; this one is ${waitWords(apart)} from there, and no better one was found.`}{' '}
        {schedule.sessions.length > 0 &&
          `At least ${Math.round(bound.setUpMinutes)} minutes of setting up and cleaning are needed; here there are ${schedule.score.setUpMinutes}.`}
      </p>
    </>
  );
}

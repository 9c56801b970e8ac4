import { decidesWords, waitWords } from '@core/schedule/benchWords';
import type { DecidingChain } from '@core/schedule/decidingChain';
import { usePlan } from '../../app/projectStore';
import styles from './bench.module.css';
import { Unlaid } from './Unlaid';
import { UsedUp } from './UsedUp';
import type { BenchState } from './useBench';
import { useMoments } from './useMoments';

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

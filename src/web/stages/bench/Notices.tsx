import { formatMinutes } from '@core/kernel/formatMinutes';
import { listed } from '@core/kernel/listed';
import { waitWords } from '@core/schedule/benchWords';
import { Button } from 'antd';
import styles from './bench.module.css';
import type { BenchState } from './useBench';

/** What happened to the plan, and what could: a better one that was found, and what became of what was moved. */
export function Notices(props: {
  state: BenchState;
  movedWords: string | null;
  onTake: () => void;
  onPutAway: () => void;
}) {
  const { state, movedWords } = props;
  return (
    <>
      {state.better && (
        <p className={styles.better} role="status">
          A better plan: {betterWords(state.schedule.score, state.better.score)}.{' '}
          <Button size="small" onClick={props.onTake}>
            Take it
          </Button>
        </p>
      )}
      {movedWords && (
        <p className={styles.better} role="status">
          {movedWords}{' '}
          <Button size="small" type="text" onClick={props.onPutAway}>
            Put away
          </Button>
        </p>
      )}
    </>
  );
}

/** What is better about a plan, in words. */
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

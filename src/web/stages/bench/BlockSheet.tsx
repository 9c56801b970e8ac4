import { type Stretch, windowsOf } from '@core/schedule/benchProblem';
import { handsWords } from '@core/schedule/benchWords';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { Button } from 'antd';
import { useMemo, useState } from 'react';
import { OneOf } from '../../ui/Choice';
import { Swatch } from '../../ui/Swatch';
import styles from './bench.module.css';
import type { BenchState } from './useBench';
import { useMoments } from './useMoments';

const MOST_PLACES = 40;

/** A session or task that was picked: what is in it, and where it could be moved to. */
export function BlockSheet(props: {
  block: BenchBlock | null;
  state: BenchState;
  onMove: (block: BenchBlock, to: Stretch) => void;
  onClose: () => void;
}) {
  const { block, state } = props;
  const { problem } = state.bench;
  const [to, setTo] = useState<number | null>(null);
  const { clock, day } = useMoments(problem.now);
  // What a helper does is moved within the helper's hours.
  const workerId = block?.workerId;
  const windows = useMemo(() => windowsOf(problem, workerId).slice(0, MOST_PLACES), [problem, workerId]);
  if (!block) return null;
  const isMovable = block.tasks.every(({ job }) => job.task.fixed === null && job.subject !== null);
  const target = windows.find(({ start }) => start === to);
  return (
    <section className={styles.sheet} aria-label="What was picked">
      <header>
        <h3>
          {day(block.start)}, {clock(block.start)} to {clock(block.end)}
        </h3>
        <Button size="small" type="text" aria-label="Close" onClick={props.onClose}>
          ✕
        </Button>
      </header>
      {block.tasks.map(({ job, start, end }) => (
        <p key={`${job.task.id} ${start}`}>
          {job.color && <Swatch color={job.color} />} {job.title}, {handsWords(end - start)}
        </p>
      ))}
      {block.tasks.some(({ job }) => job.isTooLong) && (
        <p className={styles.warn}>
          Longer than any of your evenings: it is split, which a wet edge does not like. A longer day would be better.
        </p>
      )}
      {isMovable ? (
        <p className={styles.moveTo}>
          <OneOf
            label="Move to"
            placeholder="Move to …"
            value={to}
            onChange={setTo}
            options={windows.map(({ start, end }) => ({
              value: start,
              label: `${day(start)}, ${clock(start)} to ${clock(end)}`,
            }))}
          />
          <Button
            type="primary"
            disabled={!target}
            onClick={() => {
              if (target) props.onMove(block, target);
              setTo(null);
            }}
          >
            Move it
          </Button>
        </p>
      ) : (
        <p className="muted small">It is done, at hand, or has a day of its own: it is not moved here.</p>
      )}
    </section>
  );
}

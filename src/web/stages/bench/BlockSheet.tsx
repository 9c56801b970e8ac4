import { formatMinutes } from '@core/kernel/formatMinutes';
import type { Stretch } from '@core/schedule/benchProblem';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { Button, Select } from 'antd';
import { useMemo, useState } from 'react';
import { useLocale } from '../../app/projectStore';
import { dayWords } from '../../app/words';
import { Swatch } from '../../ui/basics';
import styles from './bench.module.css';
import { clock } from './benchTimes';
import type { BenchState } from './useBench';

const MOST_PLACES = 40;

/** A session or task that was picked: what is in it, and where it could be moved to. */
export function BlockSheet(props: {
  block: BenchBlock | null;
  state: BenchState;
  onMove: (block: BenchBlock, to: Stretch) => void;
  onClose: () => void;
}) {
  const { block, state } = props;
  const locale = useLocale();
  const { problem } = state.bench;
  const [to, setTo] = useState<number | null>(null);
  const day = (minute: number) => dayWords(minute * 60_000, problem.now * 60_000, locale.timeZone);
  const windows = useMemo(() => problem.workers[0]?.windows.slice(0, MOST_PLACES) ?? [], [problem]);
  if (!block) return null;
  const isMovable = block.tasks.every(({ job }) => job.task.fixed === null && job.subject !== null);
  const target = windows.find(({ start }) => start === to);
  return (
    <section className={styles.sheet} aria-label="What was picked">
      <header>
        <h3>
          {day(block.start)}, {clock(block.start, locale.timeZone)} to {clock(block.end, locale.timeZone)}
        </h3>
        <Button size="small" type="text" aria-label="Close" onClick={props.onClose}>
          ✕
        </Button>
      </header>
      {block.tasks.map(({ job, start, end }) => (
        <p key={`${job.task.id} ${start}`}>
          {job.color && <Swatch color={job.color} />} {job.title}, {formatMinutes(end - start)}
        </p>
      ))}
      {block.tasks.some(({ job }) => job.isTooLong) && (
        <p className={styles.warn}>
          Longer than any of your evenings: it is split, which a wet edge does not like. A longer day would be better.
        </p>
      )}
      {isMovable ? (
        <p className={styles.moveTo}>
          <Select<number | null>
            aria-label="Move to"
            placeholder="Move to …"
            value={to}
            onChange={setTo}
            options={windows.map(({ start, end }) => ({
              value: start,
              label: `${day(start)}, ${clock(start, locale.timeZone)} to ${clock(end, locale.timeZone)}`,
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

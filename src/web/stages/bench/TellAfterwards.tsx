import type { BenchJob } from '@core/schedule/benchJobs';
import { Button } from 'antd';
import { useState } from 'react';
import { NumberField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { MOST_PEOPLE } from './StepWho';
import styles from './step.module.css';

/** What a step took that nobody timed. */
export function TellAfterwards(props: {
  job: BenchJob;
  people: number;
  onTold: (minutes: number, people: number) => void;
}) {
  const [minutes, setMinutes] = useState(Math.ceil(props.job.task.runMinutes / props.people));
  const [people, setPeople] = useState(props.people);
  return (
    <section className={styles.tell} aria-label="How long it took">
      <SideBySide across={2}>
        <NumberField label="It took, minutes" value={minutes} least={0} most={6000} onCommit={setMinutes} autoFocus />
        <NumberField label="People" value={people} least={1} most={MOST_PEOPLE} whole onCommit={setPeople} />
      </SideBySide>
      <Button type="primary" size="large" onClick={() => props.onTold(minutes * people, people)}>
        Log it
      </Button>
    </section>
  );
}

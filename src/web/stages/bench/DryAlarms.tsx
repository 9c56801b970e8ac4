import type { Drying } from '@core/schedule/dryingNow';
import { Button } from 'antd';
import { useMemo } from 'react';
import styles from './bench.module.css';
import { alarmsOf, useAlarms } from './useAlarms';

/** Says, and rings, when something may be touched, coated again or handled. */
export function DryAlarms(props: { drying: readonly Drying[]; nowMs: number }) {
  const { drying, nowMs } = props;
  const alarms = useMemo(() => alarmsOf(drying), [drying]);
  const { rung, putAway } = useAlarms(alarms, nowMs);
  if (rung.length === 0) return null;
  return (
    <p className={styles.rung} role="alert">
      {rung.map(({ words }) => words).join(' · ')}{' '}
      <Button size="small" onClick={putAway}>
        Good
      </Button>
    </p>
  );
}

import { dryingOfRuns } from '@core/schedule/dryingOfRuns';
import { Button } from 'antd';
import { useDeferredValue, useMemo } from 'react';
import { usePlan } from './projectStore';
import styles from './shell.module.css';
import { alarmsOf, useAlarms } from './useAlarms';
import { useTick } from './useTick';

/** Says, and rings, when something may be touched, coated again or handled, wherever in the project one is. */
export function DryBell() {
  // What dries is never so urgent that typing should wait for it.
  const plan = useDeferredValue(usePlan());
  const alarms = useMemo(() => alarmsOf(dryingOfRuns(plan, plan.asOfMs)), [plan]);
  const { rung, putAway } = useAlarms(alarms, useTick(false));
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

import { listed } from '@core/kernel/listed';
import type { BenchBlock } from '@core/schedule/eveningsOf';
import { toFetch } from '@core/schedule/toFetch';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../app/projectStore';
import styles from './bench.module.css';

const MOST_NAMED = 5;
/** How far ahead it is looked for what is missing, minutes: a week. */
const AHEAD_MINUTES = 7 * 1440;

/** What the coming week needs that is neither in the house nor on a trip: a plan that counts on it is none. */
export function Missing(props: { blocks: readonly BenchBlock[]; now: number }) {
  const { blocks, now } = props;
  const plan = usePlan();
  const names = useMemo(() => {
    const coming = blocks.filter(({ start, end }) => end > now && start < now + AHEAD_MINUTES);
    const missing = coming.flatMap(({ tasks }) => tasks.flatMap(({ job }) => toFetch(plan, job)));
    return [...new Set(missing.flatMap(({ name, trip }) => (trip === null ? [name] : [])))];
  }, [blocks, now, plan]);
  if (names.length === 0) return null;
  const more = names.length - MOST_NAMED;
  const named = more > 0 ? [...names.slice(0, MOST_NAMED), `${more} more`] : names;
  return (
    <p className={styles.missing} role="note">
      Needed this week, not in the house and on no trip: {listed(named)}.{' '}
      <Link to="../balance/list">Shopping list</Link> · <Link to="../hunt/trips">Plan a trip</Link>
    </p>
  );
}

/** What a step needs that is not in the house, in a line. */
export function missingWords(missing: ReturnType<typeof toFetch>): string {
  return listed(missing.map(({ name, trip }) => (trip === null ? `${name} (to buy)` : `${name} (from ${trip})`)));
}

import { formatMinutes } from '@core/kernel/formatMinutes';
import { capUse } from '@core/schedule/busyHours';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useRows } from '../../app/projectStore';
import type { BenchState } from './useBench';

/** Less than this of a week's hours is of no use. */
const LEFT_OVER_MINUTES = 30;

/** Why evenings stay empty while things are late: the brief gives only so many hours a week. */
export function UsedUp({ state }: { state: BenchState }) {
  const { bench, schedule } = state;
  const { project } = useRows();
  const due = bench.problem.deliverables.find((one) => one.due !== null)?.due ?? schedule.score.end;
  const weeks = useMemo(() => {
    const [own] = bench.problem.workers;
    return own ? capUse(bench.problem, schedule, own).filter(({ start }) => start < due) : [];
  }, [bench, schedule, due]);
  const full = weeks.filter(({ minutes, usedMinutes }) => minutes - usedMinutes < LEFT_OVER_MINUTES);
  if (full.length === 0) return null;
  const given = weeks.reduce((sum, { minutes }) => sum + minutes, 0);
  const used = weeks.reduce((sum, { usedMinutes }) => sum + usedMinutes, 0);
  return (
    <p className="muted">
      The <Link to={`/p/${project.id}/brief`}>brief</Link> gives {formatMinutes(given)} until the reveal, and{' '}
      {used >= given ? 'all of them are planned' : `${formatMinutes(used)} of them are planned`}: {full.length} of{' '}
      {weeks.length} weeks are full, so evenings stay empty though there is something to do. Alone, each piece would be
      ready sooner, as the purse says.
    </p>
  );
}

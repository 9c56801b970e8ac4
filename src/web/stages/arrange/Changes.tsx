import { lookChanges, lookCost } from '@core/arrange/look/lookCost';
import type { LookThing } from '@core/arrange/look/lookThing';
import { lookThings } from '@core/arrange/look/lookThings';
import { looksOf } from '@core/arrange/lookChecks/lookFacts';
import { formatMoney } from '@core/kernel/formatMoney';
import type { LookRow } from '@core/model/rows';
import { useMemo } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import styles from './arrange.module.css';

/** What the look comes to, and what changes from it to each other look of the spot. */
export function Changes(props: { look: LookRow; things: readonly LookThing[] }) {
  const { look, things } = props;
  const plan = usePlan();
  const { currency } = useLocale();
  const { cost, others } = useMemo(() => {
    const all = plan.rows.looks.map((row) => lookThings(plan, row));
    return {
      cost: lookCost(plan, things, all),
      others: looksOf(plan, look.spotId)
        .filter(({ id }) => id !== look.id)
        .map((row) => ({ row, changes: lookChanges(plan, things, lookThings(plan, row)) })),
    };
  }, [plan, look, things]);
  if (things.length === 0) return null;
  const list = (changes: readonly { name: string; count: number }[]) =>
    changes.map(({ name, count }) => (count > 1 ? `${count} × ${name}` : name)).join(', ');
  return (
    <section className={styles.lists} aria-label="What the look comes to">
      <p className="small">
        This look comes to <b>{formatMoney(cost.shared, currency)}</b>, {formatMoney(cost.cash, currency)} of it still
        to pay or to use
        {cost.open > 0
          ? `; ${cost.open === 1 ? 'one thing is' : `${cost.open} things are`} not found yet and not counted`
          : ''}
        .
      </p>
      {others.map(({ row, changes }) => (
        <p key={row.id} className="small">
          <b>To “{row.name}”:</b>{' '}
          {changes.comes.length + changes.goes.length === 0
            ? 'the same pieces in other places.'
            : `swap ${Math.max(changes.comes.length, changes.goes.length)}, ${formatMoney(changes.cash, currency)}. `}
          {changes.comes.length > 0 && `In: ${list(changes.comes)}. `}
          {changes.goes.length > 0 && `Out: ${list(changes.goes)}.`}
        </p>
      ))}
    </section>
  );
}

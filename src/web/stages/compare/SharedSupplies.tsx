import { formatMoney } from '@core/kernel/formatMoney';
import type { Plan } from '@core/plan/computePlan';
import { shortWords } from '@core/pricing/chanceShort';
import { supplyWords } from '@core/words/supplyWords';
import { memo } from 'react';
import { useLocale } from '../../app/projectStore';
import { amountWords } from '../../app/words';
import styles from './compare.module.css';

/** What chosen options have in common, told once: cells do not add up to the purse. */
export const SharedSupplies = memo(function SharedSupplies(props: { plan: Plan }) {
  const locale = useLocale();
  const { plan } = props;
  if (plan.supplies.length === 0) return null;
  return (
    <section className={styles.shared} aria-label="Shared supplies">
      <h3>Shared by what is chosen</h3>
      {plan.supplies.map((line) => (
        <p key={line.key}>
          <b>{line.name}</b>: {supplyWords(line.need, line.unit, locale.units)},{' '}
          {line.packs.length === 0
            ? 'from the stash'
            : `${line.packs.map((pack) => `${pack.count} × ${pack.name}`).join(' + ')}, ${amountWords(line.cash, locale)}`}
          {line.optionIds.length > 1 ? `, shared by ${line.optionIds.length}` : ''}
          {line.togetherPerHour !== null
            ? `; together they ${line.togetherPerHour >= 0 ? 'earn' : 'cost'} ${formatMoney(Math.round(Math.abs(line.togetherPerHour) / 100) * 100, locale.currency, { cents: 'auto' })} an hour`
            : ''}
          {line.left > 0.5 && line.unit === 'mL'
            ? `; ${supplyWords(line.left, line.unit, locale.units)} left over`
            : ''}
          {shortWords(line.mayFallShort) !== null && `; ${shortWords(line.mayFallShort)}`}
        </p>
      ))}
    </section>
  );
});

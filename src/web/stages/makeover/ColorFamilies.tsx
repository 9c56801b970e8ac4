import { colorFamilies } from '@core/plan/colorFamilies';
import { packWords } from '@core/plan/model/packWords';
import { supplyWords } from '@core/words/supplyWords';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../app/projectStore';
import { amountWords } from '../../app/words';
import { Cards } from '../../ui/layout';
import { Swatch } from '../../ui/Swatch';
import styles from './makeover.module.css';

/** Pieces of one color across the project: one can, what it serves, what one more would cost. */
export function ColorFamilies() {
  const plan = usePlan();
  const locale = useLocale();
  const families = useMemo(() => colorFamilies(plan), [plan]);
  if (families.length === 0) return null;
  return (
    <section aria-label="Colors in use">
      <h2>One can, many pieces</h2>
      <Cards leastWidth={300} className={styles.families}>
        {families.map((family) => {
          const supply = plan.model.supply(family.supplyKey);
          const words = (amount: number) => supplyWords(amount, supply.unit, locale.units);
          const packs = packWords(supply, family.purchase);
          return (
            <li key={family.supplyKey}>
              <b>
                <Swatch color={family.color} /> {family.name}
              </b>
              <p>
                {family.uses.map((use, index) => (
                  <span key={use.recipeId}>
                    {index > 0 && ', '}
                    <Link to={use.recipeId}>{use.name}</Link> {words(use.amount)}
                  </span>
                ))}
              </p>
              <p>
                Together {words(family.need)}
                {family.stash > 0 ? `; ${words(family.stash)} on the shelf` : ''};{' '}
                {packs === '' ? 'nothing to buy' : `${packs}, ${amountWords(family.purchase.cash, locale)}`}.{' '}
                {family.left > 0 &&
                  `${words(family.left)} stay${family.keepsMonths === null ? '' : `, good for about ${family.keepsMonths} months once opened`}.`}
              </p>
              <p>
                <b>One more piece</b> of about {words(family.oneMore.amount)}:{' '}
                {family.oneMore.cash.likely === 0
                  ? 'no cash, the can holds it'
                  : amountWords(family.oneMore.cash, locale)}
                .
              </p>
            </li>
          );
        })}
      </Cards>
    </section>
  );
}

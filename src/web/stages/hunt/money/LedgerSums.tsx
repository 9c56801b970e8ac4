import { formatMoney } from '@core/kernel/formatMoney';
import { type LedgerGrouping, ledgerGroupings, ledgerGroups } from '@core/sourcing/ledgerLists';
import { originNames, origins } from '@core/sourcing/origins';
import { regrets } from '@core/sourcing/regrets';
import { useState } from 'react';
import { useLocale, usePlan, useRows } from '../../../app/projectStore';
import { RegretList } from '../../../app/RegretList';
import { Choice } from '../../../ui/Choice';
import styles from './money.module.css';

const groupingWords: Record<LedgerGrouping, string> = {
  slot: 'slot',
  source: 'place',
  kind: 'kind of place',
  month: 'month',
};
/** What it comes to: by slot, place, kind or month; owned, thrifted, free and new; and what it cost to be wrong. */
export function LedgerSums() {
  const rows = useRows();
  const plan = usePlan();
  const { currency } = useLocale();
  const [by, setBy] = useState<LedgerGrouping>('slot');
  const groups = ledgerGroups(rows, by);
  const from = origins(plan).filter(({ count }) => count > 0);
  const money = (minor: number) => formatMoney(minor, currency);
  return (
    <div className={styles.lists}>
      <section aria-label="Sums">
        <Choice
          label="Summed by"
          value={by}
          options={ledgerGroupings.map((value) => ({ value, label: groupingWords[value] }))}
          onChange={setBy}
        />
        <table className={styles.sums}>
          <thead>
            <tr>
              <th scope="col">{groupingWords[by]}</th>
              <th scope="col">payments</th>
              <th scope="col">spent and promised</th>
            </tr>
          </thead>
          <tbody>
            {groups.map((group) => (
              <tr key={group.name}>
                <td>{group.name}</td>
                <td>{group.lines}</td>
                <td>
                  {group.atLeast ? 'at least ' : ''}
                  {money(group.sum)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
      <section aria-label="Where it came from">
        <h3>Where the chosen look comes from</h3>
        {from.length === 0 ? (
          <p className="muted">Nothing is chosen yet.</p>
        ) : (
          <table className={styles.sums}>
            <thead>
              <tr>
                <th scope="col">it is</th>
                <th scope="col">pieces</th>
                <th scope="col">what they come to</th>
              </tr>
            </thead>
            <tbody>
              {from.map(({ kind, count, value }) => (
                <tr key={kind}>
                  <th scope="row">{originNames[kind]}</th>
                  <td>{count}</td>
                  <td>{money(value)}</td>
                </tr>
              ))}
            </tbody>
          </table>
        )}
      </section>
      <section aria-label="Waste and regret">
        <h3>Waste and regret</h3>
        <RegretList regrets={regrets(plan)} currency={currency} />
      </section>
    </div>
  );
}

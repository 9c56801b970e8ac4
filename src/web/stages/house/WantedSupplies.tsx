import { isStaple, type SupplyUnit } from '@core/catalog/consumables';
import { unitOfKind } from '@core/catalog/supplyKinds';
import type { SupplyRow } from '@core/model/rows';
import { newSupply } from '@core/plan/newRows';
import { supplyKey } from '@core/recipe/supplyKey';
import { supplyWords } from '@core/words/supplyWords';
import { useHouse } from '../../app/houseStore';
import styles from './house.module.css';
import { usePanels } from './Panels';

import { supplyName } from './supplyNames';

/** What the plans of all projects want and nothing of it is on the shelf, summed over the projects. */
export function WantedSupplies() {
  const { rows, locale } = useHouse();
  const { data } = usePanels();
  const here = new Set(
    rows.supplies
      .filter((supply) => supply.stash.state !== 'none')
      .map((supply) => supplyKey(supply.kindId, supply.colorCardId, supply.sheen)),
  );
  const known = new Set(rows.supplies.map(({ kindId, colorCardId, sheen }) => supplyKey(kindId, colorCardId, sheen)));
  const wanted = new Map<string, { name: string; unit: SupplyUnit; amount: number; by: string[] }>();
  for (const need of data?.needs ?? []) {
    const sheen = need.sheen as SupplyRow['sheen'];
    const key = supplyKey(need.kindId, need.colorCardId, sheen);
    if (here.has(key) || (isStaple(need.kindId) && !known.has(key))) continue;
    const unit = unitOfKind(need.kindId);
    const entry = wanted.get(key) ?? {
      name: supplyName(newSupply('', need.kindId, need.colorCardId, sheen), rows.colorCards),
      unit,
      amount: 0,
      by: [],
    };
    entry.amount += need.amount;
    entry.by.push(`${supplyWords(need.amount, unit, locale.units)} by ${need.projectName}`);
    wanted.set(key, entry);
  }
  if (wanted.size === 0) return null;
  return (
    <section className={styles.tools} aria-label="Wanted, not on the shelf">
      <h2>Wanted, not on the shelf</h2>
      <ul>
        {[...wanted].map(([key, entry]) => (
          <li key={key}>
            <span>
              {entry.name} <small>{entry.by.join(', ')}</small>
            </span>
            <b>{supplyWords(entry.amount, entry.unit, locale.units)}</b>
          </li>
        ))}
      </ul>
    </section>
  );
}

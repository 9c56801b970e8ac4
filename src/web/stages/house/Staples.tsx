import { staples } from '@core/catalog/consumables';
import { newSupply } from '@core/plan/newRows';
import { Checkbox } from 'antd';
import { useHouse } from '../../app/houseStore';
import styles from './house.module.css';
import { countedOrAlways } from './supplyNames';

/** What a workshop has without counting it: said once for the studio, and no plan buys it. */
export function Staples() {
  const { rows, run } = useHouse();
  return (
    <section className={styles.tools} aria-label="Always here">
      <h2>Always here</h2>
      <p className="small">Nobody counts these, and no plan buys them. Untick what is not.</p>
      <p className={styles.bar}>
        {staples.map((kind) => {
          const row = rows.supplies.find((supply) => supply.kindId === kind.id);
          const isHere = row ? row.stash.state === 'always' : true;
          const set = (always: boolean) => {
            const stash = countedOrAlways(always, row?.stash.amount ?? 0);
            if (row) run('editSupply', { id: row.id, values: { stash } });
            else
              run('saveSupply', {
                supply: { ...newSupply(crypto.randomUUID(), kind.id, null, null), stash },
                packs: [],
              });
          };
          return (
            <Checkbox key={kind.id} checked={isHere} onChange={(event) => set(event.target.checked)}>
              {kind.name}
            </Checkbox>
          );
        })}
      </p>
    </section>
  );
}

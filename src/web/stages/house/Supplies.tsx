import { wantsLook } from '@core/plan/canGauge';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { useHouse } from '../../app/houseStore';
import { useSearchState } from '../../app/useSearchState';
import { Empty } from '../../ui/basics';
import { Cards } from '../../ui/layout';
import { AddSupply } from './AddSupply';
import { Can } from './Can';
import styles from './house.module.css';
import { Staples } from './Staples';
import { supplyName } from './supplyNames';
import { Tools } from './Tools';
import { WantedSupplies } from './WantedSupplies';

/** Part-used cans and what else is on the shelf: what is left, how long it keeps, what it would still cover. */
export function Supplies() {
  const { rows, today } = useHouse();
  const [search, update] = useSearchState();
  const open = search.get('supply');
  const setOpen = (id: string | null) =>
    update(
      (next) => {
        if (id === null) next.delete('supply');
        else next.set('supply', id);
      },
      { replace: true },
    );
  const [withEmpty, setWithEmpty] = useState(false);
  const [adding, setAdding] = useState(false);
  const there = rows.supplies.filter((supply) => supply.stash.state !== 'none');
  const shown = (withEmpty ? rows.supplies : there)
    .map((supply) => ({ supply, name: supplyName(supply, rows.colorCards), look: wantsLook(supply, today) }))
    .sort((a, b) => Number(b.look) - Number(a.look) || a.name.localeCompare(b.name));
  return (
    <div>
      <p className={styles.bar}>
        <Button type="primary" onClick={() => setAdding(!adding)} aria-expanded={adding}>
          Note a can or another supply
        </Button>
        {rows.supplies.length > there.length && (
          <Checkbox checked={withEmpty} onChange={(event) => setWithEmpty(event.target.checked)}>
            show what is used up ({rows.supplies.length - there.length})
          </Checkbox>
        )}
      </p>
      {adding && <AddSupply onDone={() => setAdding(false)} />}
      {shown.length === 0 && !adding ? (
        <Empty title="Nothing on the shelf yet">
          <p>
            Note the cans that are opened: what it is, its color, about how full. A part-used can makes the next
            makeover nearly free.
          </p>
        </Empty>
      ) : (
        <Cards leastWidth={360} label="Supplies">
          {shown.map(({ supply, name, look }) => (
            <Can
              key={supply.id}
              supply={supply}
              name={name}
              look={look}
              open={open === supply.id}
              onToggle={() => setOpen(open === supply.id ? null : supply.id)}
            />
          ))}
        </Cards>
      )}
      <Staples />
      <WantedSupplies />
      <Tools />
    </div>
  );
}

import { placesOfSupply } from '@core/balance/cheapestPlaces';
import { usualPacks } from '@core/catalog/supplyKinds';
import { standInWords } from '@core/formats/shoppingList/savings';
import { placeWords } from '@core/formats/shoppingList/write';
import { formatMoney } from '@core/kernel/formatMoney';
import { stated } from '@core/kernel/price';
import { sourceName } from '@core/model/sourceName';
import { newPack, newSupply } from '@core/plan/newRows';
import type { StandIn } from '@core/proposals/standIns';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { SourceField } from '../../app/SourceField';
import { Choice } from '../../ui/Choice';
import { MoneyField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import styles from './balance.module.css';

/** Where else a supply is sold, and what does as well in its place. */
export function Instead(props: { supplyKey: string; standIns: readonly StandIn[] }) {
  const { supplyKey } = props;
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const places = placesOfSupply(plan, supplyKey);
  const isHeld = places.some(({ isChosen }) => isChosen);
  const buyAt = (place: string | null) =>
    run('buySuppliesAt', { places: [{ id: crypto.randomUUID(), supplyKey, place }] });
  return (
    <div className={styles.instead}>
      {places.length > 1 && (
        <ul className={styles.plain}>
          {places.map(({ place, cashMinor, isChosen }) => (
            <li key={place}>
              <span>
                {placeWords({ name: place })} <small>{formatMoney(cashMinor, locale.currency)}</small>
              </span>
              {isChosen ? (
                <small>bought there, as you said</small>
              ) : (
                <Button size="small" onClick={() => buyAt(place)}>
                  {place === '' ? 'Buy it elsewhere' : `Buy at ${place}`}
                </Button>
              )}
            </li>
          ))}
          {isHeld && (
            <li>
              <span>Wherever it costs least</span>
              <Button size="small" onClick={() => buyAt(null)}>
                Let the price decide
              </Button>
            </li>
          )}
        </ul>
      )}
      {props.standIns.length > 0 && (
        <ul className={styles.plain}>
          {props.standIns.map((standIn) => (
            <li key={standIn.coatingId}>
              <span>
                {standIn.name} <small>{standInWords(standIn, locale)}</small>
              </span>
              <Button
                size="small"
                aria-label={`Take ${standIn.name} instead`}
                onClick={() =>
                  run('editRecipes', { recipes: standIn.recipes.map(({ id, body }) => ({ id, values: { body } })) })
                }
              >
                Take this
              </Button>
            </li>
          ))}
        </ul>
      )}
      {places.length < 2 && props.standIns.length === 0 && (
        <p className="small">No other place is known that sells it, and nothing that does as well.</p>
      )}
      <SeenElsewhere supplyKey={supplyKey} />
    </div>
  );
}

/** A price of a supply that was seen at another place: its pack, what it costs, where. */
function SeenElsewhere(props: { supplyKey: string }) {
  const plan = usePlan();
  const rows = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const pool = plan.model.supply(props.supplyKey);
  const { kindId, colorCardId, sheen } = partsOfSupplyKey(props.supplyKey);
  // Every size once, called as it was seen, else as the tables call it.
  const sizes = [
    ...new Map([...usualPacks(kindId, locale.units), ...pool.offered].map(({ name, size }) => [size, name] as const)),
  ].sort(([a], [b]) => a - b);
  const bought = plan.supplies.find(({ key }) => key === props.supplyKey)?.packs[0]?.size;
  const [size, setSize] = useState(() => String(bought ?? sizes[0]?.[0] ?? ''));
  const [priceMinor, setPrice] = useState<number | null>(null);
  const [sourceId, setSource] = useState<string | null>(null);
  const name = sizes.find(([known]) => String(known) === size)?.[1];
  if (name === undefined) return null;
  const save = () => {
    if (priceMinor === null) return;
    const supply = pool.row ?? newSupply(crypto.randomUUID(), kindId, colorCardId, sheen);
    const pack = newPack(crypto.randomUUID(), supply.id, name, Number(size), stated(priceMinor), locale.currency);
    const seen = { ...pack, source: sourceName(rows.sources, sourceId) };
    run('saveSupply', { supply, packs: [...rows.packs.filter(({ supplyId }) => supplyId === supply.id), seen] });
    setPrice(null);
  };
  return (
    <details>
      <summary>Seen at another place</summary>
      <SideBySide across={3}>
        <Choice
          label="Pack"
          value={size}
          options={sizes.map(([known, label]) => ({ value: String(known), label }))}
          onChange={setSize}
        />
        <MoneyField
          label="Its price, before tax"
          value={priceMinor}
          nullable
          currency={locale.currency}
          onCommit={setPrice}
        />
        <SourceField label="Where" value={sourceId} onCommit={setSource} />
      </SideBySide>
      <Button disabled={priceMinor === null} onClick={save}>
        Note the price
      </Button>
    </details>
  );
}

import type { SupplyUnit } from '@core/catalog/consumables';
import { unitOfKind } from '@core/catalog/supplyKinds';
import { hexFromLab } from '@core/color/lab';
import { formatMoney } from '@core/kernel/formatMoney';
import type { SupplyRow } from '@core/model/rows';
import { canGauge } from '@core/plan/canGauge';
import { canShares } from '@core/plan/canShares';
import { supplyKey } from '@core/recipe/supplyKey';
import { supplyWords } from '@core/words/supplyWords';
import { Button, Checkbox } from 'antd';
import { useHouse } from '../../app/houseStore';
import { StockFields } from '../../app/StockFields';
import { areaWords, dateWords, dayOf } from '../../app/words';
import { BigChoice } from '../../ui/basics';
import { DateField, SupplyAmountField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { CanDrawing } from './CanDrawing';
import styles from './house.module.css';
import { usePanels } from './Panels';
import { countedOrAlways, fills } from './supplyNames';

/** One can: its gauge, who wants of it, the question whether it is still there, its facts on request. */
export function Can(props: { supply: SupplyRow; name: string; look: boolean; open: boolean; onToggle: () => void }) {
  const { supply } = props;
  const { rows, locale, run, today } = useHouse();
  const panels = usePanels();
  const gauge = canGauge(supply, today);
  const unit = unitOfKind(supply.kindId);
  const card = rows.colorCards.find((entry) => entry.id === supply.colorCardId);
  const isAlways = supply.stash.state === 'always';
  const amount = supply.stash.state === 'none' ? 0 : supply.stash.amount;
  const key = supplyKey(supply.kindId, supply.colorCardId, supply.sheen);
  const needs = (panels.data?.needs ?? []).filter(
    (need) => supplyKey(need.kindId, need.colorCardId, need.sheen as SupplyRow['sheen']) === key,
  );
  const needed = needs.reduce((sum, need) => sum + need.amount, 0);
  const set = (values: Partial<Omit<SupplyRow, 'id' | 'version'>>) => run('editSupply', { id: supply.id, values });
  const estimate = (left: number) => set({ stash: countedOrAlways(false, left), checkedOn: today });
  return (
    <li className={styles.can}>
      <CanDrawing
        share={gauge.share}
        color={card ? hexFromLab(card.lab) : null}
        shape={unit === 'can' ? 'aerosol' : unit === 'mL' ? 'can' : 'bundle'}
      />
      <div>
        <h3>{props.name}</h3>
        <p>
          {isAlways
            ? 'always here'
            : supply.stash.state === 'none'
              ? 'used up'
              : `${supply.stash.state === 'about' ? 'about ' : ''}${supplyWords(amount, unit, locale.units)}`}
          {gauge.share === null || supply.stash.state === 'none' || isAlways
            ? ''
            : `, ${Math.round(gauge.share * 100)} % of a full one`}
          {gauge.coversM2 !== null && amount > 0 && !isAlways
            ? `; covers ${areaWords(gauge.coversM2, locale.units)}`
            : ''}
        </p>
        {gauge.covers.length > 0 && (
          <p className="small">
            Enough for{' '}
            {gauge.covers
              .slice(0, 3)
              .map((cover) => `${cover.times} ${cover.name}${cover.times > 1 ? 's' : ''}`)
              .join(', or ')}{' '}
            of usual size.
          </p>
        )}
        {gauge.keepsUntil !== null && (
          <p className={`small ${(gauge.daysLeft ?? 0) < 0 ? styles.late : 'muted'}`}>
            {(gauge.daysLeft ?? 0) < 0 ? 'Was to be used up by ' : 'Keeps until '}
            {dayOf(gauge.keepsUntil)}
            {gauge.estimated ? ' (usual life of an opened can, estimated)' : ''}
          </p>
        )}
        {needs.length > 0 && (
          <p className={`small ${!isAlways && needed > amount ? styles.late : ''}`}>
            Wanted:{' '}
            {needs.map((need) => `${supplyWords(need.amount, unit, locale.units)} by ${need.projectName}`).join(', ')}
            {needs.length > 1 ? `; together ${supplyWords(needed, unit, locale.units)}` : ''}
            {!isAlways && needed > amount
              ? `, ${supplyWords(needed - amount, unit, locale.units)} short`
              : ', it is here'}
            .
          </p>
        )}
        {props.look && (
          <div className={styles.ask}>
            <b>Still {supplyWords(amount, unit, locale.units)}?</b>
            <Button size="small" onClick={() => set({ checkedOn: today })}>
              Yes
            </Button>
            <Button size="small" onClick={() => estimate(amount / 2)}>
              Less: about half of that
            </Button>
            <Button size="small" onClick={() => estimate(0)}>
              Empty
            </Button>
          </div>
        )}
        <Button size="small" onClick={props.onToggle} aria-expanded={props.open} aria-label={`Change ${props.name}`}>
          {props.open ? 'Close' : 'Change'}
        </Button>
        {props.open && (
          <div className={styles.canEdit}>
            <SideBySide across={3}>
              <SupplyAmountField
                label="Left"
                unit={unit}
                units={locale.units}
                value={amount}
                least={0}
                onCommit={(value) =>
                  set({
                    stash: value > 0 ? { state: 'exact', amount: value } : { state: 'none', amount: 0 },
                    checkedOn: today,
                  })
                }
              />
              <SupplyAmountField
                label="A full one holds"
                unit={unit}
                units={locale.units}
                value={supply.containerSize}
                nullable
                least={0.01}
                onCommit={(containerSize) => set({ containerSize })}
              />
              <Checkbox
                checked={isAlways}
                onChange={(event) => set({ stash: countedOrAlways(event.target.checked, amount) })}
              >
                Always here, nobody counts it
              </Checkbox>
              <TextField label="Tint base" value={supply.base} most={60} onCommit={(base) => set({ base })} />
              <DateField label="Opened on" value={supply.openedOn} onCommit={(openedOn) => set({ openedOn })} />
              <DateField label="Keeps until" value={supply.keepsUntil} onCommit={(keepsUntil) => set({ keepsUntil })} />
            </SideBySide>
            <StockFields supply={supply} units={locale.units} onChange={set} />
            {supply.containerSize !== null && (
              <BigChoice
                label="Or about how full"
                value={null}
                choices={fills}
                onChange={(share) => estimate((supply.containerSize ?? 0) * Number(share))}
              />
            )}
            <UsedOn supply={supply} unit={unit} />
            {supply.stash.state === 'none' ? (
              <Button size="small" type="text" onClick={() => run('removeSupply', { id: supply.id })}>
                Remove with its prices
              </Button>
            ) : (
              <Button size="small" type="text" onClick={() => set({ stash: { state: 'none', amount: 0 } })}>
                Used up or gone: put it away
              </Button>
            )}
          </div>
        )}
      </div>
    </li>
  );
}

/** What a supply was used on, the latest first, with each job's part of what it cost. */
function UsedOn(props: { supply: SupplyRow; unit: SupplyUnit }) {
  const { supply, unit } = props;
  const { rows, locale } = useHouse();
  const { served, left } = canShares(supply, rows.supplyUses);
  if (served.length === 0) return <p className="muted small">Not used on anything that was marked done yet.</p>;
  const money = (cost: number | null) => (cost === null ? '' : `, ${formatMoney(cost, locale.currency)} of its cost`);
  return (
    <ul className={styles.uses} aria-label="Used on">
      {served.map((job) => (
        <li key={job.what}>
          {job.what}: {supplyWords(job.amount, unit, locale.units)}
          {money(job.cost)}, {dateWords(job.lastOn)}
        </li>
      ))}
      {left.amount > 0 && left.cost !== null && (
        <li>
          Still in it: {supplyWords(left.amount, unit, locale.units)}
          {money(left.cost)}
        </li>
      )}
    </ul>
  );
}

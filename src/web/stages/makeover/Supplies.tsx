import { openedLifeMonths } from '@core/catalog/supplyKinds';
import { fromMicro } from '@core/kernel/micro';
import { UNIT_PRICE_SCALE } from '@core/kernel/money';
import { stated } from '@core/kernel/price';
import type { PackRow, SupplyRow } from '@core/model/rows';
import { mayFallShort } from '@core/plan/mayFallShort';
import { cutPurchaseOf } from '@core/plan/model/cutPurchase';
import { packWords } from '@core/plan/model/packWords';
import { neededMicro, purchaseOf } from '@core/plan/model/poolCost';
import type { Total } from '@core/plan/model/pools';
import { newPack, newSupply } from '@core/plan/newRows';
import { explainRecipeNeed } from '@core/plan/why/explainNeed';
import { shortWords } from '@core/pricing/chanceShort';
import type { PackPurchase } from '@core/pricing/cheapestPacks';
import { linesInForce } from '@core/pricing/ledger';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';
import { perShownUnit, supplyUnitWords, supplyWords } from '@core/words/supplyWords';
import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { PaidLine } from '../../app/PaidLine';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { StockFields } from '../../app/StockFields';
import { amountWords } from '../../app/words';
import { SourceTag } from '../../ui/basics';
import { MoneyField, NumberField, SupplyAmountField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { SettleBox } from '../../ui/SettleBox';
import { layoutWords } from './cut/layoutWords';
import styles from './makeover.module.css';
import type { RecipeAccess } from './useRecipe';
import { Why } from './Why';

/** What a recipe takes: each supply with stash and packs, editable where it is read. */
export function Supplies(props: { needs: ReadonlyMap<string, Total>; recipe: RecipeAccess }) {
  const [open, setOpen] = useState<string | null>(null);
  return (
    <>
      <h3>{props.recipe.row.doneOn === null ? 'It takes' : 'It took'}</h3>
      {props.needs.size === 0 && <p className="muted small">Nothing yet: choose a finish.</p>}
      {[...props.needs].map(([key, need]) => (
        <SupplyLine
          key={key}
          supplyKey={key}
          need={need}
          recipe={props.recipe}
          open={open === key}
          onToggle={() => setOpen(open === key ? null : key)}
        />
      ))}
    </>
  );
}

function SupplyLine(props: {
  supplyKey: string;
  need: Total;
  recipe: RecipeAccess;
  open: boolean;
  onToggle: () => void;
}) {
  const plan = usePlan();
  const locale = useLocale();
  // What is done needs nothing any more.
  const isDone = props.recipe.row.doneOn !== null;
  const supply = plan.model.supply(props.supplyKey);
  const purchase = purchaseOf(supply, props.need);
  const layout = cutPurchaseOf(supply, props.need)?.layout ?? null;
  const need = fromMicro(neededMicro(supply, props.need));
  const packs = packWords(supply, purchase);
  const left = supply.stash + purchase.size - need;
  const short = shortWords(mayFallShort(plan.model, props.supplyKey, need, supply.stash + purchase.size));
  const keepsMonths = openedLifeMonths(partsOfSupplyKey(props.supplyKey).kindId);
  return (
    <div className={styles.supply}>
      <div className={styles.supplyHead}>
        <span>
          {supply.name}{' '}
          <span className="muted">
            {supply.isAlways
              ? 'always here'
              : supply.stash > 0
                ? `${supply.row?.stash.state === 'about' ? 'about ' : ''}${supplyWords(supply.stash, supply.unit, locale.units)} in the stash`
                : ''}
          </span>
          {!isDone && (
            <>
              <br />
              <span className="muted small">
                {supply.isAlways
                  ? 'nothing to buy'
                  : packs === ''
                    ? 'the stash covers it'
                    : `to buy: ${packs}, ${amountWords(purchase.cash, locale)}`}{' '}
                {packs !== '' && supply.isEstimated && <SourceTag>estimated</SourceTag>}
                {short !== null && (
                  <>
                    <br />
                    {packs === '' ? 'the stash' : 'that'} {short} that it spreads less than usual{' '}
                    <SourceTag>estimated</SourceTag>
                  </>
                )}
                {!supply.isAlways && left >= need * 0.02 && left > 0 && (
                  <>
                    <br />
                    {supplyWords(left, supply.unit, locale.units)} stay
                    {keepsMonths === null ? '' : `, good for about ${keepsMonths} months once opened`}
                  </>
                )}
              </span>
            </>
          )}
        </span>
        <b>
          <Why
            label={`amount of ${supply.name}`}
            explain={() => explainRecipeNeed(plan, props.recipe.plan, props.recipe.made, props.supplyKey)}
          >
            {supplyWords(need, supply.unit, locale.units)}
          </Why>
        </b>
        <Button
          size="small"
          aria-expanded={props.open}
          onClick={props.onToggle}
          aria-label={`Stash and packs of ${supply.name}`}
        >
          {props.open ? 'Close' : 'Packs'}
        </Button>
      </div>
      {layout && (
        <p className="muted small">
          {layoutWords(layout, props.need.parts, supply.cut?.form ?? 'sheet')}{' '}
          <Link to={`../makeover/cut/${encodeURIComponent(props.supplyKey)}?recipe=${props.recipe.row.id}`}>
            See the layout
          </Link>
        </p>
      )}
      {props.open && <SupplyEditor supplyKey={props.supplyKey} purchase={purchase} />}
    </div>
  );
}

/** Stash and packs of one supply. The first change turns the tables' estimates into the studio's own prices. */
function SupplyEditor(props: { supplyKey: string; purchase: PackPurchase }) {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const supply = plan.model.supply(props.supplyKey);
  const perShown = perShownUnit(supply.unit, locale.units);
  const unitName = supplyUnitWords(supply.unit, locale.units);
  const { kindId, colorCardId, sheen } = partsOfSupplyKey(props.supplyKey);
  const row: SupplyRow = supply.row ?? newSupply(crypto.randomUUID(), kindId, colorCardId, sheen);
  const ownPacks: PackRow[] = supply.row
    ? rows.packs
        .filter((pack) => pack.supplyId === row.id && (pack.currency === '' || pack.currency === locale.currency))
        .sort((a, b) => a.size - b.size || a.name.localeCompare(b.name))
    : [];
  /** Prices in another currency are another project's; they stay. */
  const foreignPacks = rows.packs.filter(
    (pack) => pack.supplyId === row.id && pack.currency !== '' && pack.currency !== locale.currency,
  );
  const packs: PackRow[] =
    ownPacks.length > 0
      ? ownPacks
      : supply.packs.map((pack) =>
          newPack(crypto.randomUUID(), row.id, pack.name, pack.size, pack.price, locale.currency),
        );
  const save = (change: Partial<SupplyRow>, nextPacks: PackRow[] | null) =>
    run('saveSupply', { supply: { ...row, ...change }, packs: [...(nextPacks ?? ownPacks), ...foreignPacks] });
  const setPack = (index: number, change: Partial<PackRow>) =>
    save(
      {},
      packs.map((pack, i) => (i === index ? { ...pack, ...change } : pack)),
    );
  const likely = (pack: PackRow) =>
    pack.price.state === 'stated'
      ? pack.price.low
      : pack.price.state === 'estimated'
        ? pack.price.likely
        : pack.price.state === 'free'
          ? 0
          : null;
  const { purchase } = props;
  const amount = purchase.size;
  // What this project paid for it already, can by can.
  const paid = linesInForce(rows.ledger).filter(({ subject }) => subject.kind === 'supply' && subject.id === row.id);
  return (
    <div className={styles.editor}>
      {amount > 0 && (
        <SettleBox
          key={amount}
          proposed={purchase.cash.atLeast ? null : purchase.cash.likely}
          currency={locale.currency}
          canPromise={false}
          onSettle={({ paid, atLeast, ledgerId, atMs }) =>
            run('buySupply', { supply: row, amount, paid, atLeast, ledgerId, atMs })
          }
        />
      )}
      {paid.map((line) => (
        <PaidLine key={line.id} line={line} />
      ))}
      <SideBySide across={2}>
        <SupplyAmountField
          label="In the stash"
          unit={supply.unit}
          units={locale.units}
          value={row.stash.state === 'none' ? 0 : row.stash.amount}
          least={0}
          onCommit={(value) =>
            save({ stash: value > 0 ? { state: 'exact', amount: value } : { state: 'none', amount: 0 } }, null)
          }
        />
        <MoneyField
          label={`What it cost, per ${supplyUnitWords(supply.unit, locale.units, false)}`}
          hint="empty: valued at what replacing costs"
          currency={locale.currency}
          nullable
          value={
            row.unitCostMillionths === null ? null : Math.round((row.unitCostMillionths * perShown) / UNIT_PRICE_SCALE)
          }
          onCommit={(value) =>
            save(
              { unitCostMillionths: value === null ? null : Math.round((value * UNIT_PRICE_SCALE) / perShown) },
              null,
            )
          }
        />
      </SideBySide>
      <StockFields supply={row} units={locale.units} onChange={(change) => save(change, null)} />
      {packs.map((pack, index) => (
        <SideBySide across={3} key={`${pack.name}-${index}`}>
          <TextField label="Pack" value={pack.name} least={1} most={80} onCommit={(name) => setPack(index, { name })} />
          <NumberField
            label={`Size, ${unitName}`}
            value={pack.size / perShown}
            digits={2}
            least={0.01}
            most={10_000}
            onCommit={(size) => setPack(index, { size: size * perShown })}
          />
          <MoneyField
            label={pack.price.state === 'estimated' ? 'Shelf price (estimated)' : 'Shelf price'}
            nullable
            value={likely(pack)}
            currency={locale.currency}
            onCommit={(value) => setPack(index, { price: value === null ? { state: 'unknown' } : stated(value) })}
          />
        </SideBySide>
      ))}
      <p style={{ display: 'flex', gap: 8 }}>
        <Button
          size="small"
          onClick={() =>
            save({}, [
              ...packs,
              newPack(
                crypto.randomUUID(),
                row.id,
                'another size',
                supply.unit === 'mL' ? 500 : 1,
                { state: 'unknown' },
                locale.currency,
              ),
            ])
          }
        >
          Add a size
        </Button>
        {ownPacks.length > 0 && (
          <Button size="small" type="text" onClick={() => save({}, [])}>
            Back to estimates
          </Button>
        )}
      </p>
    </div>
  );
}

import { type Bought, type ShoppingLine, shoppingList } from '@core/balance/shoppingList';
import { cashWords, lineWords, placeWords, shoppingListCsv, shoppingListText } from '@core/formats/shoppingList/write';
import { formatMoney } from '@core/kernel/formatMoney';
import type { Plan } from '@core/plan/computePlan';
import { newSupply } from '@core/plan/newRows';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';
import { useState } from 'react';
import { Link } from 'react-router';
import { ListActs } from '../../app/ListActs';
import { type ProjectCommands, useCommands, useLocale, usePlan } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { supplyWords } from '../../app/words';
import { Empty } from '../../ui/basics';
import { SettleBox, type Settlement } from '../../ui/SettleBox';
import styles from './balance.module.css';

/** What is still to buy for all that is chosen, place by place: to print, copy, save, and to tick with what was paid. */
export function ShoppingListPage() {
  const plan = usePlan();
  const locale = useLocale();
  const places = shoppingList(plan);
  const count = places.reduce((sum, { lines }) => sum + lines.length, 0);
  return (
    <main className={shell.page}>
      <div className={styles.listHead}>
        <h1>Shopping list</h1>
        <p className="muted">
          {count === 0
            ? 'Nothing is left to buy for what is chosen.'
            : `${count} ${count === 1 ? 'thing' : 'things'} for all that is chosen, less what is in the house: ${cashWords(plan.sums.cash, locale.currency)}`}
        </p>
        {count > 0 && (
          <ListActs
            text={() => shoppingListText(places, locale)}
            csv={() => shoppingListCsv(places, locale)}
            fileName="shopping-list.csv"
          />
        )}
      </div>
      {count === 0 && (
        <Empty title={plan.chosen.length === 0 ? 'Nothing is chosen yet' : 'All of it is paid, or in the house'}>
          <p>
            {plan.chosen.length === 0 ? (
              <>
                The list writes itself from what is chosen on the <Link to="../../compare">board</Link>.
              </>
            ) : (
              <>
                What was paid stands in the <Link to="../../hunt/ledger">ledger</Link>.
              </>
            )}
          </p>
        </Empty>
      )}
      {places.map((place) => (
        <section key={place.name} className={styles.place} aria-label={placeWords(place)}>
          <h2>
            {placeWords(place)} <span>{cashWords(place.cash, locale.currency)}</span>
          </h2>
          {place.tripName !== '' && <p className="small">On the way of “{place.tripName}”.</p>}
          <ul className={styles.plain}>
            {place.lines.map((line) => (
              <ToBuy key={line.id} line={line} />
            ))}
          </ul>
        </section>
      ))}
    </main>
  );
}

/** One thing to buy; ticked, it asks what was really paid. */
function ToBuy(props: { line: ShoppingLine }) {
  const { line } = props;
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const [isOpen, setOpen] = useState(false);
  const { bought, delivery, leftOver, slotNumbers } = line;
  const small = [
    slotNumbers.length > 0 ? `for ${slotNumbers.join(', ')}` : '',
    delivery === null
      ? 'delivery not known'
      : delivery > 0
        ? `${formatMoney(delivery, locale.currency)} of it delivery`
        : '',
    bought.kind === 'supply' && leftOver > 0.05
      ? `${supplyWords(leftOver, bought.unit, locale.units)} will be left`
      : '',
  ].filter((words) => words !== '');
  return (
    <li className={styles.toBuy}>
      {bought.kind === 'trip' ? (
        <span />
      ) : (
        <button
          type="button"
          className={styles.tick}
          aria-expanded={isOpen}
          aria-label={`Bought: ${line.name}`}
          onClick={() => setOpen(!isOpen)}
        />
      )}
      <div>
        <b>{lineWords(line)}</b>
        <small>{small.join(' · ')}</small>
        {isOpen && (
          <SettleBox
            proposed={line.cash.atLeast ? null : line.cash.likely}
            currency={locale.currency}
            canPromise={bought.kind === 'find' || bought.kind === 'offer'}
            onSettle={(settlement) => {
              settle(run, plan, bought, settlement);
              setOpen(false);
            }}
          />
        )}
      </div>
      <span>{cashWords(line.cash, locale.currency)}</span>
    </li>
  );
}

/** Notes what was paid, where it belongs: the find, the order, the stash, the tools. */
function settle(run: ProjectCommands['run'], plan: Plan, bought: Bought, settlement: Settlement): void {
  const { paid, atLeast, ledgerId, atMs } = settlement;
  switch (bought.kind) {
    case 'find':
      run('buyFind', { findId: bought.findId, ...settlement });
      return;
    case 'offer':
      run('orderOffer', { offerId: bought.offerId, ...settlement });
      return;
    case 'supply': {
      const { kindId, colorCardId, sheen } = partsOfSupplyKey(bought.key);
      const supply = plan.model.supply(bought.key).row ?? newSupply(crypto.randomUUID(), kindId, colorCardId, sheen);
      run('buySupply', { supply, amount: bought.amount, paid, atLeast, ledgerId, atMs });
      return;
    }
    case 'tool': {
      const known = plan.rows.tools.find(({ toolId }) => toolId === bought.toolId);
      const tool = known ?? {
        id: crypto.randomUUID(),
        version: 1,
        toolId: bought.toolId,
        owned: false,
        wear: 'good' as const,
      };
      run('buyTool', { tool, paid, atLeast, ledgerId, atMs });
      return;
    }
    case 'trip':
      return;
    default:
      bought satisfies never;
  }
}

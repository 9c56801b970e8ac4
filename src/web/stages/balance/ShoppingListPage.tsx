import { basketSavings } from '@core/balance/basketSavings';
import { paidPack } from '@core/balance/paidPack';
import { type Bought, type ShoppingLine, shoppingList } from '@core/balance/shoppingList';
import { localDate } from '@core/calendar/zonedTime';
import { savingWords } from '@core/formats/shoppingList/savings';
import { cashWords, lineWords, placeWords, shoppingListText } from '@core/formats/shoppingList/write';
import { formatMoney } from '@core/kernel/formatMoney';
import type { Plan } from '@core/plan/computePlan';
import { newSupply } from '@core/plan/newRows';
import { sourceNamed } from '@core/plan/newSource';
import { placeName } from '@core/plan/tripQuestion';
import type { StandIn } from '@core/proposals/standIns';
import { partsOfSupplyKey } from '@core/recipe/supplyKey';
import { supplyWords } from '@core/words/supplyWords';
import type { Remote } from 'comlink';
import { useState } from 'react';
import { Link } from 'react-router';
import { ListActs } from '../../app/ListActs';
import { type ProjectCommands, useCommands, useLocale, usePlan } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { Empty } from '../../ui/basics';
import { later } from '../../ui/later';
import { SettleBox, type Settlement } from '../../ui/SettleBox';
import type { BalanceWork, ToldShopping } from '../../workers/balance.worker';
import styles from './balance.module.css';
import { Cheaper } from './Cheaper';
import { useAtRest } from './useAtRest';

const Instead = later(async () => (await import('./Instead')).Instead);

/** What is still to buy for all that is chosen, place by place: to print, copy, save, and to tick with what was paid. */
export function ShoppingListPage() {
  const plan = usePlan();
  const locale = useLocale();
  const places = shoppingList(plan);
  const savings = basketSavings(plan);
  const found = useShopping();
  const standInsOf = ({ bought }: ShoppingLine) =>
    bought.kind === 'supply' ? (found?.standIns[bought.key] ?? []) : [];
  const alike = (line: ShoppingLine) => alikeAmong(standInsOf(line));
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
            text={() => shoppingListText(places, locale, alike)}
            csv={async () =>
              (await import('@core/formats/shoppingList/writeCsv')).shoppingListCsv(places, locale, alike)
            }
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
      {found?.cheaper && <Cheaper cheaper={found.cheaper} />}
      {places.map((place) => (
        <section key={place.name} className={styles.place} aria-label={placeWords(place)}>
          <h2>
            {placeWords(place)} <span>{cashWords(place.cash, locale.currency)}</span>
          </h2>
          {place.tripName !== '' && <p className="small">On the way of “{place.tripName}”.</p>}
          <ul className={styles.plain}>
            {place.lines.map((line) => (
              <ToBuy key={line.id} line={line} place={place.name} standIns={standInsOf(line)} />
            ))}
          </ul>
          {savings
            .filter((saving) => placeName(saving.place) === placeName(place.name))
            .map((saving) => (
              <p key={savingWords(saving, locale)} className={styles.saving}>
                {savingWords(saving, locale)}.
              </p>
            ))}
        </section>
      ))}
    </main>
  );
}

const askShopping = (work: Remote<BalanceWork>, { rows, asOfMs }: Plan) => work.shopping(rows, asOfMs);

/** The plan rests so long before its list is looked through, ms. */
const REST_MS = 500;

/** What else, and where else, could be bought; null until it was looked for with the plan as it is. */
function useShopping(): ToldShopping | null {
  const { rows } = usePlan();
  const found = useAtRest(REST_MS, askShopping);
  return found?.rows === rows ? found.answer : null;
}

/** A line names so many stand-ins by itself. */
const MOST_NAMED = 2;

/** The stand-ins that a line names by itself: those of the same sheen, the first few. */
const alikeAmong = (standIns: readonly StandIn[]): string[] =>
  standIns
    .filter(({ isSameSheen }) => isSameSheen)
    .slice(0, MOST_NAMED)
    .map(({ name }) => name);

/** One thing to buy; ticked, it asks what was really paid. */
function ToBuy(props: {
  line: ShoppingLine;
  /** Where it is bought; empty where any place will do. */
  place: string;
  standIns: readonly StandIn[];
}) {
  const { line, standIns } = props;
  const alike = alikeAmong(standIns);
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const [isOpen, setOpen] = useState(false);
  const [isElsewhere, setElsewhere] = useState(false);
  const { bought, delivery, leftOver, keepsMonths, slotNumbers } = line;
  const small = [
    slotNumbers.length > 0 ? `for ${slotNumbers.join(', ')}` : '',
    delivery === null
      ? 'delivery not known'
      : delivery > 0
        ? `${formatMoney(delivery, locale.currency)} of it delivery`
        : '',
    bought.kind === 'supply' && leftOver > 0.05
      ? `${supplyWords(leftOver, bought.unit, locale.units)} will be left${keepsMonths === null ? '' : `, good for about ${keepsMonths} months once opened`}`
      : '',
    alike.length > 0 ? `or ${alike.join(', or ')}` : '',
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
        {bought.kind === 'supply' && (
          <button
            type="button"
            className={styles.notThere}
            aria-expanded={isElsewhere}
            aria-label={`Not there: ${line.name}`}
            onClick={() => setElsewhere(!isElsewhere)}
          >
            Not there?
          </button>
        )}
        {isElsewhere && bought.kind === 'supply' && <Instead supplyKey={bought.key} standIns={standIns} />}
        {isOpen && (
          <SettleBox
            proposed={line.cash.atLeast ? null : line.cash.likely}
            currency={locale.currency}
            canPromise={bought.kind === 'find' || bought.kind === 'offer'}
            onSettle={(settlement) => {
              settle(run, plan, bought, props.place, settlement);
              setOpen(false);
            }}
          />
        )}
      </div>
      <span>{cashWords(line.cash, locale.currency)}</span>
    </li>
  );
}

/** Notes what was paid, where it belongs: the find, the order, the stash and the price book, the tools. */
function settle(run: ProjectCommands['run'], plan: Plan, bought: Bought, place: string, settlement: Settlement): void {
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
      const today = localDate(atMs, plan.rows.project.timeZone);
      const of = { packId: crypto.randomUUID(), supplyId: supply.id, today };
      const pack = atLeast ? null : paidPack(plan, bought.key, place, paid, of);
      const sourceId = sourceNamed(plan.rows.sources, place)?.id ?? null;
      run('buySupply', { supply, amount: bought.amount, sourceId, pack, paid, atLeast, ledgerId, atMs });
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

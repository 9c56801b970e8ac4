import { type BalanceAsk, type Goal, goals, mostCashToGo, mostMinutesToGo } from '@core/balance/ask';
import type { Exclusion } from '@core/balance/exclusions';
import { lookOfFills } from '@core/balance/program';
import { type ToldAnswer, type ToldChange, takenSlots } from '@core/balance/toldPlan';
import { Button } from 'antd';
import { useCallback, useMemo, useState } from 'react';
import { Link } from 'react-router';
import { useCommands, useLocale, usePlan } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { BigChoice, Empty, LinkButton } from '../../ui/basics';
import { MoneyField, NumberField } from '../../ui/fields';
import { later } from '../../ui/later';
import { SideBySide } from '../../ui/layout';
import { Answer } from './Answer';
import styles from './balance.module.css';
import { goalWords, lookWords } from './balanceWords';
import { KeptSlots } from './KeptSlots';
import { Remedies } from './Remedies';
import { useBalance } from './useBalance';
import { useServerSearch } from './useServerSearch';
import { Without } from './Without';

// What comes after the first answer.
const Sureness = later(async () => (await import('./Sureness')).Sureness);
const WorthMeasuringNext = later(async () => (await import('./WorthMeasuringNext')).WorthMeasuringNext);
const WaysOut = later(async () => (await import('./WaysOut')).WaysOut);
const Trades = later(async () => (await import('./Trades')).Trades);

/** What the stylist asks for other than the brief says; null where it follows the brief. */
interface OwnLimits {
  cash: number | null;
  minutes: number | null;
  look: number | null;
}

/** Whether nothing better can be found by looking longer. */
const isProven = (answer: ToldAnswer | null): boolean =>
  answer !== null && (answer.kind === 'found' ? answer.open === null : answer.kind === 'nothingFits');

const asInTheBrief: OwnLimits = { cash: null, minutes: null, look: null };

/** Balance: the best set of choices within money, hours and days, as sentences that can be taken and taken back. */
export function BalancePage() {
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const [goal, setGoal] = useState<Goal>('bestLook');
  const [without, setWithout] = useState<readonly Exclusion[]>([]);
  const [own, setOwn] = useState<OwnLimits>(asInTheBrief);
  const { rows, purse } = plan;
  const cash = own.cash ?? mostCashToGo(rows.project, purse);
  const minutes = own.minutes ?? mostMinutesToGo(purse);
  const present = lookOfFills(plan.chosen);
  const look = own.look ?? (goal === 'bestLook' ? null : present);
  const kept = rows.slots
    .filter(({ locked }) => locked)
    .map(({ id }) => id)
    .sort()
    .join();
  // The same set as long as the same slots are kept, so that another goal does not look for the trades anew.
  const lockedSlotIds = useMemo(() => new Set(kept === '' ? [] : kept.split(',')), [kept]);
  const ask = useMemo<BalanceAsk>(
    () => ({ goal, limits: { cash, minutes, look }, lockedSlotIds, leastLiking: 1, without }),
    [goal, cash, minutes, look, lockedSlotIds, without],
  );
  const here = useBalance(plan, ask);
  const server = useServerSearch(ask);
  // What the server found, where it looked longer at just this.
  const balance = useMemo(
    () => (server.answer && !here.isSearching && !isProven(here.answer) ? { ...here, answer: server.answer } : here),
    [here, server.answer],
  );
  const take = useCallback(
    (changes: readonly ToldChange[]) => {
      if (changes.length > 0) run('takeChoices', { slots: takenSlots(plan, changes, () => crypto.randomUUID()) });
    },
    [run, plan],
  );
  const keep = useCallback(
    (slotId: string, locked: boolean) => run('editSlot', { id: slotId, values: { locked } }),
    [run],
  );
  if (rows.options.length === 0)
    return (
      <main className={shell.page}>
        <Empty title="Nothing to balance yet">
          <p>
            Balance chooses among the ways to fill your slots. Add some on the <Link to="../compare">board</Link> first.
          </p>
        </Empty>
      </main>
    );
  return (
    <main className={styles.layout}>
      <section className={styles.ask} aria-label="What is asked">
        <div className={styles.tradesHead}>
          <h2>What gives?</h2>
          <LinkButton to="list">Shopping list</LinkButton>
        </div>
        <BigChoice
          label="Of all plans that fit, the one with"
          value={goal}
          across={2}
          choices={goals.map((value) => ({ value, ...goalWords[value] }))}
          onChange={setGoal}
        />
        <SideBySide across={3}>
          <MoneyField
            label="Money left"
            value={cash}
            currency={locale.currency}
            hint="for what is still to pay"
            onCommit={(value) => setOwn((before) => ({ ...before, cash: value }))}
          />
          <NumberField<number | null>
            label="Hours left"
            value={minutes === null ? null : Math.round((minutes / 60) * 100) / 100}
            least={0}
            most={10_000}
            digits={2}
            nullable
            suffix="h"
            hint={minutes === null ? 'no limit' : 'for what is still to do'}
            onCommit={(hours) => setOwn((before) => ({ ...before, minutes: hours === null ? null : hours * 60 }))}
          />
          <NumberField<number | null>
            label="Keep the look at"
            value={look === null ? null : Math.round(look * 10) / 10}
            least={0}
            most={10_000}
            digits={1}
            nullable
            hint={`now ${lookWords(present)}${look === null ? '; no floor' : ''}`}
            onCommit={(value) => setOwn((before) => ({ ...before, look: value }))}
          />
        </SideBySide>
        {(own.cash !== null || own.minutes !== null || own.look !== null) && (
          <p className="small" style={{ margin: '4px 0 0' }}>
            Other limits than the brief has.{' '}
            <Button size="small" type="link" onClick={() => setOwn(asInTheBrief)}>
              As in the brief
            </Button>
          </p>
        )}
        <Without without={without} onChange={setWithout} />
        <Remedies remedies={balance.remedies} onTake={take} />
        {balance.sure && (
          <Sureness
            sure={balance.sure}
            limits={{ cash: rows.project.budget - purse.money.spent - purse.money.promised, minutes }}
          />
        )}
        <WorthMeasuringNext />
        <KeptSlots onKeep={keep} />
        <WaysOut out={balance.out} />
      </section>
      <div className={styles.right}>
        <Answer balance={balance} server={server} limits={ask.limits} onTake={take} onKeep={keep} />
        <Trades ask={ask} waits={balance.isSearching} onTake={take} />
      </div>
    </main>
  );
}

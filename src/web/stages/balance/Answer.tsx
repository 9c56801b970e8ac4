import { type Limits, SAME_LOOK } from '@core/balance/ask';
import { lookOfFills } from '@core/balance/program';
import type { ToldChange, ToldPlan } from '@core/balance/toldPlan';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { MICRO } from '@core/kernel/micro';
import { Button } from 'antd';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../app/projectStore';
import { WorkLine } from '../../app/WorkLine';
import { Empty } from '../../ui/basics';
import { WorkShare } from '../../ui/WorkShare';
import styles from './balance.module.css';
import { canGainWords, lookWords, oddsWords, wayOutWords } from './balanceWords';
import { Change } from './Change';
import type { BalanceState } from './useBalance';
import type { ServerSearch } from './useServerSearch';

interface Acts {
  onTake: (changes: readonly ToldChange[]) => void;
  onKeep: (slotId: string, locked: boolean) => void;
}

/** The best plan found, as changes of the present one; while the search goes on, the best so far. */
export function Answer(
  props: {
    balance: BalanceState & { stop: () => void; again: () => void };
    server: ServerSearch;
    limits: Limits;
  } & Acts,
) {
  const { balance } = props;
  const { answer, isSearching } = balance;
  const found = answer?.kind === 'found' ? answer : null;
  const shown = found ?? (answer === null ? balance.plan : null);
  return (
    <section className={styles.answer} aria-label="Answer">
      <Search balance={balance} server={props.server} />
      {props.server.goesOn && (
        <WorkLine work={props.server.goesOn} what="The server looks for a better plan:" unit=" s" />
      )}
      {props.server.problem !== '' && <p role="alert">{props.server.problem}</p>}
      {shown && (
        <FoundPlan
          plan={shown}
          isFinal={found !== null}
          limits={props.limits}
          onTake={props.onTake}
          onKeep={props.onKeep}
        />
      )}
      {found && found.overAtWorst > 0 && <AtWorst minor={found.overAtWorst} chance={found.sure.overBudget} />}
      {found && found.offTogetherMinor > 0 && <OffTogether minor={found.offTogetherMinor} />}
      {found && found.cutsAdd > 0 && <CutsAdd minor={found.cutsAdd} />}
      {!shown && isSearching && <Skeleton />}
      {answer?.kind === 'nothingFits' && (
        <div role="status">
          <h3>Nothing fits</h3>
          <p className={styles.lead}>
            No set of choices keeps this money, these hours{props.limits.look === null ? '' : ' and this look'} with
            every must filled.
          </p>
          {answer.waysOut.length === 0 && (
            <p>
              A must has no way that could be chosen, whatever gives. Make it less than a must in the sketch, or add a
              way for it on the board.
            </p>
          )}
          {answer.waysOut.map((way) => (
            <WayOut key={way.kind} title={wayOutTitle[way.kind]} plan={way} {...props}>
              <WayOutSentence way={way} />
            </WayOut>
          ))}
        </div>
      )}
      {(answer?.kind === 'noAnswer' || answer?.kind === 'wrong') && (
        <Empty title={answer.kind === 'wrong' ? 'The answer did not pass its check' : 'No answer this time'}>
          <p>
            {answer.kind === 'wrong'
              ? `What was found contradicts the purse (${answer.what.join(', ')}), so it is not shown. Your plan is as it was.`
              : `The search ended without one: ${answer.reason}. Your plan is as it was.`}
          </p>
          <Button type="primary" onClick={props.balance.again}>
            Try again
          </Button>
        </Empty>
      )}
    </section>
  );
}

const wayOutTitle = {
  moreMoney: 'More money',
  moreHours: 'More hours',
  laterReveal: 'A later reveal',
  lessLook: 'Less of the look',
  moreOfBoth: 'More money and more hours',
  lookBeyondAll: 'The best look there is',
} as const;

/** What promotions over several pieces take off, which the purse leaves out. */
function OffTogether(props: { minor: number }) {
  const { currency } = useLocale();
  return (
    <p className="small" style={{ margin: 0 }}>
      Bought together, {formatMoney(props.minor, currency)} more should come off at the till; the purse does not count
      on it. The <Link to="list">shopping list</Link> of the plan you take says where.
    </p>
  );
}

function WayOutSentence(props: { way: Parameters<typeof wayOutWords>[0] }) {
  return <>{wayOutWords(props.way, useLocale())}</>;
}

/** How the search goes, and how sure its answer is. */
function Search(props: { balance: BalanceState & { stop: () => void; again: () => void }; server: ServerSearch }) {
  const { server } = props;
  const { isSearching, progress, plan, answer, isStopped } = props.balance;
  const locale = useLocale();
  if (isSearching)
    return (
      <div className={styles.search}>
        <WorkShare label="Searching" share={null} />
        <span role="status">
          {progress && plan ? `A good plan so far${gainOf(progress, locale)}` : 'Looking through the ways'}
        </span>
        {plan && (
          <Button size="small" onClick={props.balance.stop}>
            Stop, this will do
          </Button>
        )}
      </div>
    );
  const words = (() => {
    if (answer?.kind === 'found')
      return answer.open === null
        ? answer.cutsAdd > 0
          ? `Proven but for what is cut: laid out otherwise, another set of choices may be up to ${formatMoney(answer.cutsAdd, locale.currency)} better.`
          : 'Proven: no other set of choices does better.'
        : `Out of time: ${canGainWords(answer.open.goal, answer.open.canGain, locale) || 'how near it is to the best is not known'}.`;
    if (isStopped && progress) return `Stopped${gainOf(progress, locale)}.`;
    return '';
  })();
  return words === '' ? null : (
    <p className={styles.proof} role="status">
      {words}{' '}
      {(answer?.kind === 'found' ? answer.open !== null : isStopped) && (
        <>
          <Button size="small" onClick={props.balance.again}>
            Search on
          </Button>{' '}
          {server.goesOn === null && (
            <Button size="small" onClick={server.begin}>
              Let the server search, up to 10 minutes
            </Button>
          )}{' '}
          {server.answer && 'The server has looked at this as long as it may.'}
          {server.isOfBefore && 'What the server found was for the plan as it was then, or for another question.'}
        </>
      )}
    </p>
  );
}

function gainOf(
  progress: { goal: Parameters<typeof canGainWords>[0]; canGain: number },
  locale: Parameters<typeof canGainWords>[2],
): string {
  const words = canGainWords(progress.goal, progress.canGain, locale);
  return words === '' ? '' : `; ${words}`;
}

const Skeleton = () => (
  <div aria-hidden="true" className={styles.skeleton}>
    <span />
    <span />
    <span />
  </div>
);

const AtWorst = (props: { minor: number; chance: number }) => {
  const { currency } = useLocale();
  return (
    <p className="small" style={{ margin: 0 }}>
      At the likely prices. Should every price come out at its high end, it is {formatMoney(props.minor, currency)}{' '}
      over; over the budget it comes out {oddsWords(props.chance)}.
    </p>
  );
};

const CutsAdd = (props: { minor: number }) => {
  const { currency } = useLocale();
  return (
    <p className="small">
      What is cut is laid out for all of it together: that takes {formatMoney(props.minor, currency)} more than the
      least it could, and the money above has it in.
    </p>
  );
};

/** What a plan leaves of money and hours, and what becomes of slots and look. */
function FoundPlan(props: { plan: ToldPlan; isFinal: boolean; limits: Limits } & Acts) {
  const plan = usePlan();
  const locale = useLocale();
  const { changes } = props.plan;
  return (
    <>
      <p className={styles.lead}>{leadWords(plan, props.plan, props.limits, props.isFinal, locale.currency)}</p>
      {changes.length > 0 && (
        <ul className={styles.changes} aria-label="Changes">
          {changes.map((change) => (
            <Change
              key={change.slotId}
              change={change}
              action={{ words: 'Keep as it is', act: () => props.onKeep(change.slotId, true) }}
              onTake={() => props.onTake([change])}
            />
          ))}
        </ul>
      )}
      {changes.length > 0 && (
        <div className={styles.act}>
          <Button type="primary" size="large" onClick={() => props.onTake(changes)}>
            {changes.length === 1 ? 'Take it' : `Take all ${changes.length}`}
          </Button>
          <span className="muted">one step to undo</span>
        </div>
      )}
    </>
  );
}

function leadWords(
  plan: ReturnType<typeof usePlan>,
  { changes, figures }: ToldPlan,
  limits: Limits,
  isFinal: boolean,
  currency: string,
): ReactNode {
  const present = lookOfFills(plan.chosen);
  const spare = [
    limits.cash === null ? null : formatMoney(limits.cash - figures.cash, currency),
    limits.minutes === null ? null : formatMinutes(limits.minutes - figures.handsMicro / MICRO),
  ].filter((words) => words !== null);
  const lookBy = figures.look - present;
  const lookSays =
    Math.abs(lookBy) < 0.05
      ? `the look stays at ${lookWords(figures.look)}`
      : lookBy > 0
        ? `the look gains ${lookWords(lookBy)}, to ${lookWords(figures.look)}`
        : `the look loses ${lookWords(-lookBy)} of ${lookWords(present)}`;
  const count = changes.length;
  const isOver =
    (limits.cash !== null && plan.sums.cash.likely > limits.cash) ||
    (limits.minutes !== null && plan.sums.minutes.likely > limits.minutes) ||
    (limits.look !== null && present < limits.look - SAME_LOOK);
  const verb = isOver ? (count === 1 ? 'closes it' : 'close it') : count === 1 ? 'makes it better' : 'make it better';
  if (count === 0)
    return isFinal ? (
      <>
        The plan stands as it is: {spare.length > 0 ? <u>{spare.join(' and ')} to spare</u> : 'nothing beats it'},{' '}
        {lookSays}.
      </>
    ) : (
      'So far nothing beats the plan as it is.'
    );
  return (
    <>
      {count === 1 ? 'One change' : `${count} changes`} {verb}
      {spare.length > 0 && (
        <>
          : <u>{spare.join(' and ')} to spare</u>
        </>
      )}
      , {lookSays}.
    </>
  );
}

/** One way out where nothing fits, with the plan that it allows. */
function WayOut(props: { title: string; plan: ToldPlan; children: ReactNode } & Acts) {
  return (
    <details className={styles.wayOut}>
      <summary>{props.children}</summary>
      <ul className={styles.changes} aria-label={`Changes with: ${props.title}`}>
        {props.plan.changes.map((change) => (
          <Change
            key={change.slotId}
            change={change}
            action={{ words: 'Keep as it is', act: () => props.onKeep(change.slotId, true) }}
            onTake={() => props.onTake([change])}
          />
        ))}
      </ul>
      {props.plan.changes.length > 0 && (
        <Button onClick={() => props.onTake(props.plan.changes)}>Take these {props.plan.changes.length}</Button>
      )}
    </details>
  );
}

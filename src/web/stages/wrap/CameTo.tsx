import { localDate } from '@core/calendar/zonedTime';
import { againstPlan } from '@core/closing/againstPlan';
import {
  cameToSentence,
  cashAgainst,
  minutesAgainst,
  missSentences,
  originSentence,
  savedSentence,
} from '@core/closing/closingWords';
import { explainCameTo, explainHoursCameTo, explainPerHour, explainSaved } from '@core/closing/explainClosing';
import { freezesInOrder } from '@core/closing/freezePlan';
import { cashOf, minutesOf, reckon } from '@core/closing/reckon';
import { originShares, savedAgainstNew } from '@core/closing/saved';
import { taughtFactors } from '@core/closing/workByKind';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { upperFirst } from '@core/schedule/benchWords';
import { type ComponentProps, type ReactNode, useMemo, useState } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import { ReasonsDrawer } from '../../app/ReasonsDrawer';
import { useSearchState } from '../../app/useSearchState';
import { dayOf } from '../../app/words';
import { Charted } from '../../ui/Charted';
import { later } from '../../ui/later';
import { Freezes } from './Freezes';
import { OriginsTable, OverTimeTable, SlotsTable } from './tables';
import styles from './wrap.module.css';

// Figures and charts first; what they consist of comes after them.
const Lists = later(async () => (await import('./Lists')).Lists);
const WhyTree = later(async () => (await import('../../app/WhyTree')).WhyTree);
const OriginsChart = later(async () => (await import('./charts')).OriginsChart);
const SlotsChart = later(async () => (await import('./charts')).SlotsChart);
const OverTimeChart = later(async () => (await import('./charts')).OverTimeChart);

type Why = 'money' | 'hours' | 'saved' | 'perHour';

/** The reckoning: what it came to against what was planned and against new, where it came from, what the estimates missed. */
export function CameTo() {
  const plan = usePlan();
  const { currency, timeZone } = useLocale();
  const [search] = useSearchState();
  const [why, setWhy] = useState<Why | null>(null);
  const { rows } = plan;
  const freezes = freezesInOrder(rows.planFreezes);
  const freeze = freezes.find(({ id }) => id === search.get('freeze')) ?? freezes[0] ?? null;
  const frozen = freeze?.plan ?? null;
  const reckoned = useMemo(() => {
    const reckoning = reckon(plan);
    const saved = savedAgainstNew(plan, reckoning);
    return {
      reckoning,
      saved,
      shares: originShares(plan, reckoning, saved),
      taught: taughtFactors(plan),
    };
  }, [plan]);
  const { reckoning, saved, shares, taught } = reckoned;
  const against = useMemo(() => againstPlan(plan, frozen, reckoning), [plan, frozen, reckoning]);
  const { all } = reckoning;
  const money = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
  const { lastUsableMs } = plan.purse.days;
  const readyOn = lastUsableMs === null ? null : localDate(lastUsableMs, timeZone);
  const missed = frozen === null ? [] : missSentences(against, taught, frozen, currency);
  const trees: Readonly<Record<Why, () => ComponentProps<typeof WhyTree>['tree']>> = {
    money: () => explainCameTo(reckoning),
    hours: () => explainHoursCameTo(reckoning, (id) => rows.spots.find((spot) => spot.id === id)?.name ?? 'A spot'),
    saved: () => explainSaved(saved),
    perHour: () => explainPerHour(saved),
  };
  return (
    <div className={styles.page}>
      <p className={styles.lead}>{cameToSentence(reckoning, frozen, currency)}</p>
      <Freezes freezes={freezes} shown={freeze} />
      <ul className={styles.figures} aria-label="What it came to">
        <Figure
          name="Money"
          value={`${all.atLeast ? 'at least ' : ''}${money(cashOf(all))}`}
          said={[
            cashAgainst({ planned: frozen?.cash.likely ?? null, actual: cashOf(all) }, currency),
            all.stash > 0 ? `and ${money(all.stash)} off the shelf` : '',
          ]}
          onWhy={() => setWhy('money')}
        />
        <Figure
          name="Hours"
          value={formatMinutes(minutesOf(all))}
          said={[minutesAgainst({ planned: frozen?.minutes.likely ?? null, actual: minutesOf(all) })]}
          onWhy={() => setWhy('hours')}
        />
        <Figure
          name="Ready"
          value={readyOn === null ? 'nothing yet' : dayOf(readyOn)}
          said={[
            frozen?.usableOn && readyOn
              ? frozen.usableOn === readyOn
                ? 'as planned'
                : `planned for ${dayOf(frozen.usableOn)}`
              : '',
            rows.project.revealDate && readyOn ? (readyOn <= rows.project.revealDate ? 'in time' : 'late') : '',
          ]}
        />
        <Figure
          name="Saved against new"
          value={saved.slots.length === 0 ? 'not known' : money(saved.saved)}
          said={[
            saved.slots.length === 0
              ? 'nothing to hold it against'
              : `${saved.slots.length} of ${saved.slots.length + saved.without.length} filled slots have a yardstick`,
          ]}
          {...(saved.slots.length > 0 ? { onWhy: () => setWhy('saved') } : {})}
        />
        <Figure
          name="Your hour earned"
          value={saved.perHour === null || saved.slots.length === 0 ? 'not priced' : money(saved.perHour)}
          said={[
            saved.perHourOfThese === null || saved.slots.length === 0
              ? ''
              : `${money(saved.perHourOfThese)} without the slots that nothing is held against`,
            saved.notLoggedMinutes >= 1 ? `${formatMinutes(saved.notLoggedMinutes)} are as planned, not logged` : '',
          ]}
          {...(saved.slots.length > 0 ? { onWhy: () => setWhy('perHour') } : {})}
        />
      </ul>
      <p className={styles.say}>{savedSentence(saved, currency)}</p>
      <div className={styles.charts}>
        <Charted
          title="Where it came from"
          sentence={originSentence(shares)}
          isEmpty={shares.length === 0}
          chart={<OriginsChart shares={shares} currency={currency} />}
          table={<OriginsTable shares={shares} currency={currency} />}
        />
        <Charted
          title="Money and hours over time"
          sentence={timeSentence(against, currency)}
          isEmpty={against.weeks.length === 0}
          chart={<OverTimeChart weeks={against.weeks} currency={currency} />}
          table={<OverTimeTable weeks={against.weeks} currency={currency} />}
        />
      </div>
      <Charted
        title="Planned and actual, slot by slot"
        sentence={slotsSentence(against)}
        isEmpty={against.slots.length === 0}
        chart={<SlotsChart slots={against.slots} currency={currency} />}
        table={<SlotsTable slots={against.slots} saved={saved} currency={currency} />}
      />
      <Lists against={against} reckoning={reckoning} missed={missed} hasPlan={frozen !== null} />
      <ReasonsDrawer open={why !== null} onClose={() => setWhy(null)} title={why ? whyTitles[why] : ''}>
        {why && <WhyTree tree={trees[why]()} />}
      </ReasonsDrawer>
    </div>
  );
}

const whyTitles: Readonly<Record<Why, string>> = {
  money: 'Why this much money',
  hours: 'Why these hours',
  saved: 'Why this was saved',
  perHour: 'Why an hour earned this',
};

function timeSentence({ weeks }: ReturnType<typeof againstPlan>, currency: string): string {
  const worked = weeks.filter(({ minutes }) => (minutes.actual ?? 0) > 0);
  const most = [...weeks].sort((a, b) => (b.minutes.actual ?? 0) - (a.minutes.actual ?? 0))[0];
  const cash = weeks.reduce((sum, week) => sum + week.cash, 0);
  if (weeks.length === 0) return 'Nothing was paid or logged yet.';
  const spent = `${formatMoney(cash, currency, { cents: 'auto' })} left the purse`;
  if (!most || worked.length === 0) return `${spent}; no hours were logged yet.`;
  return `${spent} over ${weeks.length} ${weeks.length === 1 ? 'week' : 'weeks'}; most was done in the week of ${dayOf(most.monday)}, ${formatMinutes(most.minutes.actual ?? 0)}.`;
}

function slotsSentence({ slots }: ReturnType<typeof againstPlan>): string {
  const others = slots.filter(({ isOther }) => isOther).length;
  const open = slots.filter(({ isOpen }) => isOpen).length;
  const parts = [
    others === 0 ? '' : `${others} ${others === 1 ? 'slot is' : 'slots are'} filled otherwise than planned`,
    open === 0 ? '' : `of ${open} something is still planned`,
  ].filter((words) => words !== '');
  return parts.length === 0 ? 'Every slot is filled as it was planned, and done.' : `${upperFirst(parts.join('; '))}.`;
}

/** One figure of the reckoning with what is said of it; the figure itself leads to its reasons. */
function Figure(props: { name: string; value: string; said: readonly string[]; onWhy?: () => void }) {
  const said = props.said.filter((words) => words !== '');
  const value: ReactNode = <b>{props.value}</b>;
  return (
    <li>
      <span className={styles.name}>{props.name}</span>
      {props.onWhy ? (
        <button type="button" onClick={props.onWhy} aria-label={`${props.name}: ${props.value}. Why?`}>
          {value}
        </button>
      ) : (
        value
      )}
      {said.map((words) => (
        <small key={words}>{words}</small>
      ))}
    </li>
  );
}

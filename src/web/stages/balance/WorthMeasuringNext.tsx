import type { Estimate, WorthMeasuring } from '@core/balance/worthMeasuring';
import { formatMoney } from '@core/kernel/formatMoney';
import type { Plan } from '@core/plan/computePlan';
import type { Remote } from 'comlink';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../app/projectStore';
import type { BalanceWork } from '../../workers/balance.worker';
import styles from './balance.module.css';
import { fillWords } from './balanceWords';
import { useAtRest } from './useAtRest';

/** The plan rests so long before it is looked for what could change it, ms. */
const REST_MS = 1200;
/** A line tells so many of the slots that an estimate decides. */
const MOST_SLOTS = 2;

/** What is only estimated and could change a choice, the dearest first: a price to ask, a size to measure. */
export function WorthMeasuringNext() {
  const plan = usePlan();
  const { currency } = useLocale();
  const found = useWorth();
  return (
    <section aria-labelledby="worth-measuring">
      <h3 id="worth-measuring" className={styles.sub}>
        Worth measuring next
      </h3>
      {(found === null || found.length === 0) && (
        <p role="status" className="small">
          {found === null ? 'Looking …' : 'Nothing that is only estimated would change a choice.'}
        </p>
      )}
      <ul className={styles.plain}>
        {found?.map(({ estimate, changes, stake }) => (
          <li key={keyOf(estimate)} className={styles.worth}>
            <b>
              <EstimateName estimate={estimate} />
            </b>{' '}
            <small>up to {formatMoney(stake, currency, { cents: 'auto' })} goes by it</small>
            {changes.slice(0, MOST_SLOTS).map(({ slotId, end, from, to }) => (
              <p key={`${slotId} ${end}`}>
                {endWords(estimate, end)}, {plan.slot(slotId)?.slot.name}:{' '}
                {fillWords(plan, slotId, [{ optionId: to, count: 1 }])} is the better deal, not{' '}
                {fillWords(plan, slotId, [{ optionId: from, count: 1 }])}.
              </p>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}

const keyOf = (estimate: Estimate): string =>
  estimate.kind === 'price'
    ? `${estimate.of} ${estimate.id}`
    : estimate.kind === 'size'
      ? estimate.findId
      : estimate.kind === 'coverage'
        ? estimate.coatingId
        : estimate.kind;

/** What to look up, measure or time, and where to say it. */
function EstimateName(props: { estimate: Estimate }) {
  const { estimate } = props;
  switch (estimate.kind) {
    case 'price': {
      const words = `The price of ${estimate.name}`;
      return estimate.of === 'find' ? <Link to={`../hunt?find=${estimate.id}`}>{words}</Link> : words;
    }
    case 'size':
      return <Link to={`../hunt?find=${estimate.findId}`}>The size of {estimate.name}</Link>;
    case 'coverage':
      return <Link to="../assumptions">How far {estimate.name.toLowerCase()} spreads</Link>;
    case 'minutes':
      return 'How long the work takes you';
    default:
      return estimate satisfies never;
  }
}

/** One end of an estimate, as a beginning of a sentence. */
function endWords(estimate: Estimate, end: 'low' | 'high'): string {
  switch (estimate.kind) {
    case 'price':
      return end === 'low' ? 'At its low end' : 'At its high end';
    case 'size':
      return end === 'low' ? 'If it is smaller' : 'If it is larger';
    case 'coverage':
      return end === 'low' ? 'If it spreads less' : 'If it spreads farther';
    case 'minutes':
      return end === 'low' ? 'If it goes quicker' : 'If it takes longer';
    default:
      return estimate satisfies never;
  }
}

const askWorth = (work: Remote<BalanceWork>, { rows, asOfMs }: Plan) => work.worth(rows, asOfMs);

/**
 * What could change the plan, looked for once it rests; null until then. What was found for another plan stands until this
 * one was looked at, so that nothing jumps; ways that are gone are not told.
 */
function useWorth(): readonly WorthMeasuring[] | null {
  const plan = usePlan();
  const found = useAtRest(REST_MS, askWorth);
  return (
    found?.answer.filter((entry) => entry.changes.every(({ from, to }) => plan.option(from) && plan.option(to))) ?? null
  );
}

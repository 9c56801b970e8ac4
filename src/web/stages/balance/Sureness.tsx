import { type Cause, DRAWS, type Driver, type PlanDraws, type Spread } from '@core/balance/draws';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { useLocale } from '../../app/projectStore';
import styles from './balance.module.css';
import { oddsWords } from './balanceWords';

function causeWords(cause: Cause): string {
  switch (cause.kind) {
    case 'minutes':
      return 'how long the work takes';
    case 'skill':
      return 'your skill';
    case 'coverage':
      return 'how far paint spreads';
    case 'price':
      return `the price of ${cause.name.toLowerCase()}`;
    default:
      return cause satisfies never;
  }
}

const driverWords = (drivers: readonly Driver[]): string => drivers.map(({ cause }) => causeWords(cause)).join(', ');

/** How sure the plan is: what it may come to, the chances of over, short and late, and what moves them most. */
export function Sureness(props: { sure: PlanDraws; limits: { cash: number; minutes: number | null } }) {
  const { sure, limits } = props;
  const { currency } = useLocale();
  const money = (minor: number) => formatMoney(Math.round(minor / 100) * 100, currency, { cents: 'auto' });
  const { cash, minutes, moves } = sure;
  return (
    <section aria-labelledby="sure">
      <h3 id="sure" className={styles.sub}>
        How sure is the plan now?
      </h3>
      <dl className={styles.sure}>
        <dt>Money</dt>
        <dd>
          <b>{cash.low === cash.high ? money(cash.middle) : `${money(cash.low)} to ${money(cash.high)}`}</b>
          <Picture spread={cash} limit={limits.cash} />
          <small>
            over the budget {oddsWords(sure.overBudget)}; what is kept back covers it {oddsWords(sure.reserveCovers)}
            {moves.cash.length > 0 && `. Most depends on ${driverWords(moves.cash)}`}
          </small>
        </dd>
        <dt>Hands</dt>
        <dd>
          <b>
            {formatMinutes(minutes.low)} to {formatMinutes(minutes.high)}
          </b>
          <Picture spread={minutes} limit={limits.minutes} />
          <small>
            {sure.overHours === null ? 'no limit of hours' : `more hours than there are ${oddsWords(sure.overHours)}`}
            {moves.minutes.length > 0 && `. Most depends on ${driverWords(moves.minutes)}`}
          </small>
        </dd>
        {sure.late !== null && (
          <>
            <dt>Days</dt>
            <dd>
              <small>not ready before the reveal {oddsWords(sure.late)}</small>
            </dd>
          </>
        )}
      </dl>
      <p className="small" style={{ margin: '2px 0 0' }}>
        Eight of ten outcomes lie between the two figures, reckoned from {DRAWS.toLocaleString('en-US')} draws of
        prices, minutes and paint.
      </p>
    </section>
  );
}

/** A small picture of a spread, with the limit as a line where it falls inside. */
function Picture(props: { spread: Spread; limit: number | null }) {
  const { least, most, steps } = props.spread;
  const tallest = Math.max(1, ...steps);
  const place = props.limit === null || most <= least ? null : (props.limit - least) / (most - least);
  if (most <= least) return null;
  return (
    <svg className={styles.spread} viewBox="0 0 100 20" preserveAspectRatio="none" aria-hidden="true">
      {steps.map((count, n) => {
        const height = (count / tallest) * 19;
        return <rect key={`${n * 5}`} x={n * 5 + 0.3} y={20 - height} width={4.4} height={height} />;
      })}
      {place !== null && place >= 0 && place <= 1 && <line x1={place * 100} x2={place * 100} y1={0} y2={20} />}
    </svg>
  );
}

import { type BalanceAsk, keepsLimits } from '@core/balance/ask';
import type { TradedAgainst } from '@core/balance/frontier';
import { lookOfFills } from '@core/balance/program';
import type { ToldChange, ToldPoint } from '@core/balance/toldPlan';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { MICRO } from '@core/kernel/micro';
import { Button } from 'antd';
import { useState } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import { Segments } from '../../ui/basics';
import { later } from '../../ui/later';
import styles from './balance.module.css';
import { changeWords, lookWords } from './balanceWords';
import { Change } from './Change';
import { useTrades } from './useTrades';

const TradesChart = later(
  async () => (await import('./TradesChart')).TradesChart,
  () => <div className={styles.chartWaits} aria-hidden="true" />,
);

const keyOf = ({ figures }: ToldPoint) => `${figures.cash} ${figures.handsMicro} ${figures.look}`;
const minutesOf = ({ figures }: ToldPoint) => figures.handsMicro / MICRO;

/** What a trade is told by beside its cash. */
const tradedValue = (point: ToldPoint, against: TradedAgainst) =>
  against === 'hours' ? minutesOf(point) : point.figures.look;

/** Every sensible trade of money against hours, or against the look: a chart to press, a table that says the same, and the plan of each. */
export function Trades(props: { ask: BalanceAsk; waits: boolean; onTake: (changes: readonly ToldChange[]) => void }) {
  const plan = usePlan();
  const locale = useLocale();
  const present = lookOfFills(plan.chosen);
  const look = props.ask.limits.look ?? present;
  const [against, setAgainst] = useState<TradedAgainst>('hours');
  const { frontier, isSearching, reason } = useTrades(plan, props.ask, against, look, props.waits);
  // The plan that is shown stays while finer steps come in between.
  const [chosen, setChosen] = useState<string | null>(null);
  const points = frontier?.points ?? [];
  const { cash, minutes } = props.ask.limits;
  const fits = ({ figures }: ToldPoint) => keepsLimits(figures, props.ask.limits);
  // Nothing pressed yet: the cheapest of those that fit; against the look the best of them.
  const fitting = against === 'hours' ? points.findIndex(fits) : points.findLastIndex(fits);
  const shown = points.find((point) => keyOf(point) === chosen) ?? points[Math.max(0, fitting)] ?? points[0];
  const at = shown ? points.indexOf(shown) : -1;
  const choose = (n: number) => {
    const point = points[n];
    if (point) setChosen(keyOf(point));
  };
  return (
    <section className={styles.trades} aria-labelledby="trades">
      <div className={styles.tradesHead}>
        <h3 id="trades">Every sensible trade of money against {against === 'hours' ? 'hours' : 'the look'}</h3>
        <span className="muted small">
          {against === 'hours'
            ? `nothing beats these at a look of ${lookWords(look)} or more`
            : minutes === null
              ? 'nothing beats these, however long they take'
              : `nothing beats these within ${formatMinutes(minutes)}`}
        </span>
        <Segments<TradedAgainst>
          label="Money against"
          value={against}
          options={[
            { value: 'hours', label: 'hours' },
            { value: 'look', label: 'look' },
          ]}
          onChange={(next) => {
            setAgainst(next);
            setChosen(null);
          }}
        />
      </div>
      {points.length === 0 && (
        <p role="status" className="small">
          {reason !== ''
            ? `They could not be found this time: ${reason}.`
            : isSearching
              ? 'Looking for them …'
              : against === 'hours'
                ? `No plan has a look of ${lookWords(look)} with every must filled.`
                : 'No plan fills every must within these hours.'}
        </p>
      )}
      {shown && (
        <>
          <TradesChart
            points={points.map((point) => ({
              cash: point.figures.cash,
              value: tradedValue(point, against),
              fits: fits(point),
            }))}
            against={against}
            present={{
              cash: plan.sums.cash.likely,
              value: against === 'hours' ? plan.sums.minutes.likely : present,
            }}
            limits={{ cash, value: against === 'hours' ? minutes : props.ask.limits.look }}
            chosen={at}
            currency={locale.currency}
            onChoose={choose}
          />
          <p className={styles.tradeSays} role="status">
            <b>
              {formatMoney(shown.figures.cash, locale.currency)} and{' '}
              {against === 'hours'
                ? formatMinutes(minutesOf(shown))
                : `a look of ${lookWords(shown.figures.look)}, in ${formatMinutes(minutesOf(shown))}`}
            </b>
            . {frontier?.hasCuts ? 'What is cut counts by the least it can take. ' : ''}
            {against === 'hours' ? rateWords(points, at, locale.currency) : lookRateWords(points, at, locale.currency)}{' '}
            {isSearching ? 'Finer steps follow.' : ''}
          </p>
          {shown.fromNeighbor.length > 0 && (
            <>
              <h4 className={styles.sub}>This trade, against its neighbor of less money</h4>
              <ul className={styles.changes} aria-label="Against its neighbor">
                {shown.fromNeighbor.map((change) => (
                  <Change key={change.slotId} change={change} />
                ))}
              </ul>
            </>
          )}
          <div className={styles.act}>
            <Button type="primary" disabled={shown.changes.length === 0} onClick={() => props.onTake(shown.changes)}>
              {shown.changes.length === 0 ? 'This is the plan now' : 'Take this plan'}
            </Button>
            <span className="muted small">
              {shown.changes.length === 0
                ? ''
                : `${shown.changes.length} ${shown.changes.length === 1 ? 'change' : 'changes'} of the plan now`}
            </span>
          </div>
          <details>
            <summary>The same as a table</summary>
            <table className={styles.table}>
              <thead>
                <tr>
                  <th>Cash to go</th>
                  <th>Hands</th>
                  {against === 'look' && <th>Look</th>}
                  <th>Against the one before</th>
                  <th />
                </tr>
              </thead>
              <tbody>
                {points.map((point, n) => (
                  <tr key={n} aria-current={n === at}>
                    <td>{formatMoney(point.figures.cash, locale.currency)}</td>
                    <td>{formatMinutes(minutesOf(point))}</td>
                    {against === 'look' && <td>{lookWords(point.figures.look)}</td>}
                    <td>
                      {point.fromNeighbor
                        .map((change) => `${plan.slot(change.slotId)?.slot.name}: ${changeWords(plan, change).what}`)
                        .join('; ') || 'the least cash there is'}
                      {fits(point) ? '' : ' (beyond a limit)'}
                    </td>
                    <td>
                      <Button size="small" onClick={() => choose(n)} aria-label={`Show trade ${n + 1}`}>
                        Show
                      </Button>
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
          </details>
        </>
      )}
    </section>
  );
}

/** What an hour more, and an hour less, is worth at a point of the frontier. */
function rateWords(points: readonly ToldPoint[], at: number, currency: string): string {
  const [more, here, less] = [points[at - 1], points[at], points[at + 1]];
  const rate = (a: ToldPoint, b: ToldPoint) =>
    Math.round((b.figures.cash - a.figures.cash) / ((minutesOf(a) - minutesOf(b)) / 60));
  const money = (minor: number) => formatMoney(Math.round(minor / 100) * 100, currency, { cents: 'auto' });
  if (!here) return '';
  return [
    more
      ? `An hour more at the bench saves ${money(rate(more, here))} here.`
      : 'No plan costs less, however long it takes.',
    less ? `An hour less costs ${money(rate(here, less))}.` : 'No plan is quicker.',
  ].join(' ');
}

/** What more of the look costs, and what less of it saves, at a point of the frontier. */
function lookRateWords(points: readonly ToldPoint[], at: number, currency: string): string {
  const [less, here, more] = [points[at - 1], points[at], points[at + 1]];
  if (!here) return '';
  const step = (a: ToldPoint, b: ToldPoint) =>
    `${lookWords(Math.abs(b.figures.look - a.figures.look))} ${b.figures.look > a.figures.look ? 'more' : 'less'} of the look`;
  const money = (a: ToldPoint, b: ToldPoint) => formatMoney(Math.abs(b.figures.cash - a.figures.cash), currency);
  return [
    more ? `${step(here, more)} costs ${money(here, more)}.` : 'No plan looks better within these hours.',
    less ? `${step(here, less)} saves ${money(here, less)}.` : 'No plan costs less.',
  ].join(' ');
}

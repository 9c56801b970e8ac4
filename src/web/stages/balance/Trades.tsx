import type { BalanceAsk } from '@core/balance/ask';
import { lookOfFills } from '@core/balance/program';
import type { ToldChange, ToldPoint } from '@core/balance/toldPlan';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { MICRO } from '@core/kernel/micro';
import { Button } from 'antd';
import { lazy, Suspense, useState } from 'react';
import { useLocale, usePlan } from '../../app/projectStore';
import styles from './balance.module.css';
import { changeWords, lookWords } from './balanceWords';
import { Change } from './Change';
import { useTrades } from './useTrades';

const TradesChart = lazy(async () => ({ default: (await import('./TradesChart')).TradesChart }));

const keyOf = ({ figures }: ToldPoint) => `${figures.cash} ${figures.handsMicro}`;
const minutesOf = ({ figures }: ToldPoint) => figures.handsMicro / MICRO;

/** Every sensible trade of money against hours: a chart to press, a table that says the same, and the plan of each. */
export function Trades(props: { ask: BalanceAsk; waits: boolean; onTake: (changes: readonly ToldChange[]) => void }) {
  const plan = usePlan();
  const locale = useLocale();
  const present = lookOfFills(plan.chosen);
  const look = props.ask.limits.look ?? present;
  const { frontier, isSearching, reason } = useTrades(plan, props.ask, look, props.waits);
  // The plan that is shown stays while finer steps come in between.
  const [chosen, setChosen] = useState<string | null>(null);
  const points = frontier?.points ?? [];
  const { cash, minutes } = props.ask.limits;
  const fits = (point: ToldPoint) =>
    (cash === null || point.figures.cash <= cash) && (minutes === null || minutesOf(point) <= minutes);
  // Nothing pressed yet: the cheapest of those that fit.
  const shown =
    points.find((point) => keyOf(point) === chosen) ?? points[Math.max(0, points.findIndex(fits))] ?? points[0];
  const at = shown ? points.indexOf(shown) : -1;
  const choose = (n: number) => {
    const point = points[n];
    if (point) setChosen(keyOf(point));
  };
  return (
    <section className={styles.trades} aria-labelledby="trades">
      <div className={styles.tradesHead}>
        <h3 id="trades">Every sensible trade of money against hours</h3>
        <span className="muted small">nothing beats these at a look of {lookWords(look)} or more</span>
      </div>
      {points.length === 0 && (
        <p role="status" className="small">
          {reason !== ''
            ? `They could not be found this time: ${reason}.`
            : isSearching
              ? 'Looking for them …'
              : `No plan has a look of ${lookWords(look)} with every must filled.`}
        </p>
      )}
      {shown && (
        <>
          <Suspense fallback={<div className={styles.chartWaits} aria-hidden="true" />}>
            <TradesChart
              points={points.map((point) => ({
                cash: point.figures.cash,
                minutes: minutesOf(point),
                fits: fits(point),
              }))}
              present={{ cash: plan.sums.cash.likely, minutes: plan.sums.minutes.likely }}
              limits={{ cash, minutes }}
              chosen={at}
              currency={locale.currency}
              onChoose={choose}
            />
          </Suspense>
          <p className={styles.tradeSays} role="status">
            <b>
              {formatMoney(shown.figures.cash, locale.currency)} and {formatMinutes(minutesOf(shown))}
            </b>
            . {frontier?.hasCuts ? 'What is cut counts by the least it can take. ' : ''}
            {rateWords(points, at, locale.currency)} {isSearching ? 'Finer steps follow.' : ''}
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
                  <th>Against the one before</th>
                  <th />
                </tr>
              </thead>
              <tbody>
                {points.map((point, n) => (
                  <tr key={n} aria-current={n === at}>
                    <td>{formatMoney(point.figures.cash, locale.currency)}</td>
                    <td>{formatMinutes(minutesOf(point))}</td>
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

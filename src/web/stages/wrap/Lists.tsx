import type { AgainstPlan, SideBySide } from '@core/closing/againstPlan';
import { moneyKindNames } from '@core/closing/moneyKindNames';
import type { Reckoning } from '@core/closing/reckon';
import { costsPer } from '@core/closing/saved';
import { nameOfWork } from '@core/closing/workByKind';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { regrets } from '@core/sourcing/regrets';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useLocale, usePlan } from '../../app/projectStore';
import { RegretList } from '../../app/RegretList';
import styles from './wrap.module.css';

/** The rest of the reckoning: what the estimates missed, by what and by whom money and hours went, what was for nothing. */
export function Lists(props: {
  against: AgainstPlan;
  reckoning: Reckoning;
  missed: readonly string[];
  hasPlan: boolean;
}) {
  const { against, reckoning, missed, hasPlan } = props;
  const plan = usePlan();
  const { currency } = useLocale();
  const wasted = useMemo(() => regrets(plan), [plan]);
  const money = (minor: number) => formatMoney(minor, currency);
  const per = costsPer(reckoning);
  return (
    <div className={styles.lists}>
      {hasPlan && (
        <section aria-label="What the estimates missed">
          <h3>What the estimates missed</h3>
          {missed.length === 0 ? (
            <p className="muted">Nothing by much.</p>
          ) : (
            <ul className={styles.plain}>
              {missed.map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
          )}
          <Link to="../bench/log">The log, with what it teaches</Link>
        </section>
      )}
      <Sums
        title="By kind of work"
        of="Work"
        rows={against.works.map(({ work, ...sides }) => ({ name: nameOfWork(work), ...sides }))}
        words={formatMinutes}
        hasPlan={hasPlan}
      />
      <Sums
        title="By what it went to"
        of="What"
        rows={against.kinds.map(({ kind, ...sides }) => ({ name: moneyKindNames[kind], ...sides }))}
        words={money}
        hasPlan={hasPlan}
        hasSum
      />
      <Sums
        title="By place"
        of="Place"
        rows={against.sources.map(({ name, ...sides }) => ({ name: name || 'no place noted', ...sides }))}
        words={money}
        hasPlan={hasPlan}
        hasSum
      />
      {reckoning.rest.money.length > 0 && (
        <section aria-label="For no slot">
          <h3>For no slot</h3>
          <ul className={styles.sums}>
            {reckoning.rest.money.map((entry) => (
              <li key={`${entry.kind} ${entry.name} ${entry.source}`}>
                <span>
                  {entry.name} <small className="muted">{moneyKindNames[entry.kind].toLowerCase()}</small>
                </span>
                <b>{money(entry.paid + entry.toGo)}</b>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label="Waste and regret">
        <h3>Waste and regret</h3>
        <RegretList regrets={wasted} currency={currency}>
          What becomes of them stands with the loose ends.
        </RegretList>
      </section>
      {per.length > 0 && (
        <section aria-label="For each use">
          <h3>For each use, look and year</h3>
          <div className={styles.scroll}>
            <table className={styles.table}>
              <thead>
                <tr>
                  <th scope="col">What</th>
                  <th scope="col">Came to</th>
                  <th scope="col">a use</th>
                  <th scope="col">a look</th>
                  <th scope="col">a year</th>
                </tr>
              </thead>
              <tbody>
                {per.map((entry) => (
                  <tr key={`${entry.slotName} ${entry.name}`}>
                    <th scope="row">
                      {entry.slotName}
                      <small>{entry.name}</small>
                    </th>
                    <td>{money(entry.cost)}</td>
                    {[entry.use, entry.look, entry.year].map((minor, n) => (
                      <td key={['use', 'look', 'year'][n]}>{minor === null ? '' : money(minor)}</td>
                    ))}
                  </tr>
                ))}
              </tbody>
            </table>
          </div>
        </section>
      )}
    </div>
  );
}

/** Sums by something, planned and actual. */
function Sums(props: {
  title: string;
  of: string;
  rows: readonly ({ name: string } & SideBySide)[];
  words: (value: number) => string;
  hasPlan: boolean;
  hasSum?: boolean;
}) {
  const { rows, words, hasPlan } = props;
  if (rows.length === 0) return null;
  const said = (value: number | null) => (value === null ? '' : words(value));
  const sum = (of: (row: SideBySide) => number | null) => rows.reduce((total, row) => total + (of(row) ?? 0), 0);
  return (
    <section aria-label={props.title}>
      <h3>{props.title}</h3>
      <div className={styles.scroll}>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">{props.of}</th>
              {hasPlan && <th scope="col">planned</th>}
              <th scope="col">came to</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <tr key={row.name}>
                <th scope="row">{row.name}</th>
                {hasPlan && <td>{said(row.planned)}</td>}
                <td>{said(row.actual)}</td>
              </tr>
            ))}
          </tbody>
          {props.hasSum && (
            <tfoot>
              <tr>
                <th scope="row">All</th>
                {hasPlan && <td>{words(sum(({ planned }) => planned))}</td>}
                <td>{words(sum(({ actual }) => actual))}</td>
              </tr>
            </tfoot>
          )}
        </table>
      </div>
    </section>
  );
}

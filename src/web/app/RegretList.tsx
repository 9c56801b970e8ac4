import { formatMoney } from '@core/kernel/formatMoney';
import { type Regret, regretNames } from '@core/sourcing/regrets';
import type { ReactNode } from 'react';
import styles from './shell.module.css';

/** What was bought and serves nobody, with what it cost. */
export function RegretList(props: { regrets: readonly Regret[]; currency: string; children?: ReactNode }) {
  const { regrets, currency } = props;
  if (regrets.length === 0) return <p className="muted">Nothing was bought for nothing.</p>;
  const lost = regrets.reduce((sum, { cost }) => sum + cost, 0);
  return (
    <>
      <p>
        {formatMoney(lost, currency)} for {regrets.length} {regrets.length === 1 ? 'thing' : 'things'} that nobody uses.{' '}
        {props.children}
      </p>
      <ul className={styles.regrets}>
        {regrets.map(({ find, kind, cost }) => (
          <li key={find.id}>
            <span>
              {find.name} <small className="muted">{regretNames[kind]}</small>
            </span>
            <b>{formatMoney(cost, currency)}</b>
          </li>
        ))}
      </ul>
    </>
  );
}

import type { AgainstPlan, SideBySide } from '@core/closing/againstPlan';
import type { OriginShare, Saved } from '@core/closing/saved';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { originNames } from '@core/sourcing/origins';
import { dayOf } from '../../app/words';
import styles from './wrap.module.css';

const minutes = (value: number | null) => (value === null ? '' : formatMinutes(value));

/** Where it came from, as a table. */
export function OriginsTable(props: { shares: readonly OriginShare[]; currency: string }) {
  const money = (minor: number) => formatMoney(minor, props.currency);
  const sum = (of: (share: OriginShare) => number) => props.shares.reduce((total, share) => total + of(share), 0);
  return (
    <table className={styles.table}>
      <caption className="visually-hidden">Where it came from</caption>
      <thead>
        <tr>
          <th scope="col">It was</th>
          <th scope="col">Pieces</th>
          <th scope="col">Came to</th>
          <th scope="col">New, it would be</th>
        </tr>
      </thead>
      <tbody>
        {props.shares.map(({ origin, count, cost, worth }) => (
          <tr key={origin}>
            <th scope="row">{originNames[origin]}</th>
            <td>{count}</td>
            <td>{money(cost)}</td>
            <td>{money(worth)}</td>
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">All</th>
          <td>{sum(({ count }) => count)}</td>
          <td>{money(sum(({ cost }) => cost))}</td>
          <td>{money(sum(({ worth }) => worth))}</td>
        </tr>
      </tfoot>
    </table>
  );
}

/** Weeks, as a table. */
export function OverTimeTable(props: { weeks: AgainstPlan['weeks']; currency: string }) {
  return (
    <table className={styles.table}>
      <caption className="visually-hidden">Money and hours over time</caption>
      <thead>
        <tr>
          <th scope="col">Week of</th>
          <th scope="col">Money</th>
          <th scope="col">Hours planned</th>
          <th scope="col">Hours worked</th>
        </tr>
      </thead>
      <tbody>
        {props.weeks.map((week) => (
          <tr key={week.monday}>
            <th scope="row">{dayOf(week.monday)}</th>
            <td>{formatMoney(week.cash, props.currency)}</td>
            <td>{minutes(week.minutes.planned)}</td>
            <td>{minutes(week.minutes.actual)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** Slots with planned and actual side by side, and what each saved against new. */
export function SlotsTable(props: { slots: AgainstPlan['slots']; saved: Saved; currency: string }) {
  const saved = new Map(props.saved.slots.map((entry) => [entry.of.slot.id, entry]));
  const hasPlan = props.slots.some(({ cash }) => cash.planned !== null);
  const money = (minor: number | null) => (minor === null ? '' : formatMoney(minor, props.currency));
  const cells = (sides: SideBySide, words: (value: number | null) => string) => (
    <>
      {hasPlan && <td>{words(sides.planned)}</td>}
      <td>{words(sides.actual)}</td>
    </>
  );
  return (
    <table className={styles.table}>
      <caption className="visually-hidden">Planned and actual, slot by slot</caption>
      <thead>
        <tr>
          <th scope="col" rowSpan={hasPlan ? 2 : 1}>
            Slot
          </th>
          {(['Cash', 'Off the shelf', 'Hours'] as const).map((name) => (
            <th key={name} scope={hasPlan ? 'colgroup' : 'col'} colSpan={hasPlan ? 2 : 1}>
              {name}
            </th>
          ))}
          <th scope="col" rowSpan={hasPlan ? 2 : 1}>
            Saved against new
          </th>
        </tr>
        {hasPlan && (
          <tr>
            {['cash', 'stash', 'hours'].map((of) => [
              <th key={`${of} planned`} scope="col">
                planned
              </th>,
              <th key={`${of} actual`} scope="col">
                came to
              </th>,
            ])}
          </tr>
        )}
      </thead>
      <tbody>
        {props.slots.map((slot) => (
          <tr key={slot.slotId}>
            <th scope="row">
              {slot.number} {slot.name}
              <small>
                {slot.filledWith || (slot.cash.actual === null ? 'no slot any more' : 'open')}
                {slot.isOther && slot.plannedWith !== '' ? `; planned: ${slot.plannedWith}` : ''}
                {slot.isOpen ? '; something of it is still planned' : ''}
              </small>
            </th>
            {cells(slot.cash, money)}
            {cells(slot.stash, money)}
            {cells(slot.minutes, minutes)}
            <td>
              {saved.has(slot.slotId) && money(saved.get(slot.slotId)?.saved ?? 0)}
              {!saved.has(slot.slotId) && slot.filledWith !== '' && (
                <span className="muted">nothing to hold it against</span>
              )}
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

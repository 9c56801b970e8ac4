import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { formatMoney } from '@core/kernel/formatMoney';
import type { SpotRow } from '@core/model/rows';
import {
  clearingFor,
  type Delivery,
  deliveries,
  giveBacks,
  type ReturnDue,
  returnsDue,
} from '@core/sourcing/ledgerLists';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../../app/projectStore';
import { TakeBackBox } from '../../../app/TakeBackBox';
import hunt from '../hunt.module.css';
import styles from './money.module.css';

/** What was over lately is still shown, so that one sees that it is over. */
const GRACE_DAYS = 14;
/** From so few days on it is said louder. */
const SOON_DAYS = 3;

const leftWords = (days: number) =>
  days < 0 ? 'over' : days === 0 ? 'today is the last day' : days === 1 ? '1 day left' : `${days} days left`;

/** What can be returned and until when, what goes back to its owner, what is still to come. */
export function Dates() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const { timeZone, currency } = useLocale();
  const today = localDate(plan.asOfMs, timeZone);
  const wentBack = (offerId: string) => {
    const rented = rows.offers.find(({ id }) => id === offerId)?.rented;
    if (rented) run('editOffer', { id: offerId, values: { rented: { ...rented, wentBackOn: today } } });
  };
  const returns = returnsDue(rows, plan.asOfMs, GRACE_DAYS);
  const lent = giveBacks(rows);
  const coming = deliveries(rows, plan.asOfMs);
  return (
    <div className={styles.lists}>
      <section aria-label="Return by">
        <h3>Return by</h3>
        {returns.length === 0 ? (
          <p className="muted">
            Nothing can be returned now. Which places take things back, and how long, stands with the places.
          </p>
        ) : (
          <ul className={styles.lines}>
            {returns.map((due) => (
              <ReturnLine key={due.line.id} due={due} today={today} />
            ))}
          </ul>
        )}
      </section>
      <section aria-label="Give back">
        <h3>Give back</h3>
        {lent.length === 0 ? (
          <p className="muted">Nothing is borrowed or rented.</p>
        ) : (
          <ul className={styles.lines}>
            {lent.map(({ id, kind, name, from, backBy, deposit }) => (
              <li key={id} className={styles.line}>
                <b>{name}</b>
                <span>{backBy === null ? 'no day said' : sayDay(backBy, today)}</span>
                <small>
                  {[
                    kind === 'rented' ? 'rented' : '',
                    from === '' ? '' : `${kind === 'rented' ? 'from' : 'to'} ${from}`,
                    deposit > 0 ? `${formatMoney(deposit, currency)} of deposit comes back` : '',
                  ]
                    .filter((words) => words !== '')
                    .join(' · ')}
                </small>
                <div className={styles.acts}>
                  {kind === 'borrowed' ? (
                    <Link className={hunt.alone} to={`/p/${rows.project.id}/house?tab=pieces&piece=${id}`}>
                      Its page in the house
                    </Link>
                  ) : (
                    <Button size="small" aria-label={`It went back: ${name}`} onClick={() => wentBack(id)}>
                      It went back
                    </Button>
                  )}
                </div>
              </li>
            ))}
          </ul>
        )}
      </section>
      <section aria-label="To come">
        <h3>To come</h3>
        {coming.length === 0 ? (
          <p className="muted">Nothing is on its way.</p>
        ) : (
          <ul className={styles.lines}>
            {coming.map((delivery) => (
              <DeliveryLine key={delivery.line.id} delivery={delivery} today={today} />
            ))}
          </ul>
        )}
      </section>
    </div>
  );
}

/** So long clearing a way takes (estimated; it is set right in the sketch). */
const CLEARING_MINUTES = 15;

/** What is on its way: when it comes, the way to its place cleared, and that it is here. */
function DeliveryLine(props: { delivery: Delivery; today: string }) {
  const { offer, what, source, onDate, daysLeft, spot, clearing } = props.delivery;
  const { run } = useCommands();
  const setTasks = (of: SpotRow, tasks: SpotRow['tasks']) => run('editSpot', { id: of.id, values: { tasks } });
  return (
    <li className={styles.line}>
      <b>{what}</b>
      <span className={daysLeft < 0 ? styles.soon : undefined}>
        {daysLeft < 0 ? `late: ${sayDay(onDate, props.today)}` : sayDay(onDate, props.today)}
      </span>
      <small>{[source, spot === null ? '' : `to ${spot.name}`].filter((word) => word !== '').join(' · ')}</small>
      <div className={styles.acts}>
        {spot !== null &&
          (clearing === null ? (
            <Button
              size="small"
              aria-label={`Plan to clear the way: ${what}`}
              onClick={() =>
                setTasks(spot, [
                  ...spot.tasks,
                  {
                    id: crypto.randomUUID(),
                    name: clearingFor(what),
                    minutes: CLEARING_MINUTES,
                    dryHours: 0,
                    done: false,
                  },
                ])
              }
            >
              Plan to clear the way
            </Button>
          ) : (
            <Checkbox
              checked={clearing.done}
              onChange={(event) =>
                setTasks(
                  spot,
                  spot.tasks.map((task) => (task.id === clearing.id ? { ...task, done: event.target.checked } : task)),
                )
              }
            >
              the way is clear
            </Checkbox>
          ))}
        <Button
          size="small"
          aria-label={`It is here: ${what}`}
          onClick={() => run('editOffer', { id: offer.id, values: { arrivedOn: props.today } })}
        >
          It is here
        </Button>
      </div>
    </li>
  );
}

function ReturnLine(props: { due: ReturnDue; today: string }) {
  const { line, what, source, lastDay, daysLeft, refund } = props.due;
  const { currency } = useLocale();
  const { run } = useCommands();
  const [open, setOpen] = useState(false);
  const isOver = daysLeft < 0;
  const kept = source.returns.state === 'within' ? source.returns.restockingThousandths : 0;
  return (
    <li className={styles.line}>
      <b className={isOver ? styles.over : undefined}>{what}</b>
      <span className={!isOver && daysLeft <= SOON_DAYS ? styles.soon : undefined}>
        {sayDay(lastDay, props.today)}, {leftWords(daysLeft)}
      </span>
      <small>
        {source.name} · {formatMoney(refund, currency)} back
        {kept > 0 ? `, ${kept / 1000} % kept for restocking` : ''}
        {isOver ? '; ask all the same, some shops give credit' : ''}
      </small>
      <div className={styles.acts}>
        {open ? (
          <TakeBackBox
            line={line}
            proposed={isOver ? 0 : refund}
            onDone={(payload) => {
              run('takeBack', payload);
              setOpen(false);
            }}
            onLeave={() => setOpen(false)}
          />
        ) : (
          <Button size="small" aria-label={`Return it: ${what}`} onClick={() => setOpen(true)}>
            Return it
          </Button>
        )}
      </div>
    </li>
  );
}

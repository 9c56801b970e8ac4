import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import { MS_PER_DAY } from '@core/kernel/units';
import type { Plan } from '@core/plan/computePlan';
import type { PurseFigure } from '@core/plan/why/explainPurse';
import styles from './shell.module.css';
import { amountWords, dateWords, dayWords } from './words';

const percent = (part: number, whole: number) => `${Math.max(0, Math.min(100, (100 * part) / Math.max(1, whole)))}%`;

/** The strip that is always there: money, hands, days; a gauge opens its reasons. On a phone one line, of what is left. */
export function Purse(props: { plan: Plan; onWhy: (figure: PurseFigure) => void }) {
  const { purse, rows, asOfMs } = props.plan;
  const { currency, timeZone, revealDate } = rows.project;
  const { money, hands, days } = purse;
  const short = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
  const wished = rows.project.brief.wishedBudget;
  const pays = money.spent + money.promised + money.planned.likely;
  const wishWords =
    wished === null
      ? ''
      : pays > wished
        ? `, ${short(pays - wished)} above the ${short(wished)} wished`
        : `, within the ${short(wished)} wished`;
  const over = money.free.likely < 0;
  const maybeOver = !over && money.free.low < 0;
  const used = pays + money.keptBack.likely;
  const whole = Math.max(money.budget, used);
  const overPart = Math.max(0, used - money.budget);
  const moneySay = over
    ? `${short(-money.free.likely)} over`
    : maybeOver
      ? `up to ${short(-money.free.low)} over`
      : `${money.free.atLeast ? 'at most ' : ''}${short(money.free.likely)} free`;
  const handsFree = hands.freeMinutes;
  const handsWhole = Math.max(hands.onHandMinutes ?? 0, hands.planned.likely + hands.doneMinutes);
  const late = days.inHand !== null && days.inHand < 0;
  const reveal = days.toReveal;
  const chain = days.lastUsableMs === null ? 0 : (days.lastUsableMs - asOfMs) / MS_PER_DAY;
  return (
    <section className={styles.purse} aria-label="Purse">
      <button type="button" className={styles.gauge} onClick={() => props.onWhy('money')}>
        <span className="visually-hidden">Why? </span>
        <span className={styles.head}>
          <span className={styles.atDesk}>
            <b>{short(money.budget)}</b> money{wishWords}{' '}
          </span>
          <span className={`${styles.say} ${over ? styles.over : maybeOver ? '' : styles.fine}`}>{moneySay}</span>
        </span>
        <span className={styles.bar} aria-hidden="true">
          <span className={styles.spent} style={{ width: percent(Math.max(0, money.spent), whole) }} />
          <span className={styles.promised} style={{ width: percent(money.promised, whole) }} />
          <span
            className={styles.planned}
            style={{
              width: percent(Math.max(0, money.planned.likely - Math.max(0, overPart - money.keptBack.likely)), whole),
            }}
          />
          <span className={styles.kept} style={{ width: percent(overPart > 0 ? 0 : money.keptBack.likely, whole) }} />
          {overPart > 0 && <span className={styles.overBar} style={{ width: percent(overPart, whole) }} />}
        </span>
        <span className={styles.key}>
          <span>
            spent {money.spentAtLeast ? 'at least ' : ''}
            {short(money.spent)}
          </span>
          <span>
            promised {money.promisedAtLeast ? 'at least ' : ''}
            {short(money.promised)}
          </span>
          <span>planned {amountWords(money.planned, { currency })}</span>
          <span>kept back {short(money.keptBack.likely)}</span>
        </span>
      </button>
      <button type="button" className={styles.gauge} onClick={() => props.onWhy('hands')}>
        <span className="visually-hidden">Why? </span>
        <span className={styles.head}>
          <span className={handsFree === null ? '' : styles.atDesk}>
            <b>
              {hands.onHandMinutes === null
                ? formatMinutes(hands.planned.likely)
                : `${Math.round(hands.onHandMinutes / 6) / 10} h`}
            </b>{' '}
            hands{' '}
          </span>
          {handsFree !== null && (
            <span className={`${styles.say} ${handsFree < 0 ? styles.over : styles.fine}`}>
              {handsFree < 0 ? `${formatMinutes(-handsFree)} short` : `${formatMinutes(handsFree)} free`}
            </span>
          )}
        </span>
        <span className={styles.bar} aria-hidden="true">
          <span className={styles.spent} style={{ width: percent(hands.doneMinutes, handsWhole) }} />
          <span
            className={styles.planned}
            style={{ width: percent(Math.min(hands.planned.likely, hands.onHandMinutes ?? handsWhole), handsWhole) }}
          />
          {handsFree !== null && handsFree < 0 && (
            <span className={styles.overBar} style={{ width: percent(-handsFree, handsWhole) }} />
          )}
        </span>
        <span className={styles.key}>
          <span>done {formatMinutes(hands.doneMinutes)}</span>
          <span>
            planned {formatMinutes(hands.planned.low)} to {formatMinutes(hands.planned.high)}
          </span>
        </span>
      </button>
      <button type="button" className={styles.gauge} onClick={() => props.onWhy('days')}>
        <span className="visually-hidden">Why? </span>
        <span className={styles.head}>
          <span className={late ? styles.atDesk : ''}>
            <b>{reveal === null ? 'no date' : daysOf(Math.abs(reveal))}</b>{' '}
            <span className={styles.atDesk}>
              {reveal === null ? '' : reveal < 0 ? 'since the reveal' : 'to the reveal'}
            </span>
          </span>
          <span className={`${styles.say} ${late ? styles.over : styles.atDesk}`}>
            {days.lastUsableMs === null
              ? 'nothing chosen yet'
              : late
                ? `${daysOf(-(days.inHand ?? 0))} late`
                : `${days.lastUsableMs < asOfMs ? 'ready since' : 'soonest'} ${dayWords(days.lastUsableMs, asOfMs, timeZone)}`}
          </span>
        </span>
        <span className={styles.bar} aria-hidden="true">
          <span
            className={late ? styles.overBar : styles.planned}
            style={{ width: percent(chain, Math.max(reveal ?? chain, chain, 1)) }}
          />
        </span>
        <span className={styles.key}>
          <span>{revealDate ? dateWords(revealDate) : 'set a reveal date in the brief'}</span>
          {days.inHand !== null && days.inHand >= 0 && days.lastUsableMs !== null && (
            <span>
              {days.lastUsableMs < asOfMs ? '' : 'at best '}
              {daysOf(days.inHand)} in hand
            </span>
          )}
        </span>
      </button>
    </section>
  );
}

const daysOf = (days: number) => `${days} ${days === 1 ? 'day' : 'days'}`;

import { dateAfter } from '@core/calendar/localDates';
import { sayDay } from '@core/calendar/sayDay';
import { formatMoney } from '@core/kernel/formatMoney';
import type { CardWay, DecisionCard } from '@core/sourcing/decisionCard';
import { useId, useState } from 'react';
import { useLocale } from '../../../app/projectStore';
import { isSamePress } from '../../../ui/samePress';
import styles from './card.module.css';
import { shortVerdict } from './Verdict';

export type Verdict = 'buy' | 'think' | 'pass';

const passReasons = ['too dear', 'wrong size', 'poor quality', 'not our style', 'have enough'];
const noSlotReasons = ['for the stash', 'a gift', 'too good to leave', 'to sell on'];

/** Buy, think, pass: three buttons for a thumb. Passing and thinking take a reason with one more tap, or none. */
export function DecideBar(props: {
  card: DecisionCard | null;
  /** The way that is picked; its verdict stands over the buttons. */
  way: CardWay | null;
  today: string;
  /** Why it is bought though no slot asks for it. */
  reason: string;
  onDecide: (verdict: Verdict, said: { because: string; thinkUntil: string | null; reason: string }) => void;
}) {
  const { card, today } = props;
  const { currency } = useLocale();
  const [asking, setAsking] = useState<Verdict | null>(null);
  const box = useId();
  const isReady = card !== null;
  const decide = (
    verdict: Verdict,
    said: Partial<{ because: string; thinkUntil: string | null; reason: string }>,
    event: React.MouseEvent,
  ) => {
    if (isSamePress(`${box}${verdict}`, event.nativeEvent)) return;
    setAsking(null);
    props.onDecide(verdict, { because: '', thinkUntil: null, reason: props.reason, ...said });
  };
  const buy = (event: React.MouseEvent) => {
    // What answers no slot is asked why, once.
    if (card?.slot === null && props.reason === '') return setAsking('buy');
    return decide('buy', {}, event);
  };
  const saleDay = card?.advice.kind === 'wait' ? card.advice.day : null;
  const days = [
    ...new Set([...(saleDay === null ? [] : [saleDay]), dateAfter(today, 1), dateAfter(today, 3), dateAfter(today, 7)]),
  ];
  const till = card === null || card.till.atLeast ? null : card.till.likely;
  return (
    <div className={styles.acts}>
      <div>
        {asking === 'pass' && (
          <fieldset className={styles.ask} aria-label="Why pass?">
            <span className={styles.question}>Why?</span>
            <div className={styles.chips}>
              {passReasons.map((because) => (
                <button
                  key={because}
                  type="button"
                  className={styles.chip}
                  onClick={(e) => decide('pass', { because }, e)}
                >
                  {because}
                </button>
              ))}
              <button type="button" className={styles.chip} onClick={(e) => decide('pass', {}, e)}>
                just pass
              </button>
            </div>
          </fieldset>
        )}
        {asking === 'think' && (
          <fieldset className={styles.ask} aria-label="Think until when?">
            <span className={styles.question}>Think until</span>
            <div className={styles.chips}>
              {days.map((day) => (
                <button
                  key={day}
                  type="button"
                  className={styles.chip}
                  onClick={(e) =>
                    decide('think', { thinkUntil: day, because: day === saleDay ? 'wait for the sale' : '' }, e)
                  }
                >
                  {sayDay(day, today)}
                  {day === saleDay ? ', cheaper then' : ''}
                </button>
              ))}
            </div>
          </fieldset>
        )}
        {asking === 'buy' && (
          <fieldset className={styles.ask} aria-label="It answers no slot: why buy it?">
            <span className={styles.question}>It answers no slot: why buy it?</span>
            <div className={styles.chips}>
              {noSlotReasons.map((reason) => (
                <button
                  key={reason}
                  type="button"
                  className={styles.chip}
                  onClick={(e) => decide('buy', { reason }, e)}
                >
                  {reason}
                </button>
              ))}
            </div>
          </fieldset>
        )}
        {card && <p className={styles.short}>{shortVerdict(card, props.way, currency)}</p>}
        <div className={styles.three}>
          <button
            type="button"
            disabled={!isReady}
            aria-expanded={asking === 'pass'}
            onClick={() => setAsking(asking === 'pass' ? null : 'pass')}
          >
            Pass
          </button>
          <button
            type="button"
            disabled={!isReady}
            aria-expanded={asking === 'think'}
            onClick={() => setAsking(asking === 'think' ? null : 'think')}
          >
            Think
          </button>
          <button type="button" disabled={!isReady} onClick={buy}>
            {till === null ? 'Buy' : `Buy ${formatMoney(till, currency)}`}
          </button>
        </div>
      </div>
    </div>
  );
}

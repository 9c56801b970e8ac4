import { dateAfter } from '@core/calendar/localDates';
import { parseDay } from '@core/calendar/parseDay';
import { sayDay } from '@core/calendar/sayDay';
import { formatMoney } from '@core/kernel/formatMoney';
import type { CardWay, DecisionCard } from '@core/sourcing/decisionCard';
import { useId, useState } from 'react';
import { useLocale } from '../../../app/projectStore';
import { isSamePress } from '../../../ui/samePress';
import { LineEntry } from '../LineEntry';
import styles from './card.module.css';
import { shortVerdict } from './Verdict';

export type Verdict = 'buy' | 'think' | 'pass';

/** What is said with a decision: why, and until when it is thought over. */
export interface Said {
  because: string;
  thinkUntil: string | null;
  reason: string;
}

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
  onDecide: (verdict: Verdict, said: Said) => void;
}) {
  const { card, today } = props;
  const { currency } = useLocale();
  const [asking, setAsking] = useState<Verdict | null>(null);
  const box = useId();
  const isReady = card !== null;
  const decide = (verdict: Verdict, said: Partial<Said>, event: React.MouseEvent | null) => {
    if (event && isSamePress(`${box}${verdict}`, event.nativeEvent)) return;
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
          <Ask
            label="Why pass?"
            question="Why?"
            answers={[
              ...passReasons.map((because) => ({ name: because, said: { because } })),
              { name: 'just pass', said: {} },
            ]}
            own={{ label: 'Why, in your own words', placeholder: 'smells of smoke', read: (because) => ({ because }) }}
            onAnswer={(said, event) => decide('pass', said, event)}
          />
        )}
        {asking === 'think' && (
          <Ask
            label="Think until when?"
            question="Think until"
            answers={days.map((day) => ({
              name: `${sayDay(day, today)}${day === saleDay ? ', cheaper then' : ''}`,
              said: { thinkUntil: day, because: day === saleDay ? 'wait for the sale' : '' },
            }))}
            own={{
              label: 'Another day',
              placeholder: 'Dec 12',
              read: (text) => {
                const day = parseDay(text, today);
                return day === null || day < today ? null : { thinkUntil: day };
              },
            }}
            onAnswer={(said, event) => decide('think', said, event)}
          />
        )}
        {asking === 'buy' && (
          <Ask
            label="It answers no slot: why buy it?"
            question="It answers no slot: why buy it?"
            answers={noSlotReasons.map((reason) => ({ name: reason, said: { reason } }))}
            own={{
              label: 'Why, in your own words',
              placeholder: 'for the porch in spring',
              read: (reason) => ({ reason }),
            }}
            onAnswer={(said, event) => decide('buy', said, event)}
          />
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

/** One question after a decision: an answer a tap, or in one's own words. */
function Ask(props: {
  label: string;
  question: string;
  answers: readonly { name: string; said: Partial<Said> }[];
  /** What one's own words say; null while they say nothing that can be taken. */
  own: { label: string; placeholder: string; read: (text: string) => Partial<Said> | null };
  onAnswer: (said: Partial<Said>, event: React.MouseEvent | null) => void;
}) {
  const { own } = props;
  const [text, setText] = useState('');
  const said = text.trim() === '' ? null : own.read(text.trim());
  return (
    <fieldset className={styles.ask} aria-label={props.label}>
      <span className={styles.question}>{props.question}</span>
      <div className={styles.chips}>
        {props.answers.map((answer) => (
          <button
            key={answer.name}
            type="button"
            className={styles.chip}
            onClick={(event) => props.onAnswer(answer.said, event)}
          >
            {answer.name}
          </button>
        ))}
      </div>
      <LineEntry
        label={own.label}
        placeholder={own.placeholder}
        value={text}
        send="Say it"
        isReady={said !== null}
        onType={setText}
        onSend={() => said && props.onAnswer(said, null)}
      />
    </fieldset>
  );
}

import type { ToldChange, ToldRemedy } from '@core/balance/toldPlan';
import { Button } from 'antd';
import { useLocale, usePlan } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import styles from './balance.module.css';
import { changeWords, differenceWords, sharingWords } from './balanceWords';

/** Single changes that help, and pairs where no single one does as much: each can be taken by itself. */
export function Remedies(props: { remedies: readonly ToldRemedy[]; onTake: (changes: readonly ToldChange[]) => void }) {
  const plan = usePlan();
  const locale = useLocale();
  if (props.remedies.length === 0) return null;
  const closing = props.remedies.filter(({ closes }) => closes).length;
  return (
    <section aria-labelledby="remedies">
      <h3 id="remedies" className={styles.sub}>
        One change at a time
      </h3>
      <p className="small" style={{ margin: '0 0 2px' }}>
        {closing === 0 ? 'None of them closes it alone; each helps.' : `${closing} of them keep all limits.`}
      </p>
      <ul className={styles.changes} aria-label="Single changes that help">
        {props.remedies.map((remedy) => {
          const slots = remedy.changes.map((change) => {
            const slot = plan.slot(change.slotId)?.slot;
            return { change, slot, ...changeWords(plan, change) };
          });
          const small = [
            differenceWords(remedy.difference, locale),
            ...remedy.changes.map(sharingWords),
            remedy.closes ? 'fits' : '',
          ].filter((words) => words !== '');
          return (
            <li
              key={slots.map(({ change }) => `${change.slotId} ${change.to[0]?.optionId}`).join()}
              className={styles.change}
            >
              <span>
                {slots.map(({ change, slot }) => (
                  <StitchedNumber key={change.slotId}>{slot?.number}</StitchedNumber>
                ))}
              </span>
              <div>
                {slots.map(({ change, slot, what, instead }, n) => (
                  <span key={change.slotId}>
                    {n > 0 && '; '}
                    <b>{slot?.name}</b>: {what} {instead}
                  </span>
                ))}
                <small>{small.join(' · ')}</small>
              </div>
              <span className={styles.does}>
                <Button
                  size="small"
                  onClick={() => props.onTake(remedy.changes)}
                  aria-label={`Take it: ${slots.map(({ slot, what }) => `${slot?.name}, ${what}`).join('; ')}`}
                >
                  Take it
                </Button>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}

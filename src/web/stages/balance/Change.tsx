import type { ToldChange } from '@core/balance/toldPlan';
import { Button } from 'antd';
import { useLocale, usePlan } from '../../app/projectStore';
import { StitchedNumber } from '../../ui/basics';
import styles from './balance.module.css';
import { changeWords, differenceWords, sharingWords } from './balanceWords';

/** A slot that is filled in another way: what changes, what that comes to, and two things to do about it. */
export function Change(props: {
  change: ToldChange;
  action?: { words: string; act: () => void };
  onTake?: () => void;
}) {
  const plan = usePlan();
  const locale = useLocale();
  const { change } = props;
  const slot = plan.slot(change.slotId)?.slot;
  if (!slot) return null;
  const { what, instead } = changeWords(plan, change);
  const small = [differenceWords(change.difference, locale), sharingWords(change)].filter((words) => words !== '');
  return (
    <li className={styles.change}>
      <StitchedNumber>{slot.number}</StitchedNumber>
      <div>
        <b>{slot.name}</b>: {what} {instead}
        <small>{small.join(' · ')}</small>
      </div>
      <span className={styles.does}>
        {props.onTake && (
          <Button size="small" onClick={props.onTake} aria-label={`Take it: ${slot.name}`}>
            Take it
          </Button>
        )}
        {props.action && (
          <Button
            size="small"
            type="text"
            onClick={props.action.act}
            aria-label={`${props.action.words}: ${slot.name}`}
          >
            {props.action.words}
          </Button>
        )}
      </span>
    </li>
  );
}

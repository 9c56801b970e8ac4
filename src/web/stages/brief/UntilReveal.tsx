import { paceOf, untilReveal } from '@core/plan/untilReveal';
import { Link } from 'react-router';
import { usePlan } from '../../app/projectStore';
import styles from './brief.module.css';

const paceSentences = {
  noDate: '',
  past: 'The reveal is past.',
  late: 'What is chosen is not ready by the reveal.',
  lastMinute: 'Last minute: what is chosen is ready on the day before, or the day itself.',
  inTime: 'In time: what is chosen is ready with days to spare.',
  early: 'Early: there is time for more than what is chosen.',
} as const;

const ways = (count: number) => (count === 1 ? '1 way' : `${count} ways`);

/** What still fits until the reveal, for every slot that is open. */
export function UntilReveal() {
  const plan = usePlan();
  const open = untilReveal(plan);
  if (open === null) return null;
  return (
    <div className={styles.untilReveal}>
      <h3>What still fits until the reveal</h3>
      <p>{plan.chosen.length === 0 ? 'Nothing is chosen yet.' : paceSentences[paceOf(plan.purse.days)]}</p>
      {open.length > 0 && (
        <ul className="small" aria-label="What still fits until the reveal">
          {open.map(({ slot, inTime, tooLate }) => (
            <li key={slot.id}>
              {slot.name}:{' '}
              {inTime.length + tooLate.length === 0
                ? 'no way thought up yet'
                : tooLate.length === 0
                  ? `${ways(inTime.length)} ready in time`
                  : inTime.length === 0
                    ? `none of its ${ways(tooLate.length)} is ready in time`
                    : `${ways(inTime.length)} in time, ${tooLate.length} too late`}
            </li>
          ))}
        </ul>
      )}
      {open.length > 0 && <Link to="../compare">Compare them</Link>}
    </div>
  );
}

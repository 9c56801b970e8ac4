import { deadlineOf, type Pace, paceOf, untilDeadline } from '@core/plan/untilDeadline';
import { Link } from 'react-router';
import { usePlan } from '../../app/projectStore';
import styles from './brief.module.css';

const paceSentences: Record<Pace, string> = {
  noDate: '',
  past: 'The reveal is past.',
  nothingChosen: 'Nothing is chosen yet.',
  late: 'What is chosen is not ready by the reveal.',
  lastMinute: 'Last minute: what is chosen is ready on the day before, or the day itself.',
  inTime: 'In time: what is chosen is ready with days to spare.',
  early: 'Early: there is time for more than what is chosen.',
};

const ways = (count: number) => (count === 1 ? '1 way' : `${count} ways`);

/** What still fits until the reveal, or until the place is left, for every slot that is open. */
export function UntilDeadline() {
  const plan = usePlan();
  const deadline = deadlineOf(plan.rows.project);
  const open = untilDeadline(plan);
  if (deadline === null || open === null) return null;
  const title = `What still fits until ${deadline.because === 'reveal' ? 'the reveal' : 'you leave'}`;
  return (
    <div className={styles.untilDeadline}>
      <h3>{title}</h3>
      <p>{paceSentences[paceOf(plan.purse.days)]}</p>
      {open.length > 0 && (
        <ul className="small" aria-label={title}>
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

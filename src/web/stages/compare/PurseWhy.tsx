import { formatMinutes } from '@core/kernel/formatMinutes';
import { hoursByWeek } from '@core/plan/hoursByWeek';
import { explainPurse, type PurseFigure } from '@core/plan/why/explainPurse';
import { memo } from 'react';
import { Link } from 'react-router';
import { usePlan } from '../../app/projectStore';
import { ReasonsDrawer } from '../../app/ReasonsDrawer';
import { WhyTree } from '../../app/WhyTree';
import { dateWords } from '../../app/words';
import styles from './compare.module.css';

const titles: Record<PurseFigure, string> = {
  money: 'Why this much money',
  hands: 'Why these hours',
  days: 'Why these days',
};

/** The reasons of a gauge of the purse, from the right. */
export const PurseWhy = memo(function PurseWhy(props: { figure: PurseFigure | null; onClose: () => void }) {
  return (
    <ReasonsDrawer
      open={props.figure !== null}
      onClose={props.onClose}
      title={props.figure ? titles[props.figure] : ''}
    >
      {props.figure && <Reasons figure={props.figure} />}
    </ReasonsDrawer>
  );
});

/** Only what is open follows the plan. */
function Reasons(props: { figure: PurseFigure }) {
  return (
    <>
      <WhyTree tree={explainPurse(usePlan(), props.figure)} />
      {props.figure === 'hands' && <WeekByWeek />}
    </>
  );
}

/** The planned hours against the weeks of the brief. */
function WeekByWeek() {
  const plan = usePlan();
  const told = hoursByWeek(plan);
  const brief = `/p/${plan.rows.project.id}/brief`;
  if (told === null)
    return (
      <p className="small">
        <Link to={brief}>Plan the hours week by week</Link>, and they are held against what there is of each.
      </p>
    );
  return (
    <section aria-label="Week by week">
      <h3>Week by week</h3>
      <p className={told.overMinutes > 0 ? styles.over : undefined}>
        {told.overMinutes > 0
          ? `${formatMinutes(told.overMinutes)} more than the weeks until the reveal hold.`
          : 'The weeks until the reveal hold it all.'}
      </p>
      <ul className={styles.weeks}>
        {told.weeks.map(({ monday, hasMinutes, takesMinutes }) => (
          <li key={monday}>
            <span>from {dateWords(monday)}</span>
            <span className={styles.weekBar} aria-hidden="true">
              <i style={{ width: `${hasMinutes === 0 ? 0 : (100 * takesMinutes) / hasMinutes}%` }} />
            </span>
            <span>
              {formatMinutes(takesMinutes)} of {formatMinutes(hasMinutes)}
            </span>
          </li>
        ))}
      </ul>
      <Link to={brief}>The weeks, in the brief</Link>
    </section>
  );
}

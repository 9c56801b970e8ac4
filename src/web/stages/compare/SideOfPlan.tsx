import { localDay } from '@core/calendar/zonedTime';
import type { SideOfSlot } from '@core/plan/namedPlans';
import { chipFace } from '../../app/chipFace';
import { useLocale, usePlan } from '../../app/projectStore';
import { ChipPicture, pictureOf } from './ChipPicture';
import styles from './plansPage.module.css';

/** How a slot is filled in one of two plans. */
export function SideOfPlan(props: { side: SideOfSlot }) {
  const plan = usePlan();
  const locale = useLocale();
  const { options, leftOut } = props.side;
  const today = localDay(plan.asOfMs, locale.timeZone);
  return (
    <td>
      {options.length === 0 && <span className="muted">{leftOut ? 'left out' : 'open'}</span>}
      {options.map((option) => {
        const face = chipFace(option, locale, today);
        return (
          <div key={option.option.id} className={styles.side} style={{ '--edge': face.edge } as React.CSSProperties}>
            <ChipPicture {...pictureOf(face)} />
            <b>
              {option.count > 1 ? `${option.count} × ` : ''}
              {face.name}
            </b>
            <span>
              {face.kind} · {face.cash} {face.stash}
            </span>
            <span>{face.time}</span>
          </div>
        );
      })}
    </td>
  );
}

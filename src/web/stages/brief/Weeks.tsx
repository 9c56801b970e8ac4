import { localDate, zonedMoment } from '@core/calendar/zonedTime';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { MS_PER_DAY } from '@core/kernel/units';
import { Button } from 'antd';
import { useCommands, useRows } from '../../app/projectStore';
import { dateWords } from '../../app/words';
import { HoursField } from '../../ui/fields';
import styles from './brief.module.css';

const WEEK_MS = 7 * MS_PER_DAY;

/** The Monday of the week an instant falls in, in a time zone, as YYYY-MM-DD. */
function mondayOf(ms: number, timeZone: string): string {
  const { year, month, day, weekday } = zonedMoment(ms, timeZone);
  const date = new Date(Date.UTC(year, month - 1, day));
  date.setUTCDate(date.getUTCDate() - ((weekday + 6) % 7));
  return date.toISOString().slice(0, 10);
}

/** Hours week by week until the reveal; their sum becomes the hours on hand. */
export function Weeks() {
  const rows = useRows();
  const { run } = useCommands();
  const { project } = rows;
  const { weeks } = project.brief;
  const put = (next: typeof weeks) =>
    run('editProject', {
      id: project.id,
      values: {
        brief: { ...project.brief, weeks: next },
        ...(next.length > 0 ? { hoursOnHandMinutes: next.reduce((sum, week) => sum + week.minutes, 0) } : {}),
      },
    });
  const plannedWeeks = () => {
    const nowMs = Date.now();
    const from = mondayOf(nowMs, project.timeZone);
    const until = project.revealDate ?? localDate(nowMs + 4 * WEEK_MS, project.timeZone);
    const mondays: string[] = [];
    for (let at = Date.parse(`${from}T00:00:00Z`); mondays.length < 26; at += WEEK_MS) {
      const monday = new Date(at).toISOString().slice(0, 10);
      if (monday >= until) break;
      mondays.push(monday);
    }
    const each =
      Math.round((project.hoursOnHandMinutes ?? 420 * mondays.length) / Math.max(1, mondays.length) / 30) * 30;
    return mondays.map((monday) => ({
      monday,
      minutes: weeks.find((week) => week.monday === monday)?.minutes ?? each,
    }));
  };
  return (
    <div className={styles.weeks}>
      {weeks.map((week) => (
        <HoursField
          key={week.monday}
          label={`Week of ${dateWords(week.monday)}`}
          value={week.minutes}
          onCommit={(minutes) =>
            put(weeks.map((other) => (other.monday === week.monday ? { ...other, minutes } : other)))
          }
        />
      ))}
      <p className={styles.row}>
        <Button size="small" onClick={() => put(plannedWeeks())}>
          {weeks.length === 0 ? 'Plan the hours week by week' : 'Up to the reveal again'}
        </Button>
        {weeks.length > 0 && (
          <>
            <Button size="small" type="text" onClick={() => put([])}>
              Only their sum
            </Button>
            <span className="muted small">
              {formatMinutes(weeks.reduce((sum, week) => sum + week.minutes, 0))} in {weeks.length} weeks
            </span>
          </>
        )}
      </p>
    </div>
  );
}

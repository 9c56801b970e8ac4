import { localDate } from '@core/calendar/zonedTime';
import { freezeOf } from '@core/closing/freezePlan';
import type { PlanFreezeRow } from '@core/model/rows';
import { Button } from 'antd';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { useSearchState } from '../../app/useSearchState';
import { dayOf } from '../../app/words';
import { Choice } from '../../ui/Choice';
import styles from './wrap.module.css';

/** Which frozen plan all is held against, and freezing the plan as it is now. */
export function Freezes(props: { freezes: readonly PlanFreezeRow[]; shown: PlanFreezeRow | null }) {
  const plan = usePlan();
  const { stepRuns } = useRows();
  const { run } = useCommands();
  const { timeZone } = useLocale();
  const [, update] = useSearchState();
  const nameOf = ({ why, atMs }: PlanFreezeRow) =>
    `${why === 'workBegan' ? 'when work began' : 'as it was'}, ${dayOf(localDate(atMs, timeZone))}`;
  const { shown } = props;
  const freeze = (
    <Button
      size="small"
      onClick={() => run('freezePlan', { row: freezeOf(plan, { id: crypto.randomUUID(), why: 'byHand', note: '' }) })}
    >
      Freeze the plan as it is now
    </Button>
  );
  if (shown === null)
    return (
      <p className={styles.freezes}>
        <span className="muted">
          {stepRuns.length > 0
            ? 'Work began before plans were frozen here, so there is nothing to hold it against but what is new.'
            : 'The plan is frozen by itself when the first step is begun, to be held against how it turns out.'}
        </span>
        {freeze}
      </p>
    );
  return (
    <div className={styles.freezes}>
      {props.freezes.length === 1 ? (
        <span className="muted">Held against the plan {nameOf(shown)}.</span>
      ) : (
        <Choice
          label="Held against the plan"
          value={shown.id}
          options={props.freezes.map((one) => ({ value: one.id, label: nameOf(one) }))}
          onChange={(id) => update((next) => next.set('freeze', id))}
        />
      )}
      {freeze}
      {shown.why === 'byHand' && (
        <Button size="small" type="text" onClick={() => run('removeFreeze', { id: shown.id })}>
          Remove this one
        </Button>
      )}
    </div>
  );
}

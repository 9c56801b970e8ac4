import { MOST_RATIO } from '@core/log/learnFactors';
import type { LogEntryRow } from '@core/model/rows';
import { wrongName } from '@core/recipe/wentWrong';
import { type WrongProblem, wrongProblems } from '@core/state/mishap';
import { type ReactNode, useState } from 'react';
import { useCommands, useLocale } from '../../app/projectStore';
import { dayOf } from '../../app/words';
import { Choice } from '../../ui/Choice';
import { NumberField, QuantityField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { MOST_PEOPLE } from './StepWho';
import styles from './step.module.css';

/** How far off the plan it was, in words. */
export function againstPlan({ minutes, expectedMinutes }: Pick<LogEntryRow, 'minutes' | 'expectedMinutes'>): string {
  const taken = `${Math.round(minutes)} min`;
  return expectedMinutes > 0 ? `${taken}, expected ${Math.round(expectedMinutes)}` : taken;
}

/** A line of the log, as it can be set right: minutes, people, coats, what was used, a note. */
export function LogLine(props: { entry: LogEntryRow; amounts?: ReactNode; isOpen?: boolean; hasCoats?: boolean }) {
  const { entry } = props;
  const { run } = useCommands();
  const [open, setOpen] = useState(props.isOpen ?? false);
  const set = (values: Partial<LogEntryRow>) => run('editLogEntry', { id: entry.id, values });
  return (
    <section className={styles.logLine} aria-label={`Log: ${entry.what}`}>
      <p>
        <b>Logged: {againstPlan(entry)}</b>
        {entry.people > 1 ? `, ${entry.people} people together` : ''}
        {entry.wrong ? `, went wrong: ${wrongName(entry.wrong).toLowerCase()}` : ''}{' '}
        <span className="muted small">{dayOf(new Date(entry.atMs).toISOString().slice(0, 10))}</span>{' '}
        {!props.isOpen && (
          <button type="button" data-inline aria-expanded={open} onClick={() => setOpen(!open)}>
            Set it right
          </button>
        )}
      </p>
      {open && (
        <>
          <FarOff entry={entry} />
          <SideBySide across={2}>
            <NumberField
              label="Minutes, all hands"
              value={Math.round(entry.minutes * 10) / 10}
              digits={1}
              least={0}
              most={20_000}
              onCommit={(minutes) => set({ minutes })}
            />
            <NumberField
              label="People"
              value={entry.people}
              whole
              least={1}
              most={MOST_PEOPLE}
              onCommit={(people) => set({ people })}
            />
            {props.hasCoats && (
              <NumberField
                label="Coats in this go"
                value={entry.coats?.given ?? 1}
                whole
                least={1}
                most={12}
                onCommit={(given) => set({ coats: { expected: 1, given } })}
              />
            )}
            {props.amounts}
          </SideBySide>
          <Circumstances entry={entry} set={set} />
          <TextField label="Note" value={entry.note} most={1000} onCommit={(note) => set({ note })} />
        </>
      )}
    </section>
  );
}

/** The air that it was done in, and what went wrong: what one wants to know when it fails, or works. */
function Circumstances(props: { entry: LogEntryRow; set: (values: Partial<LogEntryRow>) => void }) {
  const { entry, set } = props;
  const { units } = useLocale();
  const air = entry.air ?? { airC: null, humidityPercent: null };
  const setAir = (change: Partial<typeof air>) => {
    const next = { ...air, ...change };
    set({ air: next.airC === null && next.humidityPercent === null ? null : next });
  };
  return (
    <SideBySide across={2}>
      <QuantityField<number | null>
        kind="celsius"
        label="Air"
        value={air.airC}
        units={units}
        digits={0}
        nullable
        least={-60}
        most={60}
        onCommit={(airC) => setAir({ airC })}
      />
      <NumberField<number | null>
        label="Humidity"
        value={air.humidityPercent}
        nullable
        whole
        least={1}
        most={100}
        suffix="%"
        onCommit={(humidityPercent) => setAir({ humidityPercent })}
      />
      <Choice<WrongProblem | ''>
        label="What went wrong"
        value={entry.wrong ?? ''}
        options={[
          { value: '' as const, label: 'Nothing' },
          ...wrongProblems.map((problem) => ({ value: problem, label: wrongName(problem) })),
        ]}
        onChange={(value) => set({ wrong: value === '' ? null : value })}
      />
    </SideBySide>
  );
}

/** A timer that ran on over dinner, or was never started, is best set right at once. */
function FarOff({ entry }: { entry: LogEntryRow }) {
  const { minutes, expectedMinutes } = entry;
  const isFar =
    expectedMinutes > 0 && (minutes * MOST_RATIO < expectedMinutes || minutes > expectedMinutes * MOST_RATIO);
  return isFar ? (
    <p className="muted small">
      Far from what was planned. If the timer did not run all the time, or ran too long, write the minutes here; as it
      is it counts as {minutes < expectedMinutes ? 'a third of' : 'three times'} the plan, no more.
    </p>
  ) : null;
}

import type { LogEntryRow } from '@core/model/rows';
import { type ReactNode, useState } from 'react';
import { useCommands } from '../../app/projectStore';
import { dayOf } from '../../app/words';
import { NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
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
        {entry.people > 1 ? `, ${entry.people} people together` : ''}{' '}
        <span className="muted small">{dayOf(new Date(entry.atMs).toISOString().slice(0, 10))}</span>{' '}
        {!props.isOpen && (
          <button type="button" data-inline aria-expanded={open} onClick={() => setOpen(!open)}>
            Set it right
          </button>
        )}
      </p>
      {open && (
        <>
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
              most={12}
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
          <TextField label="Note" value={entry.note} most={1000} onCommit={(note) => set({ note })} />
        </>
      )}
    </section>
  );
}

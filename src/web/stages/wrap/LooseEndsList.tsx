import { daysBetween } from '@core/calendar/localDates';
import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { looseEndTitle } from '@core/closing/closingWords';
import { type LooseEnd, looseEnds, USUAL_DAYS } from '@core/closing/looseEnds';
import { looseEndDays } from '@core/formats/calendar/looseEndDays';
import type { LooseEndRow } from '@core/model/rows';
import { lowerFirst } from '@core/schedule/benchWords';
import { Button } from 'antd';
import { useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { saveFile } from '../../app/saveFile';
import { Empty } from '../../ui/basics';
import { Choice } from '../../ui/Choice';
import { DateField, TextField } from '../../ui/fields';
import { EndLine } from './EndLine';
import styles from './wrap.module.css';

const DAYS_OF_A_WEEK = 7;

/** What is left to do after the work, by when it is due. */
export function LooseEndsList() {
  const plan = usePlan();
  const rows = useRows();
  const { currency, timeZone } = useLocale();
  const today = localDate(plan.asOfMs, timeZone);
  const { open, done } = looseEnds(plan);
  const days = looseEndDays(open, currency);
  const save = async () => {
    // What writes it is loaded when somebody wants it.
    const { calendarFile } = await import('@core/formats/calendar/write');
    saveFile('euporia-loose-ends.ics', 'text/calendar', calendarFile(rows.project.name, days, plan.asOfMs));
  };
  const groups: { name: string; ends: LooseEnd[] }[] = [
    { name: 'Late', ends: open.filter(({ daysLeft }) => daysLeft !== null && daysLeft < 0) },
    {
      name: 'Within a week',
      ends: open.filter(({ daysLeft }) => daysLeft !== null && daysLeft >= 0 && daysLeft <= DAYS_OF_A_WEEK),
    },
    { name: 'Later', ends: open.filter(({ daysLeft }) => daysLeft !== null && daysLeft > DAYS_OF_A_WEEK) },
    { name: 'No day yet', ends: open.filter(({ daysLeft }) => daysLeft === null) },
  ].filter(({ ends }) => ends.length > 0);
  return (
    <div className={styles.page}>
      <div className={styles.endsHead}>
        <p className={styles.lead} role="status">
          {headWords(open, today)}
        </p>
        {days.length > 0 && <Button onClick={() => void save()}>Days as a calendar file</Button>}
      </div>
      {open.length === 0 && (
        <Empty title="No loose ends">
          <p>
            What could go back, what is borrowed, what was bought and fits nowhere, and what is left of a can is listed
            here by itself. Anything else is added below.
          </p>
        </Empty>
      )}
      {groups.map(({ name, ends }) => (
        <section key={name} aria-label={name} className={styles.endGroup}>
          <h3>{name}</h3>
          <ul className={styles.ends}>
            {ends.map((end) => (
              <EndLine key={end.key} end={end} today={today} />
            ))}
          </ul>
        </section>
      ))}
      <AddEnd />
      {done.length > 0 && <Done done={done} today={today} />}
    </div>
  );
}

function headWords(open: readonly LooseEnd[], today: string): string {
  if (open.length === 0) return 'Everything is settled.';
  const first = open.find(({ dueOn }) => dueOn !== null);
  const back = open.length === 1 ? 'One thing is left to do' : `${open.length} things are left to do`;
  if (!first?.dueOn) return `${back}.`;
  const late = daysBetween(today, first.dueOn) < 0;
  return `${back}, the first ${late ? 'was due ' : ''}${sayDay(first.dueOn, today)}: ${lowerFirst(looseEndTitle(first))}.`;
}

/** Adds a task of one's own, or something of ours that is to be sold. */
function AddEnd() {
  const rows = useRows();
  const { run } = useCommands();
  const [what, setWhat] = useState('');
  const [dueOn, setDueOn] = useState<string | null>(null);
  const [pieceId, setPieceId] = useState<string>('');
  const marked = new Set(rows.looseEnds.flatMap(({ about }) => (about.kind === 'sale' ? [about.id] : [])));
  const ours = rows.pieces
    .filter(({ id, inHouse, borrowedFrom }) => inHouse && borrowedFrom === '' && !marked.has(id))
    .sort((a, b) => a.name.localeCompare(b.name));
  const add = () => {
    if (pieceId === '' && what.trim() === '') return;
    const id = crypto.randomUUID();
    if (pieceId !== '') {
      const name = ours.find((piece) => piece.id === pieceId)?.name ?? '';
      run('settleLooseEnd', {
        id,
        about: { kind: 'sale', id: pieceId },
        title: `To be sold: ${name}`.slice(0, 200),
        values: { dueOn },
      });
    } else
      run('settleLooseEnd', {
        id,
        about: { kind: 'own' },
        title: `Added: ${what.trim()}`.slice(0, 200),
        values: { what: what.trim(), dueOn },
      });
    setWhat('');
    setDueOn(null);
    setPieceId('');
  };
  return (
    <section className={styles.addEnd} aria-label="Something else">
      <h3>Something else</h3>
      <div className={styles.addFields}>
        {ours.length > 0 && (
          <Choice
            label="Of ours, to be sold"
            value={pieceId}
            options={[{ value: '', label: 'nothing' }, ...ours.map(({ id, name }) => ({ value: id, label: name }))]}
            onChange={setPieceId}
          />
        )}
        {pieceId === '' && <TextField label="What is to be done" value={what} most={200} onCommit={setWhat} />}
        <DateField
          label="By when"
          hint={`a date like 2026-06-20; empty: ${USUAL_DAYS[pieceId === '' ? 'own' : 'sale'] / DAYS_OF_A_WEEK} weeks after the reveal`}
          value={dueOn}
          onCommit={setDueOn}
        />
        {/* Never locked: what is being typed counts only once the field is left, by this very press. */}
        <Button onClick={add}>Add it</Button>
      </div>
    </section>
  );
}

/** What is open again once its mark is taken off; of all else the thing itself tells. */
const opensAgain: ReadonlySet<string> = new Set(['own', 'return']);

/** What is settled, with the way back. */
function Done(props: { done: readonly LooseEndRow[]; today: string }) {
  const rows = useRows();
  const { run } = useCommands();
  const nameOf = ({ about, what }: LooseEndRow): string => {
    if (what !== '') return what;
    if (about.kind === 'misfit') return rows.finds.find(({ id }) => id === about.id)?.name ?? 'A find';
    if (about.kind === 'sale') return rows.pieces.find(({ id }) => id === about.id)?.name ?? 'A piece';
    return 'Something';
  };
  return (
    <details className={styles.doneEnds}>
      <summary>Settled, {props.done.length}</summary>
      <ul className={styles.ends}>
        {props.done.map((row) => (
          <li key={row.id} className={styles.end}>
            <span>
              {nameOf(row)}
              <small className="muted">
                {row.way === 'give' ? 'given away ' : row.way === 'away' ? 'thrown away ' : ''}
                {row.doneOn ? sayDay(row.doneOn, props.today) : ''}
              </small>
            </span>
            {opensAgain.has(row.about.kind) && (
              <Button
                size="small"
                type="text"
                onClick={() =>
                  run('settleLooseEnd', {
                    id: row.id,
                    about: row.about,
                    title: `Open again: ${nameOf(row)}`.slice(0, 200),
                    values: { doneOn: null },
                  })
                }
              >
                Open again
              </Button>
            )}
          </li>
        ))}
      </ul>
    </details>
  );
}

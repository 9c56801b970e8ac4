import { dateAfter } from '@core/calendar/localDates';
import { climateRegions, type RegionKind } from '@core/calendar/weather/climateRegions.data';
import { dayHoursWords, parseDayHours, parseWeek, weekWords } from '@core/calendar/workingWeek';
import { localDate } from '@core/calendar/zonedTime';
import { hoursOn } from '@core/schedule/workerWindows';
import type { WorkingHours, Workshop } from '@core/state/workshop';
import { USUAL_TABLE_M2 } from '@core/state/workshop';
import { Button, Checkbox } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { dateWords } from '../../app/words';
import { Choice } from '../../ui/Choice';
import { QuantityField, TextField } from '../../ui/fields';
import { Input } from '../../ui/input';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';
import styles from './hours.module.css';
import { WeatherTable } from './WeatherTable';

const DAYS_SHOWN = 14;

/** When and where the making is done: the week, days that differ, helpers, places to dry, the open and its weather. */
export function HoursPage() {
  const { project } = useRows();
  const { run } = useCommands();
  const locale = useLocale();
  const { workshop } = project;
  const set = (change: Partial<Workshop>) =>
    run('editProject', { id: project.id, values: { workshop: { ...workshop, ...change } } });
  return (
    <main className={shell.page}>
      <p>
        <Link to="../bench">Bench</Link>
      </p>
      <h1>Hours and places</h1>
      <div className={styles.parts}>
        <section className={styles.part} aria-label="Your hours">
          <h2>Your hours</h2>
          <WeekField label="In an ordinary week" hours={workshop} onCommit={(week) => set({ week })} />
          <DaysThatDiffer hours={workshop} onCommit={(exceptions) => set({ exceptions })} />
          {project.brief.weeks.length > 0 && (
            <p className="muted small">
              The brief says how much a week may take in all; the bench keeps to that too.{' '}
              <Link to="../brief">Brief</Link>
            </p>
          )}
        </section>
        <Helpers workshop={workshop} onSet={set} />
        <section className={styles.part} aria-label="Where pieces dry">
          <h2>Where pieces dry</h2>
          <p className="muted small">
            What is wet lies somewhere until it may be handled; two pieces need room for two.
          </p>
          {workshop.dryingPlaces.map((place) => (
            <div key={place.id} className={styles.row}>
              <TextField
                label="Place"
                value={place.name}
                least={1}
                most={60}
                onCommit={(name) =>
                  set({
                    dryingPlaces: workshop.dryingPlaces.map((one) => (one.id === place.id ? { ...one, name } : one)),
                  })
                }
              />
              <QuantityField
                label="Room"
                kind="m2"
                units={locale.units}
                value={place.areaM2}
                digits={1}
                least={0.05}
                most={200}
                onCommit={(areaM2) =>
                  set({
                    dryingPlaces: workshop.dryingPlaces.map((one) => (one.id === place.id ? { ...one, areaM2 } : one)),
                  })
                }
              />
              <Button
                size="small"
                type="text"
                aria-label={`Remove ${place.name}`}
                onClick={() => set({ dryingPlaces: workshop.dryingPlaces.filter(({ id }) => id !== place.id) })}
              >
                Remove
              </Button>
            </div>
          ))}
          {workshop.dryingPlaces.length === 0 && (
            <p className="muted small">No place is named: room to dry is then not counted.</p>
          )}
          <Button
            size="small"
            onClick={() =>
              set({
                dryingPlaces: [
                  ...workshop.dryingPlaces,
                  { id: crypto.randomUUID(), name: 'Another table', areaM2: USUAL_TABLE_M2 },
                ],
              })
            }
          >
            Add a place
          </Button>
        </section>
        <section className={styles.part} aria-label="In the open">
          <h2>In the open</h2>
          <Checkbox checked={workshop.hasShelter} onChange={(event) => set({ hasShelter: event.target.checked })}>
            There is a roof to spray under: a garage with its door open, a porch
          </Checkbox>
          <Checkbox
            checked={workshop.carriesIn ?? false}
            onChange={(event) => set({ carriesIn: event.target.checked })}
          >
            What was sprayed is carried in when it is dry to touch, so that cold nights do not count; not into a bedroom
          </Checkbox>
          <SideBySide across={2}>
            <Choice<RegionKind>
              label="Kind of climate"
              value={workshop.region}
              options={Object.entries(climateRegions).map(([value, { name }]) => ({
                value: value as RegionKind,
                label: name,
              }))}
              onChange={(region) => set({ region })}
              hint="for days that nobody typed or imported"
            />
            <Choice
              label="Seasons"
              value={workshop.isSouthern ? 'south' : 'north'}
              options={[
                { value: 'north', label: 'north of the equator' },
                { value: 'south', label: 'south of the equator' },
              ]}
              onChange={(side) => set({ isSouthern: side === 'south' })}
            />
          </SideBySide>
        </section>
      </div>
      <WeatherTable />
    </main>
  );
}

/** A week in one line, as one says it. */
function WeekField(props: { label: string; hours: WorkingHours; onCommit: (week: WorkingHours['week']) => void }) {
  return (
    <TypedField<WorkingHours['week']>
      label={props.label}
      value={props.hours.week}
      show={weekWords}
      read={(text) => {
        const week = parseWeek(text);
        return week
          ? { ok: true, value: week }
          : {
              ok: false,
              reason: `${props.label}: “${text}”; accepted: days and hours like Mon–Fri 18–20, Sat 10–15, or “no hours”`,
            };
      }}
      hint="like Mon–Fri 18–20, Sat 10–15"
      onCommit={props.onCommit}
    />
  );
}

/** The coming two weeks day by day: a day that is not like its weekday is simply written over. */
function DaysThatDiffer(props: { hours: WorkingHours; onCommit: (exceptions: WorkingHours['exceptions']) => void }) {
  const { hours } = props;
  const plan = usePlan();
  const locale = useLocale();
  const today = localDate(plan.asOfMs, locale.timeZone);
  const ordinary: WorkingHours = { week: hours.week, exceptions: [] };
  return (
    <details className={styles.days} open={hours.exceptions.some(({ date }) => date >= today)}>
      <summary>The coming two weeks, day by day</summary>
      {Array.from({ length: DAYS_SHOWN }, (_, n) => dateAfter(today, n)).map((date) => {
        const differs = hours.exceptions.some((one) => one.date === date);
        const others = hours.exceptions.filter((one) => one.date !== date);
        return (
          <div key={date} className={styles.day} data-differs={differs || undefined}>
            <TypedField
              label={dateWords(date)}
              value={hoursOn(hours, date)}
              show={dayHoursWords}
              read={(text) => {
                const read = parseDayHours(text);
                return read
                  ? { ok: true, value: read }
                  : { ok: false, reason: `${dateWords(date)}: “${text}”; accepted: hours like 18–20, or “none”` };
              }}
              onCommit={(value) => props.onCommit([...others, { date, hours: value, note: '' }])}
            />
            {differs && (
              <Button size="small" type="text" onClick={() => props.onCommit(others)}>
                As usual: {dayHoursWords(hoursOn(ordinary, date))}
              </Button>
            )}
          </div>
        );
      })}
    </details>
  );
}

function Helpers(props: { workshop: Workshop; onSet: (change: Partial<Workshop>) => void }) {
  const { workshop, onSet } = props;
  const [name, setName] = useState('');
  const add = () => {
    if (name.trim() === '') return;
    const helper = {
      id: crypto.randomUUID(),
      name: name.trim(),
      week: workshop.week.map((): never[] => []),
      exceptions: [],
    };
    onSet({ helpers: [...workshop.helpers, helper] });
    setName('');
  };
  const change = (id: string, values: Partial<Workshop['helpers'][number]>) =>
    onSet({ helpers: workshop.helpers.map((one) => (one.id === id ? { ...one, ...values } : one)) });
  return (
    <section className={styles.part} aria-label="Who lends a hand">
      <h2>Who lends a hand</h2>
      {workshop.helpers.map((helper) => (
        <div key={helper.id} className={styles.helper}>
          <WeekField
            label={`Hours of ${helper.name}`}
            hours={helper}
            onCommit={(week) => change(helper.id, { week })}
          />
          <DaysThatDiffer hours={helper} onCommit={(exceptions) => change(helper.id, { exceptions })} />
          <Button
            size="small"
            type="text"
            onClick={() => onSet({ helpers: workshop.helpers.filter(({ id }) => id !== helper.id) })}
          >
            Remove {helper.name}
          </Button>
        </div>
      ))}
      <p className={styles.row}>
        <Input
          aria-label="Name of a helper"
          placeholder="A name"
          value={name}
          maxLength={60}
          onChange={(event) => setName(event.target.value)}
          onPressEnter={add}
        />
        <Button onClick={add} disabled={name.trim() === ''}>
          Add
        </Button>
      </p>
    </section>
  );
}

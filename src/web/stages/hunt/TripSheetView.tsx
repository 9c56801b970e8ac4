import { clockWords } from '@core/calendar/openingHours';
import { largestWords } from '@core/formats/huntingList/write';
import { formatMinutes } from '@core/kernel/formatMinutes';
import { formatMoney } from '@core/kernel/formatMoney';
import type { SourceRow, TripRow } from '@core/model/rows';
import { legOf, type TripArrival, withLeg } from '@core/pricing/tripPlan';
import type { HuntingLine } from '@core/sourcing/huntingList';
import { chipWords, patternWords } from '@core/sourcing/patternWords';
import { type SheetStop, type TripSheet, tripSheet } from '@core/sourcing/tripSheet';
import { Button, Checkbox } from 'antd';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { standAt } from '../../app/shopOfDay';
import { distanceWords, longUnit } from '../../app/words';
import { StitchedNumber } from '../../ui/basics';
import { OneOf } from '../../ui/Choice';
import { DateField, MoneyField, NumberField, TextField } from '../../ui/fields';
import { SideBySide } from '../../ui/layout';
import { TypedField } from '../../ui/TypedField';
import { DistanceField } from './DistanceField';
import hunt from './hunt.module.css';
import { USUAL_STAY_MINUTES } from './TripsPage';
import styles from './trips.module.css';

/** One trip: its day, its cost, and its stops in order with what to look for; ticked off on the way. */
export function TripSheetView(props: { trip: TripRow }) {
  const { trip } = props;
  const rows = useRows();
  const plan = usePlan();
  const locale = useLocale();
  const { run } = useCommands();
  const sheet = tripSheet(plan, trip);
  const set = (values: Partial<Omit<TripRow, 'id' | 'version'>>) => run('editTrip', { id: trip.id, values });
  const shown = longUnit(locale.units);
  const kmPerShown = shown.meters / 1000;
  const distance = sheet.plan.distanceM === 0 ? '' : `${distanceWords(sheet.plan.distanceM, locale.units)}, `;
  const tick = (id: string) =>
    set({ ticked: trip.ticked.includes(id) ? trip.ticked.filter((entry) => entry !== id) : [...trip.ticked, id] });
  const free = rows.sources
    .filter(({ id }) => !trip.stops.some(({ sourceId }) => sourceId === id))
    .sort((a, b) => a.name.localeCompare(b.name));
  return (
    <div>
      <section className={hunt.sheet} aria-label="Trip">
        <SideBySide across={5}>
          <TextField label="Trip" value={trip.name} least={1} onCommit={(name) => set({ name })} />
          <DateField label="Day" value={trip.onDate} onCommit={(onDate) => onDate !== null && set({ onDate })} />
          <TypedField
            label="Leaving at"
            value={trip.startMinute}
            show={clockWords}
            read={(text) => {
              const match = /^(\d{1,2})(?::(\d{2}))?$/.exec(text);
              const minute = match ? Number(match[1]) * 60 + Number(match[2] ?? 0) : -1;
              return minute >= 0 && minute <= 1440
                ? { ok: true, value: minute }
                : { ok: false, reason: `“${text}”; accepted: a time like 9:30` };
            }}
            onCommit={(startMinute) => set({ startMinute })}
          />
          <MoneyField
            label="Parking and fees"
            value={trip.extras}
            currency={locale.currency}
            onCommit={(extras) => set({ extras })}
          />
          <MoneyField
            label={`Cost of a ${shown.name}`}
            value={Math.round(trip.costPerKm * kmPerShown)}
            currency={locale.currency}
            onCommit={(cost) => set({ costPerKm: Math.round(cost / kmPerShown) })}
          />
        </SideBySide>
        <p role="status">
          {trip.stops.length === 0 ? (
            'No stops yet.'
          ) : (
            <>
              Back at <b>{clockWords(sheet.plan.endMinute)}</b>, {formatMinutes(sheet.plan.totalMinutes)}, {distance}{' '}
              {formatMoney(sheet.cost, locale.currency)}
              {sheet.plan.isEstimated ? '; ways between places are guessed until you say them' : ''}.
            </>
          )}
        </p>
        <div className={hunt.quick}>
          <OneOf
            label="Another stop"
            placeholder="Another stop"
            value={null}
            disabled={trip.stops.length >= 12}
            options={free.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(sourceId: string) =>
              set({
                stops: [...trip.stops, { id: crypto.randomUUID(), sourceId, minutes: USUAL_STAY_MINUTES, done: false }],
              })
            }
            width={200}
          />
          <Button onClick={() => set({ done: !trip.done })}>{trip.done ? 'Open it again' : 'The trip is over'}</Button>
          <Button type="text" onClick={() => run('removeTrip', { id: trip.id })}>
            Remove trip
          </Button>
        </div>
      </section>
      <ol className={styles.stops} aria-label="Stops">
        {sheet.stops.map((entry, n) => (
          <Stop
            key={entry.stop.id}
            entry={entry}
            before={n === 0 ? null : (sheet.stops[n - 1]?.source ?? null)}
            number={n + 1}
            trip={trip}
            onTick={tick}
            onStay={(minutes) =>
              set({ stops: trip.stops.map((stop) => (stop.id === entry.stop.id ? { ...stop, minutes } : stop)) })
            }
            onDone={(done) =>
              set({ stops: trip.stops.map((stop) => (stop.id === entry.stop.id ? { ...stop, done } : stop)) })
            }
            onRemove={() => set({ stops: trip.stops.filter(({ id }) => id !== entry.stop.id) })}
          />
        ))}
      </ol>
      {trip.stops.length > 0 && <LookFor sheet={sheet} trip={trip} onTick={tick} />}
    </div>
  );
}

function Stop(props: {
  entry: SheetStop;
  /** The place that one comes from; null is home. */
  before: SourceRow | null;
  number: number;
  trip: TripRow;
  onTick: (id: string) => void;
  onStay: (minutes: number) => void;
  onDone: (done: boolean) => void;
  onRemove: () => void;
}) {
  const { entry, trip } = props;
  const { project } = useRows();
  const { currency } = useLocale();
  const money = (minor: number) => formatMoney(minor, currency, { cents: 'auto' });
  const { source, arrival } = entry;
  const name = source?.name ?? 'A place that is gone';
  return (
    <li className={styles.stop}>
      <div className={styles.head}>
        <StitchedNumber>{props.number}</StitchedNumber>
        <div>
          <b>{name}</b>
          <small>
            {arrival === null
              ? 'cannot be fitted in: closed that day, or too late'
              : `${arrival.way.minutes} min from ${props.before?.name ?? 'home'}${arrival.way.isEstimated ? ', guessed' : ''} · ${clockWords(arrival.arriveMinute)} to ${clockWords(arrival.leaveMinute)}${arrival.waitMinutes > 0 ? `, ${arrival.waitMinutes} min until it opens` : ''}`}
          </small>
          {entry.discounts.length > 0 && (
            <small className={styles.cheaper}>
              {entry.discounts.map(({ pattern }) => patternWords(pattern, trip.onDate)).join(' · ')}
            </small>
          )}
        </div>
        {source && (
          <Link className={hunt.alone} to={`/p/${project.id}/hunt/card`} onClick={() => standAt(project.id, source.id)}>
            Decide here
          </Link>
        )}
      </div>
      <ul className={styles.things}>
        <li>
          <Checkbox
            checked={trip.stops.some(({ id, done }) => id === entry.stop.id && done)}
            onChange={(event) => props.onDone(event.target.checked)}
          >
            been there
          </Checkbox>
        </li>
        {entry.fetch.map(({ id, name: what, cost, thatDay }) => (
          <li key={id}>
            <Checkbox checked={trip.ticked.includes(id)} onChange={() => props.onTick(id)}>
              fetch <b>{what}</b>
              {cost === null ? '' : `, ${formatMoney(thatDay ?? cost, currency)}`}
              {thatDay === null || cost === null ? '' : ` that day instead of ${formatMoney(cost, currency)}`}
            </Checkbox>
          </li>
        ))}
        {entry.thinking.map((find) => (
          <li key={find.id}>
            <Link to={`/p/${project.id}/hunt/card?find=${find.id}`}>think over {find.name}</Link>
            {find.because === '' ? '' : ` (${find.because})`}
          </li>
        ))}
      </ul>
      {entry.look.length > 0 && (
        <details>
          <summary>Look for here: {entry.look.length}</summary>
          <ul className={styles.things}>
            {entry.look.map((thing) => (
              <li key={thing.line.slot.id}>
                <LookLine line={thing.line} trip={trip} onTick={props.onTick}>
                  {thing.tag === null ? 'no tag stays below its ceiling' : `a tag up to ${money(thing.tag)}`}
                  {thing.discounts.length > 0 &&
                    `, ${thing.discounts.map((discount) => chipWords(discount, trip.onDate)).join(', ')} in it`}
                </LookLine>
              </li>
            ))}
          </ul>
        </details>
      )}
      <details>
        <summary>Stay, way, opening hours</summary>
        <NumberField
          label={`Minutes at ${name}`}
          value={entry.stop.stayMinutes}
          least={0}
          most={1440}
          whole
          onCommit={props.onStay}
        />
        {source && arrival && <WayHere trip={trip} source={source} arrival={arrival} before={props.before} />}
        <p className="small muted">
          {source && source.hours.length === 0 ? 'Its hours are not noted: it is taken to be open. ' : ''}
          {source && <Link to={`/p/${project.id}/hunt/places?place=${source.id}`}>Its page</Link>}
        </p>
        <Button size="small" type="text" onClick={props.onRemove}>
          Not there after all
        </Button>
      </details>
    </li>
  );
}

/** The way to a stop: from home it is the place's own, between two stops it is the trip's; a guess until it is said. */
function WayHere(props: { trip: TripRow; source: SourceRow; arrival: TripArrival; before: SourceRow | null }) {
  const { trip, source, arrival, before } = props;
  const { run } = useCommands();
  const fromId = before?.id ?? null;
  const leg = legOf(trip.legs, fromId, source.id);
  const isOwn = before === null && leg === undefined;
  const known = isOwn
    ? { minutes: source.minutesOneWay, distanceM: source.distanceM }
    : { minutes: leg?.minutes ?? null, distanceM: leg?.distanceM ?? null };
  const say = (minutes: number | null, distanceM: number | null) => {
    if (isOwn) return run('editSource', { id: source.id, values: { minutesOneWay: minutes, distanceM } });
    // A way of which only the distance is said takes as long as was guessed.
    const said = minutes === null && distanceM === null ? null : { minutes: minutes ?? arrival.way.minutes, distanceM };
    run('editTrip', { id: trip.id, values: { legs: withLeg(trip.legs, fromId, source.id, said) } });
  };
  const from = before?.name ?? 'home';
  return (
    <SideBySide across={2}>
      <NumberField
        label={`Way from ${from}, minutes`}
        value={known.minutes}
        nullable
        least={0}
        most={1440}
        whole
        hint={known.minutes === null ? `guessed: ${arrival.way.minutes} min` : undefined}
        onCommit={(minutes) => say(minutes, minutes === null ? null : known.distanceM)}
      />
      <DistanceField
        label={`Distance from ${from}`}
        value={known.distanceM}
        onCommit={(distanceM) => say(known.minutes, distanceM)}
      />
    </SideBySide>
  );
}

/** What is still to be found, wherever one is: the largest size and the most that it may cost. */
function LookFor(props: { sheet: TripSheet; trip: TripRow; onTick: (id: string) => void }) {
  const locale = useLocale();
  const { look } = props.sheet;
  const money = (minor: number) => formatMoney(minor, locale.currency, { cents: 'auto' });
  return (
    <section className={hunt.sheet} aria-label="Look for, at every stop">
      <h3>Look for, at every stop</h3>
      {look.length === 0 ? (
        <p className="muted">Everything is found, ours, or left out.</p>
      ) : (
        <ul className={styles.things}>
          {look.map((line) => (
            <li key={line.slot.id}>
              <LookLine line={line} trip={props.trip} onTick={props.onTick}>
                aim at {money(line.target)}, at most {money(line.ceiling)}
              </LookLine>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

/** One thing that is looked for: which slot, how many, how large, and what it may cost; ticked once it is found. */
function LookLine(props: { line: HuntingLine; trip: TripRow; onTick: (id: string) => void; children: ReactNode }) {
  const { line } = props;
  const locale = useLocale();
  const size = largestWords(line, locale);
  const id = `slot:${line.slot.id}`;
  return (
    <Checkbox checked={props.trip.ticked.includes(id)} onChange={() => props.onTick(id)}>
      <b>
        {line.slot.number} · {line.slot.name}
      </b>
      {line.needed > 1 ? `, ${line.needed} of them` : ''}
      {size === '' ? '' : `, ${size}`}, {props.children}
    </Checkbox>
  );
}

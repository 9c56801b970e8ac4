import { weekdayNames } from '@core/calendar/dayNames';
import { dateAfter } from '@core/calendar/localDates';
import { weekdayOf } from '@core/calendar/recurrence';
import { sayDay } from '@core/calendar/sayDay';
import { localDate } from '@core/calendar/zonedTime';
import { placesToVisit } from '@core/sourcing/tripSheet';
import { Button } from 'antd';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import shell from '../../app/shell.module.css';
import { useSearchState } from '../../app/useSearchState';
import { Empty } from '../../ui/basics';
import { Workbench } from '../../ui/layout';
import { HuntNav } from './HuntNav';
import hunt from './hunt.module.css';
import { TripSheetView } from './TripSheetView';

/** When one usually leaves, and stays in a shop (estimated; both are a press away). */
const USUAL_START_MINUTE = 9 * 60;
export const USUAL_STAY_MINUTES = 25;

/** Rounds through the shops: the stops in the order that ends earliest, and what to look for at each. */
export function TripsPage() {
  const rows = useRows();
  const plan = usePlan();
  const { timeZone } = useLocale();
  const { run } = useCommands();
  const [search, update] = useSearchState();
  const today = localDate(plan.asOfMs, timeZone);
  const trips = [...rows.trips].sort(
    (a, b) => Number(a.done) - Number(b.done) || (a.onDate < b.onDate ? -1 : a.onDate > b.onDate ? 1 : 0),
  );
  const selected = trips.find(({ id }) => id === search.get('trip')) ?? trips[0] ?? null;
  const waiting = placesToVisit(plan);
  const select = (id: string) => update((next) => next.set('trip', id));
  const add = (sourceIds: string[]) => {
    const id = crypto.randomUUID();
    const onDate = dateAfter(today, 1);
    run('addTrip', {
      row: {
        id,
        version: 1,
        name: `Trip on ${weekdayNames[weekdayOf(onDate) - 1]}`,
        onDate,
        startMinute: USUAL_START_MINUTE,
        stops: sourceIds.slice(0, 12).map((sourceId) => ({
          id: crypto.randomUUID(),
          sourceId,
          minutes: USUAL_STAY_MINUTES,
          done: false,
        })),
        legs: [],
        costPerKm: 0,
        extras: 0,
        ticked: [],
        done: false,
        note: '',
      },
    });
    select(id);
  };
  return (
    <main className={shell.page}>
      <HuntNav />
      <p className={hunt.quick}>
        {waiting.length > 0 && (
          <Button type="primary" onClick={() => add(waiting.map(({ source }) => source.id))}>
            Trip to fetch {waiting.reduce((sum, { fetch }) => sum + fetch.length, 0)} at {waiting.length}{' '}
            {waiting.length === 1 ? 'place' : 'places'}
          </Button>
        )}
        <Button onClick={() => add([])}>Empty trip</Button>
      </p>
      {selected === null ? (
        <Empty title="No trip planned">
          <p>
            A trip takes the stops in the order that ends earliest, within their opening hours, and lists what to look
            for at each. Its minutes and its cost count in the purse once, as soon as it fetches something.
          </p>
        </Empty>
      ) : (
        <Workbench leftWidth={220} rightWidth={0}>
          <ul className={hunt.list} aria-label="Trips">
            {trips.map((trip) => (
              <li key={trip.id}>
                <button type="button" aria-current={trip.id === selected.id} onClick={() => select(trip.id)}>
                  <b>{trip.name}</b>
                  <span />
                  <small>
                    {[
                      sayDay(trip.onDate, today),
                      `${trip.stops.length} ${trip.stops.length === 1 ? 'stop' : 'stops'}`,
                      trip.done ? 'done' : '',
                    ]
                      .filter((word) => word !== '')
                      .join(' · ')}
                  </small>
                </button>
              </li>
            ))}
          </ul>
          <TripSheetView key={selected.id} trip={selected} />
        </Workbench>
      )}
    </main>
  );
}

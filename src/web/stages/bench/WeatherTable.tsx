import { dateAfter } from '@core/calendar/localDates';
import { type AirLimits, coatingHours } from '@core/calendar/weather/coatingHours';
import { placeOutdoors } from '@core/calendar/weather/placeOutdoors';
import type { WeatherDay, WeatherHour } from '@core/calendar/weather/weatherHour';
import { localDate } from '@core/calendar/zonedTime';
import { coatings } from '@core/catalog/coatings';
import { readWeather, writeWeather } from '@core/formats/weather/weatherTable';
import { againstWords } from '@core/schedule/benchWords';
import { forecastOf } from '@core/schedule/forecastOf';
import { Button } from 'antd';
import { useMemo, useRef, useState } from 'react';
import { useCommands, useLocale, usePlan, useRows } from '../../app/projectStore';
import { saveFile } from '../../app/saveFile';
import { dateWords } from '../../app/words';
import { SourceTag } from '../../ui/basics';
import { NumberField, QuantityField } from '../../ui/fields';
import { useTemperatureWords } from './benchLocale';
import styles from './hours.module.css';

const DAYS_SHOWN = 10;
const FIRST_HOUR = 6;
const LAST_HOUR = 22;
/** What is asked of the air where the weather is told by itself: an ordinary aerosol enamel. */
const ORDINARY = 'aerosolEnamel';

/** The weather of the coming days: simulated until somebody types what the radio says, or imports a forecast. */
export function WeatherTable() {
  const rows = useRows();
  const plan = usePlan();
  const { run } = useCommands();
  const locale = useLocale();
  const words = useTemperatureWords();
  const input = useRef<HTMLInputElement>(null);
  const [open, setOpen] = useState<string | null>(null);
  const [troubles, setTroubles] = useState<readonly string[]>([]);
  const [said, setSaid] = useState<string | null>(null);
  const { workshop } = rows.project;
  const today = localDate(plan.asOfMs, locale.timeZone);
  const forecast = useMemo(() => forecastOf(rows.project, rows.weatherDays), [rows.project, rows.weatherDays]);
  const limits: AirLimits = coatings.get(ORDINARY).limits;
  const place = placeOutdoors(workshop);
  const days = Array.from({ length: DAYS_SHOWN }, (_, n) => forecast(dateAfter(today, n)));
  const setHours = (day: WeatherDay, hours: readonly WeatherHour[]) =>
    run('setWeather', {
      days: [
        {
          id: crypto.randomUUID(),
          version: 1,
          date: day.date,
          hours: [...hours],
          source: 'typed' as const,
          origin: '',
        },
      ],
    });
  const read = async (file: File) => {
    const reading = readWeather(await file.text());
    setTroubles(reading.troubles);
    setSaid(reading.days.length > 0 ? `${reading.days.length} days taken from “${file.name}”.` : null);
    if (reading.days.length > 0)
      run('setWeather', {
        days: reading.days.map(({ date, hours }) => ({
          id: crypto.randomUUID(),
          version: 1,
          date,
          hours,
          source: 'imported' as const,
          origin: file.name.slice(0, 120),
        })),
      });
  };
  return (
    <section className={styles.weather} aria-label="The weather">
      <h2>The weather</h2>
      <p className="muted small">
        Days that nobody said are <b>simulated</b> from the kind of climate: they foretell nothing. Type what the radio
        says, or take a forecast from a file.
      </p>
      <p className={styles.row}>
        <input
          ref={input}
          type="file"
          accept=".csv,.json,text/csv,application/json"
          aria-label="Take a forecast from a file"
          className="visually-hidden"
          onChange={(event) => {
            const file = event.target.files?.[0];
            if (file) void read(file);
            event.target.value = '';
          }}
        />
        <Button size="small" onClick={() => input.current?.click()}>
          Take a forecast from a file
        </Button>
        <Button size="small" type="text" onClick={() => saveFile('weather.csv', 'text/csv', writeWeather(days))}>
          Save these days as a file to fill in
        </Button>
      </p>
      {said && <p role="status">{said}</p>}
      {troubles.length > 0 && (
        <ul role="alert" className={styles.troubles}>
          {troubles.map((trouble) => (
            <li key={trouble}>{trouble}</li>
          ))}
        </ul>
      )}
      <ul className={styles.weatherDays}>
        {days.map((day) => {
          const hours = coatingHours(day.date, forecast, limits, place);
          const good = hours.filter(({ against }) => against.length === 0);
          const noon = hours[13]?.against.find(({ kind }) => kind !== 'dark') ?? hours[13]?.against[0];
          const temperatures = day.hours.map(({ airC }) => airC);
          const rain = day.hours.reduce((sum, { rainMm }) => sum + rainMm, 0);
          return (
            <li key={day.date}>
              <button
                type="button"
                aria-expanded={open === day.date}
                onClick={() => setOpen(open === day.date ? null : day.date)}
              >
                <b>{dateWords(day.date)}</b>
                <span>
                  {words.temperature(Math.min(...temperatures))} to {words.temperature(Math.max(...temperatures))}
                </span>
                <span>{rain > 0 ? `rain, ${Math.round(rain)} mm` : 'dry'}</span>
                <span data-good={good.length > 0 || undefined}>
                  {good.length > 0
                    ? `spray ${good[0]?.hour}:00 to ${(good.at(-1)?.hour ?? 0) + 1}:00`
                    : noon
                      ? againstWords(noon, words)
                      : ''}
                </span>
                <SourceTag>{day.source}</SourceTag>
              </button>
              {open === day.date && (
                <HourTable
                  day={day}
                  onSet={(hours) => setHours(day, hours)}
                  onForget={() => run('setWeather', { days: [], forget: [day.date] })}
                />
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
}

/** The hours of a day, to be written over with what the radio says. */
function HourTable(props: { day: WeatherDay; onSet: (hours: readonly WeatherHour[]) => void; onForget: () => void }) {
  const { day } = props;
  const locale = useLocale();
  const set = (hour: number, change: Partial<WeatherHour>) =>
    props.onSet(day.hours.map((one, n) => (n === hour ? { ...one, ...change } : one)));
  return (
    <div className={styles.hours}>
      <div className={styles.hour} aria-hidden="true">
        <span />
        <span>Air</span>
        <span>Humidity, %</span>
        <span>Wind, m/s</span>
        <span>Rain, mm</span>
      </div>
      {day.hours.map((one, hour) =>
        hour < FIRST_HOUR || hour > LAST_HOUR ? null : (
          <div key={hour} className={styles.hour}>
            <span>{hour}:00</span>
            <QuantityField
              label={`Air at ${hour}:00`}
              hideLabel
              kind="celsius"
              units={locale.units}
              value={one.airC}
              digits={1}
              least={-60}
              most={60}
              onCommit={(airC) => set(hour, { airC })}
            />
            <NumberField
              label={`Humidity at ${hour}:00, %`}
              hideLabel
              value={one.humidityPercent}
              least={1}
              most={100}
              onCommit={(humidityPercent) => set(hour, { humidityPercent })}
            />
            <NumberField
              label={`Wind at ${hour}:00, m/s`}
              hideLabel
              value={one.windMPerS}
              digits={1}
              least={0}
              most={100}
              onCommit={(windMPerS) => set(hour, { windMPerS })}
            />
            <NumberField
              label={`Rain at ${hour}:00, mm`}
              hideLabel
              value={one.rainMm}
              digits={1}
              least={0}
              most={300}
              onCommit={(rainMm) => set(hour, { rainMm })}
            />
          </div>
        ),
      )}
      {day.source !== 'simulated' && (
        <Button size="small" onClick={props.onForget}>
          Forget it: simulated again
        </Button>
      )}
    </div>
  );
}

import { coatingHours } from '@core/calendar/weather/coatingHours';
import { placeOutdoors } from '@core/calendar/weather/placeOutdoors';
import { againstWords } from '@core/schedule/benchWords';
import { useMemo } from 'react';
import { useRows } from '../../app/projectStore';
import styles from './bench.module.css';
import { useTemperatureWords } from './benchLocale';
import type { LineScale } from './lineScale';
import type { BenchState } from './useBench';

/** Whether the open is good for coating, day by day, with what speaks against it where it is not. */
export function Outdoors(props: { scale: LineScale; state: BenchState; isName?: boolean }) {
  const { bench } = props.state;
  const { project } = useRows();
  const words = useTemperatureWords();
  const [key] = [...bench.problem.hours.keys()];
  const { workshop } = project;
  const days = useMemo(() => {
    if (key === undefined) return [];
    const place = placeOutdoors(workshop);
    return props.scale.days.map(({ date }) => {
      const hours = coatingHours(date, bench.forecast, JSON.parse(key), place);
      const good = hours.filter(({ against }) => against.length === 0);
      // What speaks against the middle of the day tells most.
      const noon = hours[13]?.against.filter((one) => one.kind !== 'dark') ?? [];
      return { date, good, why: noon[0] ?? hours[13]?.against[0] ?? null, source: bench.forecast(date).source };
    });
  }, [key, props.scale, bench, workshop]);
  if (key === undefined) return null;
  if (props.isName)
    return (
      <div className={styles.outdoorsName}>
        Outdoors <small>{days[0]?.source === 'simulated' ? 'simulated weather' : ''}</small>
      </div>
    );
  return (
    <div className={styles.outdoors}>
      {days.map(({ date, good, why }) => (
        <span
          key={date}
          data-good={good.length > 0 || undefined}
          style={{ width: props.scale.dayWidth }}
          title={good.length > 0 ? `${good.length} good hours` : why ? againstWords(why, words) : ''}
        >
          {good.length > 0 ? `${good[0]?.hour}–${(good.at(-1)?.hour ?? 0) + 1}` : (why?.kind ?? '')}
        </span>
      ))}
    </div>
  );
}

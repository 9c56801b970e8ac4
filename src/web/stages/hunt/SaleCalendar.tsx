import { weekdayNames } from '@core/calendar/dayNames';
import { dateAfter } from '@core/calendar/localDates';
import { weekdayOf } from '@core/calendar/recurrence';
import { sayDay } from '@core/calendar/sayDay';
import type { SourceRow } from '@core/model/rows';
import { discountsOn } from '@core/pricing/discountPattern';
import { chipWords } from '@core/sourcing/patternWords';
import { useMemo, useState } from 'react';
import styles from './hunt.module.css';

const WEEKS = 5;

/** What falls when, of all places: five weeks from this one; a day tells what holds on it. */
export function SaleCalendar(props: { sources: readonly SourceRow[]; today: string }) {
  const { sources, today } = props;
  const [picked, setPicked] = useState(today);
  const days = useMemo(() => {
    const monday = dateAfter(today, 1 - weekdayOf(today));
    return Array.from({ length: WEEKS * 7 }, (_, n) => {
      const day = dateAfter(monday, n);
      const falls = sources.flatMap((source) =>
        discountsOn(source.patterns, day).map((discount) => ({
          id: `${source.id}${discount.pattern.id}`,
          source: source.name,
          words: chipWords(discount, day),
        })),
      );
      return { day, falls };
    });
  }, [sources, today]);
  const shown = days.find(({ day }) => day === picked) ?? days[0];
  return (
    <section aria-label="What falls when">
      <h3>What falls when</h3>
      <div className={styles.calendar}>
        {weekdayNames.map((name) => (
          <span key={name} className={styles.weekday}>
            {name.slice(0, 2)}
          </span>
        ))}
        {days.map(({ day, falls }) => (
          <button
            key={day}
            type="button"
            aria-label={`${Number(day.slice(8))}, ${sayDay(day, today)}: ${falls.length === 0 ? 'nothing' : `${falls.length} ${falls.length === 1 ? 'discount' : 'discounts'}`}`}
            aria-pressed={day === picked}
            data-today={day === today || undefined}
            disabled={day < today}
            onClick={() => setPicked(day)}
          >
            {Number(day.slice(8))}
            <i aria-hidden="true">{'•'.repeat(Math.min(3, falls.length))}</i>
          </button>
        ))}
      </div>
      {shown && (
        <div role="status" className="small">
          <b>{sayDay(shown.day, today)}</b>
          {shown.falls.length === 0 ? (
            <p className="muted">Nothing is known to be cheaper.</p>
          ) : (
            <ul className={styles.falls}>
              {shown.falls.map(({ id, source, words }) => (
                <li key={id}>
                  {source}: <b>{words}</b>
                </li>
              ))}
            </ul>
          )}
        </div>
      )}
    </section>
  );
}

import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { localDate } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { insert, type RowChange, remove, update } from '../changes';

/** Says what the weather of some days is, or that nobody knows: then the stand-in shows again. */
export const setWeather = projectAct({
  kind: 'setWeather',
  title: 'Weather changed',
  payload: z.strictObject({
    days: z.array(rowSchema('weatherDays')).max(400, 'at most 400 days'),
    forget: z.array(localDate).max(400, 'at most 400 days').default([]),
  }),
  decide: (rows, { days, forget }) => {
    const twice = days.find((one, n) => days.findIndex(({ date }) => date === one.date) !== n);
    if (twice) return refuse('days', twice.date, 'each day once');
    const forgotten = rows.weatherDays
      .filter(({ date }) => forget.includes(date))
      .map((row) => remove('weatherDays', row.id));
    const said = days.map((day): RowChange => {
      const known = rows.weatherDays.find(({ date }) => date === day.date);
      const { hours, source, origin } = day;
      return known ? update('weatherDays', known.id, { hours, source, origin }) : insert('weatherDays', day);
    });
    return [...forgotten, ...said];
  },
});

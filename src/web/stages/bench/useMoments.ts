import { MS_PER_MINUTE } from '@core/kernel/units';
import type { Minute } from '@core/schedule/benchProblem';
import { useMemo } from 'react';
import { useLocale } from '../../app/projectStore';
import { dayWords } from '../../app/words';
import { clock } from './benchTimes';

/** How moments of the bench are said, as seen from the present: "18:00", "tomorrow", "tomorrow 18:00". */
export interface MomentWords {
  clock: (minute: Minute) => string;
  day: (minute: Minute) => string;
  moment: (minute: Minute) => string;
  /** The same, where what is today needs no day. */
  soon: (minute: Minute) => string;
}

/** Moments in the project's time zone. */
export function useMoments(now: Minute): MomentWords {
  const { timeZone } = useLocale();
  return useMemo(() => {
    const day = (minute: Minute) => dayWords(minute * MS_PER_MINUTE, now * MS_PER_MINUTE, timeZone);
    const own = (minute: Minute) => clock(minute, timeZone);
    const moment = (minute: Minute) => `${day(minute)} ${own(minute)}`;
    return { clock: own, day, moment, soon: (minute) => (day(minute) === 'today' ? own(minute) : moment(minute)) };
  }, [now, timeZone]);
}

import { localDate } from '@core/calendar/zonedTime';
import { useEffect, useState } from 'react';

const CLOCK_MS = 60_000;

/** The present moment, moving once a minute so that dates stay true on an open page; milliseconds since 1970. */
export function useNow(): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    const timer = setInterval(() => setNow(Date.now()), CLOCK_MS);
    return () => clearInterval(timer);
  }, []);
  return now;
}

/** The local date of today. */
export const localToday = (timeZone: string): string => localDate(Date.now(), timeZone);

/** The local date of today, on a page that may be open at midnight. */
export const useToday = (timeZone: string): string => localDate(useNow(), timeZone);

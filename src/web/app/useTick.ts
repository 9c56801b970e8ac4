import { useEffect, useState } from 'react';
import { serverNow } from './serverClock';

/** The present by the server's clock, moving with the seconds while something runs, else with the minutes. */
export function useTick(isRunning: boolean): number {
  const [now, setNow] = useState(serverNow);
  useEffect(() => {
    setNow(serverNow());
    const timer = setInterval(() => setNow(serverNow()), isRunning ? 1000 : 20_000);
    return () => clearInterval(timer);
  }, [isRunning]);
  return now;
}

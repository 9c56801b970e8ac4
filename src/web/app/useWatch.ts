import { addressOf } from '@contract/addresses';
import type { ChangeEvent } from '@contract/answers';
import { useEffect, useState } from 'react';
import { inTabStudio } from '../ui/tabStudio';
import { serverIsThere } from './api';
import { useLatest } from './useLatest';

/** A line that was refused is asked for again after so long. */
const AGAIN_MS = 5000;

/**
 * Hears of each change of a project while its page is looked at. A page in the background lets go of the line: a browser
 * has few of them.
 * @param onChange told of each change, and with null where whoever watches was signed out: then the page asks once more
 * @returns whether changes are heard of; else they have to be asked for
 */
export function useWatch(projectId: string, onChange: (event: ChangeEvent | null) => void): boolean {
  const latest = useLatest(onChange);
  const [hears, setHears] = useState(false);
  useEffect(() => {
    let source: EventSource | null = null;
    let later: ReturnType<typeof setTimeout> | undefined;
    const close = () => {
      source?.close();
      source = null;
      setHears(false);
    };
    const open = () => {
      if (source || document.hidden) return;
      source = new EventSource(inTabStudio(addressOf('watchProject', { projectId })));
      source.addEventListener('open', () => {
        setHears(true);
        // Nothing is asked for from now on: what waits would wait until it is tried again by itself.
        serverIsThere();
      });
      // It tries again by itself, but for a refusal; until then changes are asked for.
      source.addEventListener('error', () => {
        const isRefused = source?.readyState === EventSource.CLOSED;
        setHears(false);
        if (!isRefused) return;
        close();
        later = setTimeout(open, AGAIN_MS);
      });
      source.addEventListener('over', () => {
        close();
        latest.current(null);
        later = setTimeout(open, AGAIN_MS);
      });
      source.addEventListener('change', (event) => latest.current(JSON.parse(event.data) as ChangeEvent));
    };
    const look = () => (document.hidden ? close() : open());
    open();
    document.addEventListener('visibilitychange', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      clearTimeout(later);
      close();
    };
  }, [projectId]);
  return hears;
}

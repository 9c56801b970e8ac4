import { addressOf } from '@contract/addresses';
import type { ChangeEvent } from '@contract/answers';
import { useEffect, useState } from 'react';
import { inTabStudio } from '../ui/tabStudio';
import { useLatest } from './useLatest';

/**
 * Hears of each change of a project while its page is looked at. A page in the background lets go of the line: a browser
 * has few of them.
 * @returns whether changes are heard of; else they have to be asked for
 */
export function useWatch(projectId: string, onChange: (event: ChangeEvent) => void): boolean {
  const latest = useLatest(onChange);
  const [hears, setHears] = useState(false);
  useEffect(() => {
    let source: EventSource | null = null;
    const close = () => {
      source?.close();
      source = null;
      setHears(false);
    };
    const open = () => {
      if (source || document.hidden) return;
      source = new EventSource(inTabStudio(addressOf('watchProject', { projectId })));
      source.addEventListener('open', () => setHears(true));
      // It tries again by itself; until then changes are asked for.
      source.addEventListener('error', () => setHears(false));
      source.addEventListener('change', (event) => latest.current(JSON.parse(event.data) as ChangeEvent));
    };
    const look = () => (document.hidden ? close() : open());
    open();
    document.addEventListener('visibilitychange', look);
    return () => {
      document.removeEventListener('visibilitychange', look);
      close();
    };
  }, [projectId]);
  return hears;
}

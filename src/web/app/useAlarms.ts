import { MS_PER_MINUTE } from '@core/kernel/units';
import { lowerFirst } from '@core/schedule/benchWords';
import type { NamedDrying } from '@core/schedule/dryingOfRuns';
import { useEffect, useRef, useState } from 'react';

/** Something that may be touched, coated again or handled from now on. */
export interface Alarm {
  id: string;
  atMs: number;
  words: string;
}

/** What was due longer ago than this is no news any more. */
const NEWS_MS = 10 * MS_PER_MINUTE;

/** The moments at which somebody wants to be told of what dries. */
export function alarmsOf(drying: readonly NamedDrying[]): Alarm[] {
  return drying
    .flatMap(({ taskId, rowName, title, touch, next, handle }) => [
      { id: `${taskId} touch`, atMs: touch * MS_PER_MINUTE, words: `${rowName}, ${lowerFirst(title)}: dry to touch` },
      ...(next
        ? [
            {
              id: `${taskId} next`,
              atMs: next.from * MS_PER_MINUTE,
              words: `${rowName}: ${lowerFirst(next.title)} may begin`,
            },
          ]
        : []),
      {
        id: `${taskId} handle`,
        atMs: handle * MS_PER_MINUTE,
        words: `${rowName}, ${lowerFirst(title)}: may be handled`,
      },
    ])
    .sort((a, b) => a.atMs - b.atMs);
}

/** Two short tones, where the device allows sound. */
function ring(): void {
  try {
    const audio = new AudioContext();
    for (const at of [0, 0.35]) {
      const tone = audio.createOscillator();
      const volume = audio.createGain();
      tone.frequency.value = 660;
      volume.gain.value = 0.2;
      tone.connect(volume).connect(audio.destination);
      tone.start(audio.currentTime + at);
      tone.stop(audio.currentTime + at + 0.22);
    }
    setTimeout(() => void audio.close(), 1500);
  } catch {
    // Without sound the words stand on the page.
  }
}

/**
 * Tells when something is dry: on the page, with a sound, and by a notification where that was allowed.
 * @returns what just came about, until it is put away
 */
export function useAlarms(alarms: readonly Alarm[], nowMs: number): { rung: readonly Alarm[]; putAway: () => void } {
  const known = useRef(new Set<string>());
  const [rung, setRung] = useState<readonly Alarm[]>([]);
  useEffect(() => {
    const due = alarms.filter(({ id, atMs }) => atMs <= nowMs && !known.current.has(id));
    if (due.length === 0) return;
    for (const { id } of due) known.current.add(id);
    const news = due.filter(({ atMs }) => nowMs - atMs < NEWS_MS);
    if (news.length === 0) return;
    setRung((before) => [...before, ...news]);
    ring();
    if ('Notification' in window && Notification.permission === 'granted')
      for (const { words } of news) new Notification('Euporia', { body: words });
  }, [alarms, nowMs]);
  return { rung, putAway: () => setRung([]) };
}

/** Whether notifications can be asked for and were not answered yet. */
export const canAskToNotify = (): boolean => 'Notification' in window && Notification.permission === 'default';

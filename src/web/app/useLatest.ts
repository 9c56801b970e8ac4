import { type RefObject, useLayoutEffect, useRef } from 'react';

/** The latest of a value that changes, for what happens later: an event, an answer. Not for drawing. */
export function useLatest<T>(value: T): RefObject<T> {
  const latest = useRef(value);
  useLayoutEffect(() => {
    latest.current = value;
  });
  return latest;
}

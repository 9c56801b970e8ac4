import { useMemo } from 'react';
import { useProject } from './projectStore';
import type { Rim } from './words';

/** The open project's units, currency and time zone. */
export function useRim(): Rim {
  const { units, currency, timeZone } = useProject().rows.project;
  return useMemo(() => ({ units, currency, timeZone }), [units, currency, timeZone]);
}

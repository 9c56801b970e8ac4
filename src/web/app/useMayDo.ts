import { mayDo } from '@contract/permissions';
import type { ActKind } from '@core/acts';
import { useCallback } from 'react';
import { useRole } from './useMe';

/** Tells of an act whether it is part of the work of whoever is at this device. */
export function useMayDo(): (kind: ActKind) => boolean {
  const role = useRole();
  return useCallback((kind) => mayDo(role, kind), [role]);
}

import { worksAt } from '@contract/permissions';
import { useCallback } from 'react';
import { useMe } from './useMe';

/** Tells of a page of the project, by its address there, whether it is part of the work of whoever is at this device. */
export function useWorksAt(): (path: string) => boolean {
  // Where nobody is asked who they are, or while that is not known yet, all of it is; the server refuses what is not.
  const role = useMe()?.person?.role ?? 'owner';
  return useCallback((path) => worksAt(role, path), [role]);
}

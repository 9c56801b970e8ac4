import { worksAt } from '@contract/permissions';
import { useCallback } from 'react';
import { useRole } from './useMe';

/** Tells of a page of the project, by its address there, whether it is part of the work of whoever is at this device. */
export function useWorksAt(): (path: string) => boolean {
  const role = useRole();
  return useCallback((path) => worksAt(role, path), [role]);
}

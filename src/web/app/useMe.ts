import type { Role } from '@contract/permissions';
import { useQuery } from '@tanstack/react-query';
import { api } from './api';

/** Who is at this device, as the server last said it; undefined until it did. */
export const useMe = () =>
  useQuery({ queryKey: ['me'], queryFn: api.me, staleTime: Number.POSITIVE_INFINITY, retry: false }).data;

/**
 * What whoever is at this device may do. Where nobody is asked who they are, or while that is not known yet, all of it;
 * the server refuses what is not.
 */
export const useRole = (): Role => useMe()?.person?.role ?? 'owner';

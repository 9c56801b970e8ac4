import { useQuery } from '@tanstack/react-query';
import { api } from './api';

/** Who is at this device, as the server last said it; undefined until it did. */
export const useMe = () =>
  useQuery({ queryKey: ['me'], queryFn: api.me, staleTime: Number.POSITIVE_INFINITY, retry: false }).data;

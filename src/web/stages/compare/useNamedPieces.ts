import type { PieceRow } from '@core/model/rows';
import { headPhrase } from '@core/sourcing/pieceKindOf';
import { useQuery } from '@tanstack/react-query';
import { useDeferredValue } from 'react';
import { api } from '../../app/api';

/** Up to four pieces of the house that some words name; none before there are three letters of them. */
export function useNamedPieces(what: string): readonly PieceRow[] {
  const words = useDeferredValue(headPhrase(what.split(',')[0] ?? '').trim());
  const enabled = words.length >= 3;
  const query = useQuery({
    queryKey: ['house', 'pieces', 'named', words],
    queryFn: () => api.pieces({ words, limit: 4 }),
    enabled,
    staleTime: 10_000,
    retry: false,
  });
  return enabled ? (query.data?.pieces ?? []) : [];
}

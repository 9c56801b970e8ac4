import { type PieceQuery, pieceQuerySchema } from '@contract/house';
import type { PieceRow } from '@core/model/rows';
import type { Placement } from '@core/sourcing/placements';
import { keepPreviousData, useQueries, useQueryClient } from '@tanstack/react-query';
import { useMemo } from 'react';
import { api } from '../../app/api';
import { notePieces, useHouse } from '../../app/houseStore';
import { useSearchState } from '../../app/useSearchState';

const PAGE = 60;
const keys = Object.keys(pieceQuerySchema.shape) as (keyof PieceQuery)[];

/** The search of the stash as it stands in the address line: shared, kept by name, and there after a reload. */
export function usePieceQuery(): {
  query: PieceQuery;
  /** The search as text, for keeping it by name. */
  text: string;
  set(change: Partial<Record<keyof PieceQuery, string | number | undefined>>): void;
  replace(text: string): void;
} {
  const [search, update] = useSearchState();
  const said = Object.fromEntries(
    keys.flatMap((key) => (search.get(key) === null ? [] : [[key, search.get(key) as string]])),
  );
  const text = new URLSearchParams(said).toString();
  // What an old address says and nobody understands any more is left out, not stumbled over.
  const query = useMemo(() => {
    const pairs = Object.fromEntries(new URLSearchParams(text));
    const read = pieceQuerySchema.safeParse(pairs);
    if (read.success) return read.data;
    for (const issue of read.error.issues) delete pairs[String(issue.path[0])];
    return pieceQuerySchema.parse(pairs);
  }, [text]);
  return {
    query,
    text,
    set: (change) =>
      update(
        (next) => {
          for (const [key, value] of Object.entries(change)) {
            if (value === undefined || value === '') next.delete(key);
            else next.set(key, String(value));
          }
        },
        { replace: true },
      ),
    replace: (kept) =>
      update((next) => {
        for (const key of keys) next.delete(key);
        for (const [key, value] of new URLSearchParams(kept)) next.set(key, value);
      }),
  };
}

export interface StashView {
  total: number | null;
  /** The piece at a place of the list; undefined while its page is on the way. */
  at(index: number): PieceRow | undefined;
  placementsOf(pieceId: string): Placement[];
  failed: Error | null;
  retry(): void;
}

/**
 * The pieces that a query finds, page by page as they are looked at.
 * @param from first place on the screen
 * @param until last place on the screen
 */
export function useStash(query: PieceQuery, from: number, until: number): StashView {
  const house = useHouse();
  const client = useQueryClient();
  const first = Math.floor(Math.max(0, from) / PAGE);
  const last = Math.floor(Math.max(0, until) / PAGE);
  const pages = Array.from({ length: last - first + 1 }, (_, n) => first + n);
  const results = useQueries({
    queries: pages.map((page) => ({
      queryKey: ['house', 'pieces', query, page],
      queryFn: async () => {
        const found = await api.pieces({ ...query, limit: PAGE, offset: page * PAGE });
        notePieces(client, found.pieces);
        return found;
      },
      placeholderData: keepPreviousData,
      retry: false,
      staleTime: 5000,
    })),
  });
  const { pieceOf } = house;
  const loaded = results.flatMap((result) => (result.data ? [result.data] : []));
  const error = results.find((result) => result.isError)?.error ?? null;
  return {
    total: loaded[0]?.total ?? null,
    at: (index) => {
      const page = loaded.find((entry) => index >= entry.offset && index < entry.offset + PAGE);
      const row = page?.pieces[index - page.offset];
      return row && (pieceOf(row.id) ?? row);
    },
    placementsOf: (pieceId) => loaded.flatMap((page) => page.placements).filter((entry) => entry.pieceId === pieceId),
    failed: error,
    retry: () => {
      for (const result of results) void result.refetch();
    },
  };
}

import type { HouseRows, PieceRow } from '@core/model/rows';
import { type QueryClient, useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useMemo } from 'react';
import { withAnswer } from '../sync/rowsAfter';
import { api, type HouseSnapshot } from './api';
import { useOpenRows } from './projectStore';
import { useToday } from './today';
import { type CommandQueue, useCommandQueue } from './useCommandQueue';
import type { ProjectLocale } from './words';

/** What the house needs: the studio's shared rows, the pieces that were looked at, and a queue of its own. */
export interface HouseAccess extends Omit<CommandQueue<HouseRows>, 'rows'> {
  /** Shared rows; `pieces` holds those that were loaded so far. */
  rows: HouseRows;
  locale: ProjectLocale;
  studioId: string;
  /** Local date of today. */
  today: string;
  /** A piece as it is now, with what is on its way; null when it is gone. */
  pieceOf(id: string): PieceRow | null;
}

const HouseContext = createContext<HouseAccess | null>(null);

/** The house; only inside its provider. */
export function useHouse(): HouseAccess {
  const access = useContext(HouseContext);
  if (!access) throw new Error('useHouse is used outside the house');
  return access;
}

const REFRESH_MS = 6000;
const HOUSE_KEY = ['house', 'rows'];

/** The revision that a tag of the house names. */
const revisionOf = (tag: string) => Number(/(\d+)/.exec(tag)?.[1] ?? 0);

/** The house's rows with pieces that were looked at among them; of each the newer version. */
function withPiecesSeen(rows: HouseRows, seen: readonly PieceRow[]): HouseRows {
  const known = new Map(rows.pieces.map((piece) => [piece.id, piece]));
  const news = seen.filter((piece) => (known.get(piece.id)?.version ?? 0) < piece.version);
  if (news.length === 0) return rows;
  for (const piece of news) known.set(piece.id, piece);
  return { ...rows, pieces: [...known.values()] };
}

/** Adds the pieces that a search or a ranking brought to the house's rows, so that acts find them there. */
export function notePieces(client: QueryClient, seen: readonly PieceRow[]): void {
  client.setQueryData<HouseSnapshot>(HOUSE_KEY, (present) =>
    present ? { ...present, rows: withPiecesSeen(present.rows, seen) } : present,
  );
}

/** Loads the house and keeps its outbox. */
export function HouseProvider(props: {
  skeleton: ReactNode;
  failed: (error: unknown, retry: () => void) => ReactNode;
  children: ReactNode;
}) {
  const client = useQueryClient();
  const query = useQuery({
    queryKey: HOUSE_KEY,
    queryFn: async (): Promise<HouseSnapshot> => {
      const fresh = await api.house();
      // While the answer was under way an own command may have been answered: the later state wins.
      const present = client.getQueryData<HouseSnapshot>(HOUSE_KEY);
      if (!present) return fresh;
      if (revisionOf(present.tag) > revisionOf(fresh.tag)) return present;
      // There are too many pieces to bring with the house: those that were looked at stay.
      return { ...fresh, rows: withPiecesSeen(fresh.rows, present.rows.pieces) };
    },
    refetchInterval: REFRESH_MS,
    refetchOnWindowFocus: 'always',
    retry: false,
    staleTime: 0,
  });
  if (query.data) return <LoadedHouse snapshot={query.data}>{props.children}</LoadedHouse>;
  if (query.isError) return <>{props.failed(query.error, () => void query.refetch())}</>;
  return <>{props.skeleton}</>;
}

function LoadedHouse(props: { snapshot: HouseSnapshot; children: ReactNode }) {
  const { snapshot } = props;
  const client = useQueryClient();
  const queue = useCommandQueue(snapshot.studioId, snapshot.rows, {
    answered: (answer) => {
      client.setQueryData<HouseSnapshot>(HOUSE_KEY, (present) =>
        present ? { ...present, rows: withAnswer(present.rows, answer), tag: answer.tag } : present,
      );
      void client.invalidateQueries({ queryKey: ['house', 'pieces'] });
      void client.invalidateQueries({ queryKey: ['house', 'fits'] });
      void client.invalidateQueries({ queryKey: ['house', 'panels'] });
      void client.invalidateQueries({ queryKey: ['project'] });
    },
    stuck: () => void client.invalidateQueries({ queryKey: ['house'] }),
  });
  const rows = queue.rows as HouseRows;
  const byId = useMemo(() => new Map(rows.pieces.map((piece) => [piece.id, piece])), [rows.pieces]);
  const pieceOf = useCallback((id: string) => byId.get(id) ?? null, [byId]);
  const { studioId } = snapshot;
  // Within a project its own units and money count; else those of the project that was worked on last.
  const open = useOpenRows()?.project;
  const locale = useMemo<ProjectLocale>(
    () => (open ? { units: open.units, currency: open.currency, timeZone: open.timeZone } : snapshot.locale),
    [open, snapshot.locale],
  );
  const today = useToday(locale.timeZone);
  const access = useMemo<HouseAccess>(
    () => ({ ...queue, rows, locale, studioId, today, pieceOf }),
    [queue, rows, locale, studioId, today, pieceOf],
  );
  return <HouseContext.Provider value={access}>{props.children}</HouseContext.Provider>;
}

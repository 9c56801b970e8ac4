import { localDate } from '@core/calendar/zonedTime';
import type { HouseRows, PieceRow } from '@core/model/rows';
import { useQuery, useQueryClient } from '@tanstack/react-query';
import { createContext, type ReactNode, useCallback, useContext, useMemo, useState } from 'react';
import { api, type HouseSnapshot } from './api';
import { useOpenRows } from './projectStore';
import { withAnswer } from './rowsAfter';
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
  /** Takes note of pieces that a search or a ranking brought. */
  learn(pieces: readonly PieceRow[]): void;
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

/** A local date of a time zone. */
export function localToday(timeZone: string): string {
  return localDate(Date.now(), timeZone);
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
      return present && revisionOf(present.tag) > revisionOf(fresh.tag) ? present : fresh;
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
  const [known, setKnown] = useState<ReadonlyMap<string, PieceRow>>(new Map());
  const serverRows = useMemo(() => ({ ...snapshot.rows, pieces: [...known.values()] }), [snapshot.rows, known]);
  const queue = useCommandQueue(snapshot.studioId, serverRows, {
    answered: (answer) => {
      client.setQueryData<HouseSnapshot>(HOUSE_KEY, (present) =>
        present ? { ...present, rows: withAnswer(present.rows, answer), tag: answer.tag } : present,
      );
      setKnown((before) => {
        const after = new Map(before);
        for (const { table, row } of answer.rows)
          if (table === 'pieces') after.set(String(row.id), row as unknown as PieceRow);
        for (const { table, id } of answer.removed) if (table === 'pieces') after.delete(id);
        return after;
      });
      void client.invalidateQueries({ queryKey: ['house', 'pieces'] });
      void client.invalidateQueries({ queryKey: ['house', 'fits'] });
      void client.invalidateQueries({ queryKey: ['house', 'panels'] });
      void client.invalidateQueries({ queryKey: ['project'] });
    },
    stuck: () => void client.invalidateQueries({ queryKey: ['house'] }),
  });
  const learn = useCallback((pieces: readonly PieceRow[]) => {
    setKnown((before) => {
      const news = pieces.filter((piece) => (before.get(piece.id)?.version ?? 0) < piece.version);
      if (news.length === 0) return before;
      const after = new Map(before);
      for (const piece of news) after.set(piece.id, piece);
      return after;
    });
  }, []);
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
  const today = localToday(locale.timeZone);
  const access = useMemo<HouseAccess>(
    () => ({ ...queue, rows, locale, studioId, today, learn, pieceOf }),
    [queue, rows, locale, studioId, today, learn, pieceOf],
  );
  return <HouseContext.Provider value={access}>{props.children}</HouseContext.Provider>;
}

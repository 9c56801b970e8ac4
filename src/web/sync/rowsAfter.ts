import type { DoneAnswer, RefusedAnswer } from '@contract/answers';
import type { Command } from '@contract/command';
import { type AnyRow, isProject, type Workspace } from '@core/acts/changes';
import { withFinds } from '@core/model/finds';
import type { PieceRow } from '@core/model/rows';

/** A command on its way. `refused` and `conflict` wait for the stylist; nothing typed is dropped. */
export interface OutboxEntry {
  command: Command;
  state: 'waiting' | 'refused' | 'conflict';
  answer: RefusedAnswer | null;
  /** Pieces of the house that it speaks of, which the project does not hold yet. */
  along?: readonly PieceRow[];
  /** Whether it was on its way to the server already: it may be done there, so it goes out again as it is. */
  sent?: boolean;
  /** The tab that it was typed in: taking back touches one's own. */
  by?: string;
  /** Who was signed in when it was typed: it goes out in their name, or waits for them. Nobody where nobody is asked. */
  personId?: string;
  /** The studio that it is of, whichever the tab that sends it is in. */
  studioId?: string | null;
  /** Rows that it makes, by their ids: what speaks of them in another lane waits for it. */
  makes?: readonly string[];
  /** Of an edit of one row: its fields as its author saw them, so that what others changed beside them is no conflict. */
  seen?: Readonly<Record<string, unknown>>;
  /** When it was typed, milliseconds since 1970. */
  atMs?: number;
  /** A picture that goes to the server before it; `isThere` once it is. */
  picture?: { id: string; name: string; isThere?: boolean };
}

/** Rows with further pieces of the house among them. */
export function withPieces<W extends Workspace>(rows: W, along: readonly PieceRow[] = []): W {
  const here = new Set(rows.pieces.map((piece) => piece.id));
  const missing = along.filter((piece) => !here.has(piece.id) && here.add(piece.id));
  return missing.length === 0 ? rows : { ...rows, pieces: [...rows.pieces, ...missing] };
}

/**
 * Server rows after an answer: rows as they are now replace or join, removed ones go. Of a table that these rows do not
 * hold (another scope's, or one that a newer server knows) nothing is taken. Tables are known by the rows themselves:
 * the entities would bring all their schemas along.
 */
export function withAnswer<W extends Workspace>(rows: W, answer: DoneAnswer): W {
  const result = { ...rows } as W;
  const tables = result as unknown as Record<string, readonly AnyRow[]>;
  for (const { table, row } of answer.rows) {
    if (!(table in tables)) continue;
    if (table === 'project') {
      if (isProject(result)) result.project = row as unknown as typeof result.project;
      continue;
    }
    const list = tables[table] ?? [];
    const known = list.some((other) => other.id === row.id);
    tables[table] = known
      ? list.map((other) => (other.id === row.id ? (row as AnyRow) : other))
      : [...list, row as AnyRow];
  }
  for (const { table, id } of answer.removed)
    if (table !== 'project' && table in tables) tables[table] = (tables[table] ?? []).filter((row) => row.id !== id);
  return isProject(result) ? (withFinds(result) as W) : result;
}

import type { Workspace } from '@core/acts/changes';
import { Recent } from '@core/kernel/recent';
import type { PieceRow } from '@core/model/rows';
import { fitPiece } from '@core/sourcing/fitRanking';
import { RankedPieces } from '@core/sourcing/rankedPieces';
import { piecesRevision } from '../persistence/projects';
import type { Transaction } from '../persistence/scope';
import { piecesToRank } from '../persistence/sql/pieceLists';

/** Studios whose pieces are remembered at the same time on one server. */
const MOST_KNOWN = 8;

/** Pieces that a write changed. */
export interface ChangedPieces {
  /** The state of the studio's pieces after it. */
  revision: number;
  /** Those that are in the house now. */
  rows: readonly PieceRow[];
  /** Those that are not, or no more. */
  gone: ReadonlySet<string>;
}

interface Known {
  revision: number;
  ranked: RankedPieces;
}

/**
 * All pieces of a studio as a ranking looks at them, read once and kept with the state that they are of. A write of this
 * server changes what it changed; after one of another server, or one that brings thousands, they are read anew.
 */
export class KnownPieces {
  private readonly known = new Recent<string, Known>(MOST_KNOWN);

  /** The pieces as they are now. */
  async ranked(transaction: Transaction): Promise<RankedPieces> {
    const { studioId } = transaction.scope;
    // The state first: what is read after it may be newer, and is then read or changed once more for nothing.
    const revision = await piecesRevision(transaction);
    const entry = this.known.get(studioId);
    if (entry?.revision === revision) return entry.ranked;
    const ranked = new RankedPieces(await piecesToRank(transaction));
    this.known.keep(studioId, { revision, ranked });
    return ranked;
  }

  /** Takes over what a write changed once it is committed, where it follows on the state that is known. */
  change(studioId: string, { revision, rows, gone }: ChangedPieces): void {
    const entry = this.known.get(studioId);
    if (entry?.revision !== revision - 1) return;
    this.known.keep(studioId, { revision, ranked: entry.ranked.with(rows.map(fitPiece), gone) });
  }
}

/** The pieces among some changes, as they stand after them. */
export function changedPieces(
  revision: number,
  after: Workspace,
  changes: readonly { table: string; id: string }[],
): ChangedPieces {
  const ids = new Set(changes.filter(({ table }) => table === 'pieces').map((change) => change.id));
  const rows = after.pieces.filter((piece) => ids.has(piece.id) && piece.inHouse);
  for (const { id } of rows) ids.delete(id);
  return { revision, rows, gone: ids };
}

import type { Lab } from '@core/color/lab';
import { type FitPiece, fitPiece } from '@core/sourcing/fitRanking';
import type { Transaction } from '../scope';
import { statement } from './statement';

/*
 * All pieces of the house with a few columns each, as one list in one text. By hand, since there may be ten thousand:
 * making entities of them takes longer than all that is computed from them.
 */

type Compact = [
  string,
  string,
  number | null,
  number | null,
  number | null,
  number | null,
  number,
  number,
  number | null,
  number,
  number,
  FitPiece['roles'],
  string,
  FitPiece['season'],
  number,
  string | null,
  boolean,
  string,
  string | null,
  boolean,
];

const RANKED_SQL = `select coalesce(json_agg(json_build_array(id, name, width_mm, depth_mm, height_mm, color_l, color_a, color_b, accent_l, accent_a, accent_b, roles, style, season, count, last_used_on, fragile, borrowed_from, back_by, counted)), '[]'::json)::text as list
  from "piece" where studio_id = $1 and deleted_at is null and in_house`;

/** What a ranking looks at of every piece in the house. */
export async function piecesToRank(transaction: Transaction): Promise<FitPiece[]> {
  const found = await statement<{ list: string }>(transaction, RANKED_SQL, [transaction.scope.studioId]);
  return (JSON.parse(found[0]?.list ?? '[]') as Compact[]).map((row) =>
    fitPiece({
      id: row[0],
      name: row[1],
      widthMm: row[2],
      depthMm: row[3],
      heightMm: row[4],
      color: row[5] === null ? null : { L: row[5], a: row[6], b: row[7] },
      accent: row[8] === null ? null : { L: row[8], a: row[9], b: row[10] },
      roles: row[11],
      style: row[12],
      season: row[13],
      count: row[14],
      lastUsedOn: row[15],
      fragile: row[16],
      borrowedFrom: row[17],
      backBy: row[18],
      counted: row[19],
    }),
  );
}

/** The colors of one piece. */
export interface PieceColors {
  id: string;
  color: Lab;
  accent: Lab | null;
}

/** The columns that `piecesColored` reads, as a query over pieces selects them. */
export const COLORED_SQL =
  "coalesce(json_agg(json_build_array(t.id, t.color_l, t.color_a, t.color_b, t.accent_l, t.accent_a, t.accent_b)), '[]'::json)";

/** Ids and colors out of such a list. */
export const piecesColored = (
  list: readonly [string, number, number, number, number | null, number, number][],
): PieceColors[] =>
  list.map(([id, L, a, b, accentL, accentA, accentB]) => ({
    id,
    color: { L, a, b },
    accent: accentL === null ? null : { L: accentL, a: accentA, b: accentB },
  }));

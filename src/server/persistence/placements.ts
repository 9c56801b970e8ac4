import type { Placement } from '@core/sourcing/placements';
import type { Transaction } from './scope';
import { placementsSql } from './sql/placed';
import { statement } from './sql/statement';

/** All promises of some pieces, or of all. */
export function placements(transaction: Transaction, pieceIds: readonly string[] | null = null): Promise<Placement[]> {
  const { studioId } = transaction.scope;
  return statement(
    transaction,
    placementsSql(pieceIds !== null),
    pieceIds === null ? [studioId] : [studioId, pieceIds],
  );
}

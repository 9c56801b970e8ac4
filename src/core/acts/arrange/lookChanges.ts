import { z } from 'zod';
import { lookPiece } from '../../model/entities/lookPiece';
import { id } from '../../model/fields';
import type { LookPieceRow, ProjectRows } from '../../model/rows';
import { type Decision, refuse } from '../act';
import { type RowChange, remove, update } from '../changes';

/** The most pieces that a look may hold. */
export const MOST_IN_LOOK = 120;

const { xMm, footMm, frontMm, onId, layer } = lookPiece.fields;
/** Where a piece of a look is put. */
export const placeOfPiece = z.strictObject({ id, xMm, footMm, frontMm, onId, layer });

/** Pieces put where they are wanted. */
export function moveChanges(rows: ProjectRows, places: readonly z.output<typeof placeOfPiece>[]): Decision {
  const gone = places.find((place) => !rows.lookPieces.some((row) => row.id === place.id));
  return gone
    ? refuse('places', gone.id, 'pieces that are still in the look')
    : places.map(({ id: placedId, ...place }) => update('lookPieces', placedId, place));
}

/** Pieces in an order in which each comes after what it stands on. */
export function supportsFirst(placements: readonly LookPieceRow[]): LookPieceRow[] {
  const own = new Map(placements.map((placement) => [placement.id, placement]));
  const ordered = new Set<LookPieceRow>();
  const visit = (placement: LookPieceRow, trail: ReadonlySet<LookPieceRow>) => {
    const support = own.get(placement.onId ?? '');
    if (support && !trail.has(support)) visit(support, new Set([...trail, placement]));
    ordered.add(placement);
  };
  for (const placement of placements) visit(placement, new Set([placement]));
  return [...ordered];
}

/**
 * Removals of pieces from their looks. What stood on one comes down to what that stood on, by as much as it was lifted.
 */
export function removePlacements(rows: ProjectRows, isGone: (placement: LookPieceRow) => boolean): RowChange[] {
  const byId = new Map(rows.lookPieces.map((placement) => [placement.id, placement]));
  const gone = rows.lookPieces.filter(isGone);
  const goneIds = new Set(gone.map(({ id }) => id));
  const landing = (placement: LookPieceRow): { onId: string | null; footMm: number } => {
    let { onId, footMm } = placement;
    while (onId !== null && goneIds.has(onId)) {
      const support = byId.get(onId);
      if (!support) break;
      ({ onId, footMm } = support);
    }
    return { onId, footMm };
  };
  return [
    ...rows.lookPieces
      .filter(({ id, onId }) => !goneIds.has(id) && onId !== null && goneIds.has(onId))
      .map((placement) => update('lookPieces', placement.id, landing(placement))),
    ...gone.map(({ id }) => remove('lookPieces', id)),
  ];
}

/** Removals of looks with all that stands in them. */
export function removeLooks(rows: ProjectRows, isGone: (look: ProjectRows['looks'][number]) => boolean): RowChange[] {
  const ids = new Set(rows.looks.filter(isGone).map(({ id }) => id));
  return [
    ...rows.lookPieces.filter(({ lookId }) => ids.has(lookId)).map(({ id }) => remove('lookPieces', id)),
    ...[...ids].map((id) => remove('looks', id)),
  ];
}

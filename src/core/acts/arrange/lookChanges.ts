import type { PlacementRow, ProjectRows } from '../../model/rows';
import { type RowChange, remove, update } from '../changes';

/** The most pieces that a look may hold. */
export const MOST_IN_LOOK = 120;

/** Pieces in an order in which each comes after what it stands on. */
export function supportsFirst(placements: readonly PlacementRow[]): PlacementRow[] {
  const own = new Map(placements.map((placement) => [placement.id, placement]));
  const ordered = new Set<PlacementRow>();
  const visit = (placement: PlacementRow, trail: ReadonlySet<PlacementRow>) => {
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
export function removePlacements(rows: ProjectRows, isGone: (placement: PlacementRow) => boolean): RowChange[] {
  const byId = new Map(rows.placements.map((placement) => [placement.id, placement]));
  const gone = rows.placements.filter(isGone);
  const goneIds = new Set(gone.map(({ id }) => id));
  const landing = (placement: PlacementRow): { onId: string | null; footMm: number } => {
    let { onId, footMm } = placement;
    while (onId !== null && goneIds.has(onId)) {
      const support = byId.get(onId);
      if (!support) break;
      ({ onId, footMm } = support);
    }
    return { onId, footMm };
  };
  return [
    ...rows.placements
      .filter(({ id, onId }) => !goneIds.has(id) && onId !== null && goneIds.has(onId))
      .map((placement) => update('placements', placement.id, landing(placement))),
    ...gone.map(({ id }) => remove('placements', id)),
  ];
}

/** Removals of looks with all that stands in them. */
export function removeLooks(rows: ProjectRows, isGone: (look: ProjectRows['looks'][number]) => boolean): RowChange[] {
  const ids = new Set(rows.looks.filter(isGone).map(({ id }) => id));
  return [
    ...rows.placements.filter(({ lookId }) => ids.has(lookId)).map(({ id }) => remove('placements', id)),
    ...[...ids].map((id) => remove('looks', id)),
  ];
}

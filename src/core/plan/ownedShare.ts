import type { Plan } from './computePlan';

/** How much of a chosen look was in the house already, by count and by value; money in minor units. */
export interface OwnedShare {
  filled: number;
  fromHouse: number;
  /** Worth of everything chosen: what is owned at its noted value, the rest at the cash it adds. */
  value: number;
  fromHouseValue: number;
  /** Owned things whose value nobody has noted; they count for nothing. */
  unvalued: number;
}

/** The owned share of what is chosen. A made-over piece that is ours counts as from the house. */
export function ownedShare(plan: Plan): OwnedShare {
  const pieces = new Map(plan.rows.pieces.map((piece) => [piece.id, piece]));
  const share: OwnedShare = { filled: 0, fromHouse: 0, value: 0, fromHouseValue: 0, unvalued: 0 };
  for (const fill of plan.chosen) {
    const { model, count } = fill;
    share.filled += count;
    const owned = model.finds.length > 0 && model.finds.every((find) => find.state === 'owned');
    share.value += Math.max(0, plan.addedByChoice(fill).cash.likely);
    if (!owned) continue;
    share.fromHouse += count;
    for (const find of model.finds) {
      const piece = pieces.get(find.pieceId);
      if (piece?.value === null || piece?.value === undefined || piece.currency !== plan.rows.project.currency) {
        share.unvalued += count;
        continue;
      }
      share.value += piece.value * count;
      share.fromHouseValue += piece.value * count;
    }
  }
  return share;
}

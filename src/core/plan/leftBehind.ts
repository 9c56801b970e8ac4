import type { Amount } from '../kernel/amount';
import type { Plan } from './computePlan';
import { staysBehind } from './placeFindings';

/** Something that is worked on and stays where it is when the stylist leaves. */
export interface LeftBehind {
  optionId: string;
  slot: string;
  piece: string;
  /** What is still spent on it, alone. */
  cash: Amount;
  /** Whether somebody agreed to it. */
  agreed: boolean;
}

/** What stays behind in a rented place of all that is chosen: each made-over piece that belongs to the place. */
export function leftBehind(plan: Plan): LeftBehind[] {
  if (!plan.rows.project.household.rented) return [];
  return plan.chosen.flatMap(({ model }) =>
    model.finds.flatMap((find) => {
      const piece = plan.model.piece(find.pieceId);
      if (!model.recipe || !staysBehind(find.templateId, piece)) return [];
      const option = plan.option(model.option.id);
      return option
        ? [
            {
              optionId: model.option.id,
              slot: model.slot.name,
              piece: find.name,
              cash: option.cashAlone,
              agreed: piece?.mayAlter ?? false,
            },
          ]
        : [];
    }),
  );
}

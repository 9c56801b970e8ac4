import { reckon } from '../closing/reckon';
import { hexFromLab } from '../color/lab';
import type { Plan } from '../plan/computePlan';
import { nameOfOption } from '../plan/nameOfOption';
import { originOf } from '../sourcing/origins';
import { careOf } from './care';
import type { ClientSheet } from './clientSheet';
import type { SheetSwatch } from './sheetDocument';

/**
 * What a client sees of a project, spot by spot. Costs are there only where they are to be shown; where things are
 * bought, what is owned besides, notes and hours are never.
 */
export function clientSheetOf(plan: Plan, { showsCosts }: { showsCosts: boolean }): ClientSheet {
  const { project, spots, slots } = plan.rows;
  const reckoning = showsCosts ? reckon(plan) : null;
  const cameTo = new Map(
    (reckoning?.slots ?? []).flatMap(({ fills }) =>
      fills.map(({ fill, paid, cashToGo }) => [fill, paid + cashToGo] as const),
    ),
  );
  return {
    name: project.name,
    room: project.room,
    revealDate: project.revealDate,
    palette: paletteOf(plan),
    spots: [...spots]
      .sort((a, b) => a.position - b.position)
      .map((spot) => {
        const own = slots
          .filter(({ spotId, leftOut }) => spotId === spot.id && !leftOut)
          .sort((a, b) => a.number - b.number);
        const fillsOf = (slotId: string) => plan.chosen.filter(({ model }) => model.slot.id === slotId);
        return {
          id: spot.id,
          name: spot.name,
          pieces: own.flatMap((slot) =>
            fillsOf(slot.id).map((fill) => ({
              slot: slot.name,
              what: nameOfOption(fill.model),
              count: fill.count,
              from: originOf(plan, fill),
              cost: cameTo.get(fill) ?? null,
              care: careOf(plan, fill),
            })),
          ),
          open: own.filter(({ id, star }) => star === null && fillsOf(id).length === 0).map(({ name }) => name),
        };
      }),
    costs: reckoning && {
      currency: project.currency,
      budget: project.budget,
      cameTo: reckoning.all.paid + reckoning.all.cashToGo,
      isSettled: reckoning.all.cashToGo === 0,
    },
  };
}

/** The colors of a project: those of its palette in their order, then what else was really laid. */
export function paletteOf(plan: Pick<Plan, 'rows' | 'chosen'>): SheetSwatch[] {
  const { project, colorCards } = plan.rows;
  const laid = plan.chosen.flatMap(({ model }) => (model.recipe?.layers ?? []).map(({ colorCardId }) => colorCardId));
  const ids = new Set([...project.brief.palette.map(({ colorCardId }) => colorCardId), ...laid]);
  return [...ids].flatMap((cardId) => {
    const card = colorCards.find(({ id }) => id === cardId);
    return card ? [{ name: card.name, hex: hexFromLab(card.lab) }] : [];
  });
}

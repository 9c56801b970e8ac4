import type { SheetAnswer } from '@contract/sheet';
import { spotSummary } from '@core/arrange/look/lookSummary';
import { hexFromLab } from '@core/color/lab';
import { Memo } from '@core/kernel/memo';
import type { ProjectRows } from '@core/model/rows';
import { Plan } from '@core/plan/computePlan';
import { nameOfOption } from '@core/plan/nameOfOption';
import { originOf } from '@core/sourcing/origins';

/**
 * What a link shows of a project: how it will look and what of, spot by spot. What it costs is there only where the link was
 * made to show it; where things are bought, what is owned besides, notes and hours are never.
 */
export function sheetOf(rows: ProjectRows, nowMs: number, link: { showsCosts: boolean; expiresAt: Date }): SheetAnswer {
  const plan = new Plan(rows, nowMs, new Memo());
  const { project, spots, slots, colorCards } = rows;
  const { money } = plan.purse;
  return {
    name: project.name,
    room: project.room,
    revealDate: project.revealDate,
    untilMs: link.expiresAt.getTime(),
    palette: project.brief.palette.flatMap(({ colorCardId }) => {
      const card = colorCards.find(({ id }) => id === colorCardId);
      return card ? [{ name: card.name, hex: hexFromLab(card.lab) }] : [];
    }),
    spots: [...spots]
      .sort((a, b) => a.position - b.position)
      .map((spot) => {
        const own = slots
          .filter(({ spotId, leftOut }) => spotId === spot.id && !leftOut)
          .sort((a, b) => a.number - b.number);
        const picture = spotSummary(plan, spot);
        return {
          name: spot.name,
          picture: picture && {
            ...picture,
            things: picture.things.map((thing) => ({ ...thing, colors: { ...thing.colors } })),
          },
          pieces: own.flatMap((slot) =>
            plan.chosen
              .filter(({ model }) => model.slot.id === slot.id)
              .map((fill) => ({
                slot: slot.name,
                what: nameOfOption(fill.model),
                count: fill.count,
                from: originOf(plan, fill),
                cost: link.showsCosts ? Math.round(Math.max(0, plan.addedByChoice(fill).cash.likely)) : null,
              })),
          ),
          open: own
            .filter((slot) => !plan.chosen.some(({ model }) => model.slot.id === slot.id))
            .map(({ name }) => name),
        };
      }),
    costs: link.showsCosts
      ? { currency: project.currency, budget: money.budget, planned: Math.round(money.planned.likely) }
      : null,
  };
}

import { localDate } from '../../calendar/zonedTime';
import { spotKindOf } from '../../catalog/spotKinds';
import type { LookRow, SpotRow } from '../../model/rows';
import type { Plan } from '../../plan/computePlan';
import { baseHeightMm, isSeenFromAbove, lookRoom } from '../look/lookRoom';
import type { LookThing } from '../look/lookThing';
import { lookThing, lookThings } from '../look/lookThings';
import type { LookFacts } from './lookCheck';

/** The look that stands for a spot: its first. */
export const firstLookOf = (plan: Plan, spotId: string): LookRow | null =>
  plan.rows.looks.filter((look) => look.spotId === spotId).sort(inOrder)[0] ?? null;

/** Looks of a spot in the stylist's order. */
export const looksOf = (plan: Plan, spotId: string): LookRow[] =>
  plan.rows.looks.filter((look) => look.spotId === spotId).sort(inOrder);

const inOrder = (a: LookRow, b: LookRow) => a.position - b.position || (a.id < b.id ? -1 : 1);

/**
 * All that the checks ask about a look of a spot, gathered once: while something is dragged only its things change.
 * @param things the look's pieces as they are, or as they would be
 */
export function lookFacts(plan: Plan, spot: SpotRow, things: readonly LookThing[]): LookFacts {
  const { rows } = plan;
  const { brief, household } = rows.project;
  const cards = new Map(rows.colorCards.map((card) => [card.id, card]));
  const elsewhere = rows.spots
    .filter(({ id }) => id !== spot.id)
    .flatMap(({ id }) => {
      const first = firstLookOf(plan, id);
      return first ? [{ spotId: id, things: lookThings(plan, first) }] : [];
    });
  return {
    spot,
    kind: spotKindOf(spot.kind),
    room: lookRoom(spot),
    baseMm: baseHeightMm(spot),
    isAbove: isSeenFromAbove(spot),
    things,
    elsewhere,
    slots: rows.slots.filter(({ spotId }) => spotId === spot.id),
    accents: brief.palette.flatMap(({ colorCardId, role }) => {
      const card = cards.get(colorCardId);
      return role === 'accent' && card ? [{ name: card.name, lab: card.lab }] : [];
    }),
    school: brief,
    household,
    wantsFixes: true,
    today: localDate(plan.asOfMs, rows.project.timeZone),
    otherWays: ({ slot, model, placement }) =>
      slot === null
        ? []
        : plan.model
            .optionsOf(slot.id)
            .filter(({ option }) => option.id !== model?.option.id)
            .map(({ option }) => lookThing(plan, spot, { ...placement, optionId: option.id })),
  };
}

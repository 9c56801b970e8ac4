import type { Memo } from '../kernel/memo';
import type { RowOf } from '../model/entities';
import type { FillRow, ProjectRows, SlotRow } from '../model/rows';
import { type OptionPlan, Plan } from './computePlan';

type NamedPlanRow = RowOf<'plans'>;
type KeptChoice = NamedPlanRow['choices'][number];

/** What every slot is filled with now, as a plan to keep. */
export function presentChoices({ slots, fills }: Pick<ProjectRows, 'slots' | 'fills'>): KeptChoice[] {
  return slots.map(({ id, leftOut }) => ({
    slotId: id,
    leftOut,
    fills: fills.filter(({ slotId }) => slotId === id).map(({ optionId, count }) => ({ optionId, count })),
  }));
}

/**
 * The rows as if a kept plan were chosen. Slots that it does not know, and ways that are gone, stay open; a slot that asks
 * for fewer by now takes no more than it asks for.
 */
export function rowsOfPlan(rows: ProjectRows, choices: readonly KeptChoice[]): ProjectRows {
  const bySlot = new Map(choices.map((choice) => [choice.slotId, choice]));
  const options = new Set(rows.options.map(({ id }) => id));
  const fills = rows.slots.flatMap(({ id: slotId, quantity }): FillRow[] => {
    let room = quantity;
    return (bySlot.get(slotId)?.fills ?? []).flatMap(({ optionId, count }): FillRow[] => {
      const taken = options.has(optionId) ? Math.min(count, room) : 0;
      room -= taken;
      return taken > 0 ? [{ id: `${slotId} ${optionId}`, version: 1, slotId, optionId, count: taken }] : [];
    });
  });
  return {
    ...rows,
    fills,
    slots: rows.slots.map((slot) => {
      const leftOut = bySlot.get(slot.id)?.leftOut ?? false;
      return slot.leftOut === leftOut ? slot : { ...slot, leftOut };
    }),
  };
}

/**
 * The plan that a kept one makes today: prices, hours and days as they are now.
 * @param memo what plans of this kept one remember of each other
 */
export const planOfChoices = (plan: Plan, choices: readonly KeptChoice[], memo: Memo): Plan =>
  new Plan(rowsOfPlan(plan.rows, choices), plan.asOfMs, memo, plan.model.cutter);

/** How a slot is filled in one of two plans that are held against each other. */
export interface SideOfSlot {
  options: readonly OptionPlan[];
  leftOut: boolean;
}

/** A slot in two plans. */
export interface SlotInBoth {
  slot: SlotRow;
  one: SideOfSlot;
  other: SideOfSlot;
  differs: boolean;
}

/** Two plans slot by slot, in the order of their numbers. */
export function slotsInBoth(one: Plan, other: Plan): SlotInBoth[] {
  const side = (plan: Plan, slotId: string): SideOfSlot => {
    const slot = plan.slot(slotId);
    return { options: slot?.options.filter(({ chosen }) => chosen) ?? [], leftOut: slot?.slot.leftOut ?? false };
  };
  return one.slots.map(({ slot }) => {
    const [a, b] = [side(one, slot.id), side(other, slot.id)];
    const said = ({ options, leftOut }: SideOfSlot) =>
      `${leftOut} ${options
        .map(({ option, count }) => `${option.id} ${count}`)
        .sort()
        .join()}`;
    return { slot, one: a, other: b, differs: said(a) !== said(b) };
  });
}

/** What taking a kept plan would fill anew: slots that are not kept as they are and that it fills otherwise than now. */
export function slotsToTake(
  rows: ProjectRows,
  choices: readonly KeptChoice[],
  newId: () => string,
): { slotId: string; fills: { fillId: string; optionId: string; count: number }[]; leftOut: boolean }[] {
  const wanted = rowsOfPlan(rows, choices);
  const said = (of: ProjectRows, slotId: string) =>
    of.fills
      .filter((fill) => fill.slotId === slotId)
      .map(({ optionId, count }) => `${optionId} ${count}`)
      .sort()
      .join();
  return rows.slots.flatMap((slot, n) => {
    // A must that was nice before cannot be left out any more: it stays open.
    const leftOut = (wanted.slots[n]?.leftOut ?? false) && slot.importance !== 'must';
    if (slot.locked || (said(rows, slot.id) === said(wanted, slot.id) && leftOut === slot.leftOut)) return [];
    return [
      {
        slotId: slot.id,
        leftOut,
        fills: wanted.fills
          .filter((fill) => fill.slotId === slot.id)
          .map(({ optionId, count }) => ({ fillId: newId(), optionId, count })),
      },
    ];
  });
}

import { z } from 'zod';
import { fillCount } from '../../model/entities/fill';
import { id, yesNo } from '../../model/fields';
import type { ProjectRows } from '../../model/rows';
import { projectAct, type Refusal, refuse } from '../act';
import { type RowChange, remove, update } from '../changes';

/** How a slot shall be filled: by options, each for so many of it, or by nothing. */
const slotChoice = z.strictObject({
  slotId: id,
  fills: z.array(z.strictObject({ fillId: id, optionId: id, count: fillCount })).max(30, 'at most 30 options'),
  /** Whether it shall stay empty, rather than open. */
  leftOut: yesNo,
});
type SlotChoice = z.output<typeof slotChoice>;

function refusalOf(rows: ProjectRows, { slotId, fills, leftOut }: SlotChoice): Refusal | null {
  const slot = rows.slots.find((row) => row.id === slotId);
  if (!slot) return refuse('slotId', slotId, 'a slot of this project');
  if (slot.locked) return refuse('slotId', slot.name, 'a slot that is not kept as it is');
  if (leftOut && slot.importance === 'must') return refuse('slotId', slot.name, 'a slot that is not a must');
  if (leftOut && fills.length > 0) return refuse('fills', slot.name, 'nothing for a slot that is left out');
  for (const { optionId } of fills)
    if (!rows.options.some((row) => row.id === optionId && row.slotId === slotId))
      return refuse('optionId', optionId, 'an option of this slot');
  const count = fills.reduce((sum, fill) => sum + fill.count, 0);
  if (count > slot.quantity) return refuse('count', count, `at most the ${slot.quantity} that the slot asks for`);
  return null;
}

/** Fills several slots anew in one act: what they were filled with gives way. A slot that is kept as it is refuses. */
export const takeChoices = projectAct({
  kind: 'takeChoices',
  title: 'Plan taken',
  payload: z.strictObject({ slots: z.array(slotChoice).min(1, 'at least one slot').max(100, 'at most 100 slots') }),
  decide: (rows, { slots }) => {
    for (const choice of slots) {
      const refusal = refusalOf(rows, choice);
      if (refusal) return refusal;
    }
    return slots.flatMap(({ slotId, fills, leftOut }): RowChange[] => [
      ...rows.fills.filter((fill) => fill.slotId === slotId).map((fill) => remove('fills', fill.id)),
      ...fills.map(
        ({ fillId, optionId, count }): RowChange => ({
          table: 'fills',
          op: 'insert',
          row: { id: fillId, version: 1, slotId, optionId, count },
        }),
      ),
      ...(rows.slots.find((slot) => slot.id === slotId)?.leftOut === leftOut
        ? []
        : [update('slots', slotId, { leftOut })]),
    ]);
  },
});

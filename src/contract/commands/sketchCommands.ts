import { quantityOf } from '@core/arrange/seats';
import type { ProjectRows, SlotRow, SpotRow } from '@core/plan/rows';
import { z } from 'zod';
import { id } from '../accept';
import { insert, type RowChange, remove, update } from '../changes';
import { tableSchemas } from '../rows';
import { type Decision, defineCommand, refuse } from './command';
import { editCommand } from './rowCommands';

/** Fills of a slot cut to a quantity: what no longer fits goes, the last chosen first. */
function trimFills(rows: ProjectRows, slotId: string, quantity: number): RowChange[] {
  let room = quantity;
  return rows.fills
    .filter((fill) => fill.slotId === slotId)
    .flatMap((fill): RowChange[] => {
      const count = Math.min(fill.count, room);
      room -= count;
      if (count === fill.count) return [];
      return count > 0 ? [update('fills', fill.id, { count })] : [remove('fills', fill.id)];
    });
}

/** A slot as it will be: what is per seat follows the seats, and fills follow the quantity. */
function slotChanges(
  rows: ProjectRows,
  slot: SlotRow,
  values: Partial<SlotRow>,
  spot: SpotRow | undefined,
): RowChange[] {
  const after = { ...slot, ...values };
  const quantity = quantityOf(after, spot);
  const changed = quantity === after.quantity ? values : { ...values, quantity };
  const { id: _id, version: _version, ...fields } = changed;
  return [
    ...(Object.keys(fields).length > 0 ? [update('slots', slot.id, fields)] : []),
    ...(quantity < slot.quantity ? trimFills(rows, slot.id, quantity) : []),
  ];
}

const plainEditSlot = editCommand('editSlot', 'slots', 'Slot changed');

/** Changes a slot; a quantity per seat is kept in step with the spot's seats. */
export const editSlot = defineCommand({
  ...plainEditSlot,
  decide: (rows, payload): Decision => {
    const slot = rows.slots.find((row) => row.id === payload.id);
    if (!slot) return refuse('id', payload.id, 'a slot that is still there');
    const values = payload.values as Partial<SlotRow>;
    if (values.spotId !== undefined && !rows.spots.some((spot) => spot.id === values.spotId))
      return refuse('values.spotId', values.spotId, 'a spot of this project');
    return slotChanges(
      rows,
      slot,
      values,
      rows.spots.find((spot) => spot.id === (values.spotId ?? slot.spotId)),
    );
  },
});

const plainEditSpot = editCommand('editSpot', 'spots', 'Spot changed');

/** Changes a spot; slots per seat follow its seats. */
export const editSpot = defineCommand({
  ...plainEditSpot,
  decide: (rows, payload): Decision => {
    const spot = rows.spots.find((row) => row.id === payload.id);
    if (!spot) return refuse('id', payload.id, 'a spot that is still there');
    const values = payload.values as Partial<SpotRow>;
    const after = { ...spot, ...values };
    return [
      { table: 'spots', op: 'update', id: spot.id, values: payload.values },
      ...rows.slots
        .filter((slot) => slot.spotId === spot.id && slot.perSeat !== null)
        .flatMap((slot) => (quantityOf(slot, after) === slot.quantity ? [] : slotChanges(rows, slot, {}, after))),
    ];
  },
});

/** Several slots at once, from a starting pattern or one of the studio's own. */
export const addSlots = defineCommand({
  kind: 'addSlots',
  title: 'Pattern laid',
  payload: z.strictObject({
    rows: z.array(tableSchemas.slots).min(1, 'at least one slot').max(60, 'at most 60 slots'),
  }),
  decide: (rows, payload): Decision => {
    const stranger = payload.rows.find((row) => !rows.spots.some((spot) => spot.id === row.spotId));
    if (stranger) return refuse('rows', stranger.spotId, 'slots of a spot of this project');
    return payload.rows.map((row) =>
      insert('slots', {
        ...row,
        quantity: quantityOf(
          row,
          rows.spots.find((spot) => spot.id === row.spotId),
        ),
      }),
    );
  },
});

/** Moves several slots of a sketch in one act. */
export const arrangeSlots = defineCommand({
  kind: 'arrangeSlots',
  title: 'Sketch changed',
  payload: z.strictObject({
    boxes: z
      .array(z.strictObject({ id, box: tableSchemas.slots.shape.box }))
      .min(1)
      .max(100, 'at most 100 slots'),
  }),
  decide: (rows, payload): Decision => {
    const gone = payload.boxes.find((entry) => !rows.slots.some((slot) => slot.id === entry.id));
    if (gone) return refuse('boxes', gone.id, 'slots that are still there');
    return payload.boxes.map((entry) => update('slots', entry.id, { box: entry.box }));
  },
});

/** Keeps a sketch as a pattern of the studio. */
export const savePattern = defineCommand({
  kind: 'savePattern',
  title: 'Pattern kept',
  payload: z.strictObject({ pattern: tableSchemas.patterns }),
  decide: (_rows, payload): Decision => [insert('patterns', payload.pattern)],
});

export const removePattern = defineCommand({
  kind: 'removePattern',
  title: 'Pattern removed',
  payload: z.strictObject({ id }),
  decide: (_rows, payload): Decision => [remove('patterns', payload.id)],
});

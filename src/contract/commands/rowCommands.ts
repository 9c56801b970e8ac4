import type { ProjectRows, Row, SlotRow } from '@core/plan/rows';
import { z } from 'zod';
import { id } from '../accept';
import { insert, type RowChange, remove, update } from '../changes';
import { type TableName, tableSchemas } from '../rows';
import { type CommandDefinition, type Decision, defineCommand, refuse } from './command';

/** The fields of a row that an edit may change: all but id and version, each on its own. */
function editable(table: TableName): z.ZodType<Record<string, unknown>> {
  const schema = tableSchemas[table] as unknown as z.ZodObject;
  const shape = { ...schema.shape };
  delete shape.id;
  delete shape.version;
  return z.strictObject(shape).partial() as unknown as z.ZodType<Record<string, unknown>>;
}

/** An edit of one row of a table. */
export function editCommand<const K extends string>(
  kind: K,
  table: TableName,
  title: string,
): CommandDefinition<K, z.ZodType<{ id: string; values: Record<string, unknown> }>> {
  return defineCommand({
    kind,
    title,
    payload: z.strictObject({ id, values: editable(table) }) as unknown as z.ZodType<{
      id: string;
      values: Record<string, unknown>;
    }>,
    decide: (rows, payload): Decision => {
      const list = rows[table] as readonly Row[];
      if (!list.some((row) => row.id === payload.id)) return refuse('id', payload.id, 'a row that is still there');
      return [{ table, op: 'update', id: payload.id, values: payload.values }];
    },
  });
}

/** Adds one row to a table; a reference it carries must point into the same project. */
export function addCommand<const K extends string>(
  kind: K,
  table: TableName,
  title: string,
  check: (rows: ProjectRows, row: Record<string, unknown>) => Decision | null = () => null,
) {
  return defineCommand({
    kind,
    title,
    payload: z.strictObject({ row: tableSchemas[table] }) as unknown as z.ZodType<{
      row: Row & Record<string, unknown>;
    }>,
    decide: (rows, payload): Decision =>
      check(rows, payload.row) ?? [{ table, op: 'insert', row: { ...payload.row, version: 1 } }],
  });
}

/** Options of slots, with their fills, that go when their slots go. */
export function removeOptions(
  rows: ProjectRows,
  gone: (option: ProjectRows['options'][number]) => boolean,
): RowChange[] {
  const options = rows.options.filter(gone);
  const ids = new Set(options.map((option) => option.id));
  return [
    ...rows.fills.filter((fill) => ids.has(fill.optionId)).map((fill) => remove('fills', fill.id)),
    ...options.map((option) => remove('options', option.id)),
    ...rows.recipes
      .filter(
        (recipe) =>
          options.some((option) => option.recipeId === recipe.id) &&
          !rows.options.some((option) => option.recipeId === recipe.id && !ids.has(option.id)),
      )
      .map((recipe) => remove('recipes', recipe.id)),
  ];
}

/** Removes one row of a table. */
export function removeCommand<const K extends string>(kind: K, table: TableName, title: string) {
  return defineCommand({
    kind,
    title,
    payload: z.strictObject({ id }),
    decide: (_rows, payload): Decision => [remove(table, payload.id)],
  });
}

/**
 * A slot filled by an option. What still fits beside the new choice stays (one of two lamps found, the other bought
 * new); the rest gives way.
 */
export function fillSlot(
  rows: ProjectRows,
  slot: SlotRow,
  optionId: string,
  count: number,
  fillId: string,
): RowChange[] {
  let room = slot.quantity - count;
  const changes: RowChange[] = [];
  for (const fill of rows.fills) {
    if (fill.slotId !== slot.id) continue;
    if (fill.optionId !== optionId && fill.count <= room) room -= fill.count;
    else changes.push(remove('fills', fill.id));
  }
  if (slot.leftOut) changes.push(update('slots', slot.id, { leftOut: false }));
  changes.push(insert('fills', { id: fillId, slotId: slot.id, optionId, count }));
  return changes;
}

import type { PieceRow } from '@core/plan/houseRows';
import { sharedFields } from '@core/plan/stashPieces';
import { furnitureTemplates } from '@core/surface/templates';
import type { z } from 'zod';
import { type RowChange, update } from '../changes';
import { defineCommand, refuse } from './command';
import { editCommand } from './rowCommands';

const plain = editCommand('editFind', 'finds', 'Find changed');

/**
 * An edit of a find. One that is a piece of the stash changes the piece where both know the field, so that no two
 * places say something different of the same thing.
 */
export const editFind = defineCommand({
  kind: 'editFind',
  title: plain.title,
  payload: plain.payload as z.ZodType<{ id: string; values: Record<string, unknown> }>,
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.id);
    if (!find) return refuse('id', payload.id, 'a row that is still there');
    const piece = find.pieceId === null ? undefined : rows.pieces.find((row) => row.id === find.pieceId);
    if (!piece) return plain.decide(rows, payload);
    const own: Record<string, unknown> = {};
    const shared: Record<string, unknown> = {};
    for (const [field, value] of Object.entries(payload.values))
      ((sharedFields as readonly string[]).includes(field) ? shared : own)[field] = value;
    const template = furnitureTemplates.find((shared.templateId as string | undefined) ?? piece.templateId);
    const measures = payload.values.measures as Record<string, number> | undefined;
    if (measures && template) {
      const before = find.measures;
      for (const [field, key] of [
        ['widthMm', template.overall.width],
        ['depthMm', template.overall.depth],
        ['heightMm', template.overall.height],
      ] as const) {
        const value = key === null ? undefined : measures[key];
        // A standard size that only completes the measures does not become one that somebody took.
        if (value !== undefined && (value !== before[key as string] || piece[field] !== null)) shared[field] = value;
      }
    }
    const changes: RowChange[] = [];
    if (Object.keys(shared).length > 0)
      changes.push(update('pieces', piece.id, shared as Partial<Omit<PieceRow, 'id' | 'version'>>));
    if (Object.keys(own).length > 0) changes.push(update('finds', find.id, own));
    return changes;
  },
});

import { z } from 'zod';
import { id } from '../../model/fields';
import type { FindRow, PieceRow, SightingRow } from '../../model/rows';
import { furnitureTemplates } from '../../surface/templates';
import { projectAct, refuse } from '../act';
import { type RowChange, update } from '../changes';
import { findFields, isPieceField } from './findFields';

/** Measures that were taken, as the overall size that the piece is searched by. */
function sizeOf(
  find: FindRow,
  piece: PieceRow,
  templateId: string,
  measures: Readonly<Record<string, number>>,
): Partial<PieceRow> {
  const template = furnitureTemplates.find(templateId);
  if (!template) return {};
  const size: Partial<PieceRow> = {};
  for (const [field, key] of [
    ['widthMm', template.overall.width],
    ['depthMm', template.overall.depth],
    ['heightMm', template.overall.height],
  ] as const) {
    const value = key === null ? undefined : measures[key];
    // A standard size that only completes the measures does not become one that somebody took.
    if (value !== undefined && (value !== find.measures[key as string] || piece[field] !== null)) size[field] = value;
  }
  return size;
}

/** Changes a find: what the thing is changes the piece, for every project that sees it; the rest is this project's. */
export const editFind = projectAct({
  kind: 'editFind',
  title: 'Find changed',
  payload: z.strictObject({ id, values: z.strictObject(findFields).omit({ pieceId: true, inHouse: true }).partial() }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.id);
    const piece = find && rows.pieces.find((row) => row.id === find.pieceId);
    if (!find || !piece) return refuse('id', payload.id, 'a find that is still there');
    const own: Partial<SightingRow> = {};
    const shared: Partial<PieceRow> = {};
    for (const [field, value] of Object.entries(payload.values))
      Object.assign(isPieceField(field) ? shared : own, { [field]: value });
    const { measures } = payload.values;
    if (measures) Object.assign(shared, sizeOf(find, piece, shared.templateId ?? piece.templateId, measures));
    const changes: RowChange[] = [];
    if (Object.keys(shared).length > 0) changes.push(update('pieces', piece.id, shared));
    if (Object.keys(own).length > 0) changes.push(update('sightings', find.id, own));
    return changes;
  },
});

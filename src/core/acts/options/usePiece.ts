import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { fillCount } from '../../model/entities/fill';
import { id } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { insert, type RowChange } from '../changes';
import { findSchema, partsOfFind } from '../finds/findFields';
import { fillSlot } from './fillSlot';

/**
 * Fills a slot with a piece of the house: adds the piece to the project as owned, adds an option for it and chooses it,
 * and notes the gap that it leaves where it stands now. Whether the piece is free on the project's dates is checked by the
 * server, which knows all projects.
 */
export const usePiece = projectAct({
  kind: 'usePiece',
  title: 'Filled from the house',
  payload: z.strictObject({
    slotId: id,
    pieceId: id,
    count: fillCount,
    find: findSchema,
    option: rowSchema('options'),
    fillId: id,
    gap: rowSchema('gaps').nullable(),
  }),
  decide: (rows, payload) => {
    const { find, option, pieceId } = payload;
    const slot = rows.slots.find((row) => row.id === payload.slotId);
    if (!slot) return refuse('slotId', payload.slotId, 'a slot of this project');
    if (payload.count > slot.quantity)
      return refuse('count', payload.count, `at most the ${slot.quantity} that the slot asks for`);
    if (option.slotId !== slot.id || !option.parts.every((part) => part.findId === find.id))
      return refuse('option', option.id, 'an option of this slot that takes this piece');
    if (find.pieceId !== pieceId) return refuse('find.pieceId', find.pieceId, 'the piece that is taken');
    const piece = rows.pieces.find((row) => row.id === pieceId);
    if (!piece?.inHouse) return refuse('pieceId', pieceId, 'a piece that is in the house');
    const known = rows.sightings.find((row) => row.id === find.id);
    if (known && known.pieceId !== pieceId) return refuse('find.id', find.name, 'a find that is this piece');
    const changes: RowChange[] = [];
    if (!known) changes.push(insert('sightings', partsOfFind(find, rows.project.currency).sighting));
    if (!rows.options.some((row) => row.id === option.id)) changes.push(insert('options', option));
    changes.push(...fillSlot(rows, slot, option.id, payload.count, payload.fillId));
    if (payload.gap) changes.push(insert('gaps', payload.gap));
    return changes;
  },
});

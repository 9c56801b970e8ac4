import { z } from 'zod';
import { rowSchema } from '../../model/entities';
import { piece } from '../../model/entities/piece';
import { id, line, localDate } from '../../model/fields';
import { projectAct, refuse } from '../act';
import { insert, type RowChange, update } from '../changes';

const { box, shelf, protection, standsAt } = piece.fields;

/**
 * Puts things of a project away, or notes where they stay: all of them are pieces of the house from now on, used once more
 * on the given day where they served. A box that is not there yet comes with them.
 */
export const storePieces = projectAct({
  kind: 'storePieces',
  title: 'Put away',
  titleFor: ({ said }) => said || 'Put away',
  payload: z.strictObject({
    /** What the message says of it. */
    said: line(0, 200).default(''),
    /** The box that is new; null where it is known, or none is meant. */
    newBox: rowSchema('boxes').nullable(),
    pieces: z
      .array(
        z.strictObject({
          id,
          /** A piece that the house does not know yet, with the option that it comes of. */
          fresh: z.strictObject({ row: rowSchema('pieces'), optionId: id, endId: id }).nullable(),
          box,
          shelf,
          protection,
          standsAt,
          /** The day of its use here; null where it served nowhere. */
          usedOn: localDate.nullable(),
        }),
      )
      .min(1, 'at least one thing')
      .max(200, 'at most 200 things'),
  }),
  decide: (rows, payload) => {
    const { newBox } = payload;
    if (newBox && rows.boxes.some(({ name }) => name.toLowerCase() === newBox.name.toLowerCase()))
      return refuse('newBox.name', newBox.name, 'a box that is not there yet');
    const changes: RowChange[] = newBox ? [insert('boxes', newBox)] : [];
    for (const { id: pieceId, fresh, usedOn, ...place } of payload.pieces) {
      if (fresh) {
        if (!rows.options.some((option) => option.id === fresh.optionId))
          return refuse('pieces.fresh.optionId', fresh.optionId, 'a way of this project');
        if (rows.looseEnds.some(({ about }) => about.kind === 'stored' && about.id === fresh.optionId))
          return refuse('pieces', fresh.row.name, 'a thing that is not in the house yet');
        const used = usedOn === null ? {} : { uses: 1, lastUsedOn: usedOn };
        changes.push(
          insert('pieces', { ...fresh.row, id: pieceId, inHouse: true, ...place, ...used }),
          insert('looseEnds', {
            id: fresh.endId,
            about: { kind: 'stored', id: fresh.optionId, pieceId },
            what: fresh.row.name,
            dueOn: null,
            doneOn: usedOn ?? fresh.row.seenOn,
            way: 'keep',
            note: '',
          }),
        );
        continue;
      }
      const known = rows.pieces.find((row) => row.id === pieceId);
      if (!known) return refuse('pieces.id', pieceId, 'a piece of this project');
      const isOurs = rows.finds.some(
        (find) => find.pieceId === pieceId && (find.state === 'bought' || find.state === 'owned'),
      );
      if (!isOurs && !known.inHouse) return refuse('pieces.id', known.name, 'a piece that is ours');
      if (known.borrowedFrom !== '') return refuse('pieces.id', known.name, 'a piece that is not borrowed');
      const used = usedOn === null ? {} : { uses: known.uses + 1, lastUsedOn: usedOn };
      changes.push(update('pieces', pieceId, { inHouse: true, ...place, ...used }));
    }
    return changes;
  },
});

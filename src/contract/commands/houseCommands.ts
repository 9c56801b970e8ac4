import { substrates } from '@core/catalog/substrates';
import { z } from 'zod';
import { id, localDate, registered, wholeNumber } from '../accept';
import { insert, type RowChange, remove, update } from '../changes';
import { recipeBodySchema } from '../recipeBody';
import { tableSchemas } from '../rows';
import { lab, sheen } from '../surface';
import { defineCommand, refuse } from './command';
import { editCommand, fillSlot } from './rowCommands';

/** Pieces that came into view: from a quick entry, a row of photos, or one by one. */
export const addPieces = defineCommand({
  kind: 'addPieces',
  title: 'Pieces noted',
  payload: z.strictObject({
    pieces: z.array(tableSchemas.pieces).min(1, 'at least one piece').max(60, 'at most 60 pieces at once'),
  }),
  decide: (_rows, payload) => payload.pieces.map((piece) => insert('pieces', piece)),
});

export const editPiece = editCommand('editPiece', 'pieces', 'Piece changed');

export const removePieces = defineCommand({
  kind: 'removePieces',
  title: 'Pieces removed',
  payload: z.strictObject({ ids: z.array(id).min(1).max(200, 'at most 200 pieces at once') }),
  decide: (rows, payload) => {
    const gone = payload.ids.find((pieceId) => !rows.pieces.some((piece) => piece.id === pieceId));
    if (gone !== undefined) return refuse('ids', gone, 'pieces that are still in the house');
    return payload.ids.map((pieceId) => remove('pieces', pieceId));
  },
});

/** A borrowed piece goes back to its owner. */
export const giveBack = defineCommand({
  kind: 'giveBack',
  title: 'Given back',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const piece = rows.pieces.find((row) => row.id === payload.id);
    if (!piece) return refuse('id', payload.id, 'a piece that is still in the house');
    if (piece.borrowedFrom === '') return refuse('id', piece.name, 'a borrowed piece');
    return [remove('pieces', piece.id)];
  },
});

/** A find that stays becomes a piece of the stash; the find goes on being it. */
export const keepFind = defineCommand({
  kind: 'keepFind',
  title: 'Kept in the house',
  payload: z.strictObject({ findId: id, piece: tableSchemas.pieces }),
  decide: (rows, payload) => {
    const find = rows.finds.find((row) => row.id === payload.findId);
    if (!find) return refuse('findId', payload.findId, 'a find of this project');
    if (find.pieceId !== null) return refuse('findId', find.name, 'a find that is not in the house yet');
    if (find.state !== 'bought' && find.state !== 'owned')
      return refuse('findId', find.name, 'a find that is bought or ours');
    return [insert('pieces', payload.piece), update('finds', find.id, { pieceId: payload.piece.id })];
  },
});

/**
 * Stars a slot from the stash: the piece becomes an owned find of the project, its option is chosen, and where it
 * stands now a note stays behind. Whether it is free on the dates of the project is decided where all projects are known.
 */
export const usePiece = defineCommand({
  kind: 'usePiece',
  title: 'Filled from the house',
  payload: z.strictObject({
    slotId: id,
    pieceId: id,
    count: wholeNumber(1, 200, 'a count'),
    find: tableSchemas.finds,
    option: tableSchemas.options,
    fillId: id,
    gap: tableSchemas.gaps.nullable(),
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
    const known = rows.finds.find((row) => row.id === find.id);
    if (known && known.pieceId !== pieceId) return refuse('find.id', find.name, 'a find that is this piece');
    const changes: RowChange[] = [];
    if (!known) changes.push(insert('finds', find));
    if (!rows.options.some((row) => row.id === option.id)) changes.push(insert('options', option));
    changes.push(...fillSlot(rows, slot, option.id, payload.count, payload.fillId));
    if (payload.gap) changes.push(insert('gaps', payload.gap));
    return changes;
  },
});

/** A recipe that is done: what it used comes off the shelf and is kept with what it was used on. */
export const finishRecipe = defineCommand({
  kind: 'finishRecipe',
  title: 'Done, and taken off the shelf',
  payload: z.strictObject({
    recipeId: id,
    doneOn: localDate,
    uses: z.array(tableSchemas.supplyUses).max(60, 'at most 60 supplies'),
    /** The recipe with what was there written down, and the house's pieces as they are now. */
    body: recipeBodySchema.optional(),
    pieces: z
      .array(z.strictObject({ id, finishId: registered(substrates), sheen, color: lab.nullable() }))
      .max(30, 'at most 30 pieces')
      .default([]),
  }),
  decide: (rows, payload) => {
    const recipe = rows.recipes.find((row) => row.id === payload.recipeId);
    if (!recipe) return refuse('recipeId', payload.recipeId, 'a recipe of this project');
    if (recipe.doneOn !== null) return refuse('recipeId', recipe.name, 'a recipe that is not done yet');
    const body = payload.body ? { body: payload.body } : {};
    const changes: RowChange[] = [update('recipes', recipe.id, { doneOn: payload.doneOn, ...body })];
    for (const { id: pieceId, ...surface } of payload.pieces) {
      if (!rows.pieces.some((row) => row.id === pieceId)) return refuse('pieces.id', pieceId, 'a piece of the house');
      changes.push(update('pieces', pieceId, surface));
    }
    for (const use of payload.uses) {
      const supply = rows.supplies.find((row) => row.id === use.supplyId);
      if (!supply) return refuse('uses.supplyId', use.supplyId, 'a supply of the studio');
      const left = Math.max(0, (supply.stash.state === 'none' ? 0 : supply.stash.amount) - use.amount);
      changes.push(
        update('supplies', supply.id, {
          stash: left > 0 ? { state: 'about', amount: left } : { state: 'none', amount: 0 },
          openedOn: supply.openedOn ?? payload.doneOn,
        }),
        insert('supplyUses', use),
      );
    }
    return changes;
  },
});

/** One line of the price book, new or as it shall be. */
export const savePrice = defineCommand({
  kind: 'savePrice',
  title: 'Price noted',
  payload: z.strictObject({ note: tableSchemas.priceNotes }),
  decide: (rows, payload) => {
    const { id: noteId, version: _version, ...values } = payload.note;
    return [
      rows.priceNotes.some((row) => row.id === noteId)
        ? update('priceNotes', noteId, values)
        : insert('priceNotes', payload.note),
    ];
  },
});

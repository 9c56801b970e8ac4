import { createRegistry } from '@core/kernel/registry';
import { sameValue } from '@core/kernel/sameValue';
import type { ProjectRows } from '@core/plan/rows';
import { supplyKey } from '@core/recipe/supplyKey';
import { z } from 'zod';
import { id, wholeNumber } from '../accept';
import { insert, type RowChange, remove, update, updateProject } from '../changes';
import { projectSchema, tableSchemas } from '../rows';
import { addInspiration, addPhoto, editInspiration, removeInspiration, removePhoto, setPalette } from './briefCommands';
import { buyFind, buySupply, orderOffer } from './buyingCommands';
import { type CommandDefinition, defineCommand, refuse } from './command';
import { editFind } from './findCommands';
import {
  addPieces,
  editPiece,
  finishRecipe,
  giveBack,
  keepFind,
  removePieces,
  savePrice,
  usePiece,
} from './houseCommands';
import { addCommand, editCommand, fillSlot, removeCommand, removeOptions } from './rowCommands';
import { addSlots, arrangeSlots, editSlot, editSpot, removePattern, savePattern } from './sketchCommands';

const createProject = defineCommand({
  kind: 'createProject',
  title: 'Project made',
  payload: z.strictObject({ project: projectSchema, spot: tableSchemas.spots.nullable() }),
  decide: (_rows, payload) => [
    { table: 'project', op: 'insert', row: { ...payload.project, version: 1 } },
    ...(payload.spot ? [insert('spots', payload.spot)] : []),
  ],
});

const editProject = defineCommand({
  kind: 'editProject',
  title: 'Brief changed',
  payload: z.strictObject({
    id,
    values: z.strictObject(projectSchema.omit({ id: true, version: true }).shape).partial(),
  }),
  decide: (_rows, payload) => [updateProject(payload.id, payload.values)],
});

const removeProject = defineCommand({
  kind: 'removeProject',
  title: 'Project removed',
  payload: z.strictObject({ id }),
  decide: (_rows, payload) => [{ table: 'project', op: 'remove', id: payload.id }],
});

const addSlot = addCommand('addSlot', 'slots', 'Slot added', (rows, row) =>
  rows.spots.some((spot) => spot.id === row.spotId) ? null : refuse('spotId', row.spotId, 'a spot of this project'),
);

const removeSlot = defineCommand({
  kind: 'removeSlot',
  title: 'Slot removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => [
    ...removeOptions(rows, (option) => option.slotId === payload.id),
    remove('slots', payload.id),
  ],
});

const removeSpot = defineCommand({
  kind: 'removeSpot',
  title: 'Spot removed with its slots',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const slots = rows.slots.filter((slot) => slot.spotId === payload.id);
    const ids = new Set(slots.map((slot) => slot.id));
    return [
      ...removeOptions(rows, (option) => ids.has(option.slotId)),
      ...slots.map((slot) => remove('slots', slot.id)),
      remove('spots', payload.id),
    ];
  },
});

const removeFind = defineCommand({
  kind: 'removeFind',
  title: 'Find removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => [
    ...removeOptions(rows, (option) => option.parts.some((part) => part.findId === payload.id)),
    remove('finds', payload.id),
  ],
});

const removeOption = defineCommand({
  kind: 'removeOption',
  title: 'Option removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) => {
    const option = rows.options.find((candidate) => candidate.id === payload.id);
    if (!option) return refuse('id', payload.id, 'an option that is still there');
    const others = rows.options.filter((candidate) => candidate.id !== payload.id);
    const orphanOffers = option.parts.flatMap((part) =>
      part.offerId !== null &&
      !others.some((other) => other.parts.some((otherPart) => otherPart.offerId === part.offerId))
        ? [part.offerId]
        : [],
    );
    return [
      ...removeOptions(rows, (candidate) => candidate.id === payload.id),
      ...orphanOffers.map((offerId) => remove('offers', offerId)),
    ];
  },
});

/** A new way to fill a slot, with whatever is new about it: the find, the offer, the recipe, the color. */
/** The borrowed piece among some finds whose owner was not asked yet: nothing borrowed is altered before. */
function lentPiece(rows: ProjectRows, findIds: readonly (string | null)[]) {
  return findIds
    .map((findId) => rows.finds.find((row) => row.id === findId)?.pieceId)
    .map((pieceId) => rows.pieces.find((piece) => piece.id === pieceId))
    .find((piece) => piece && piece.borrowedFrom !== '' && !piece.mayAlter);
}

/** One recipe for one more find: strays sprayed one color. Its makeover for a slot comes along, when it has one. */
const coverFind = defineCommand({
  kind: 'coverFind',
  title: 'Covered by the same recipe',
  payload: z.strictObject({
    recipeId: id,
    findId: id,
    body: tableSchemas.recipes.shape.body,
    option: tableSchemas.options.nullable(),
  }),
  decide: (rows, payload) => {
    const { recipeId, findId, body, option } = payload;
    if (!rows.recipes.some((row) => row.id === recipeId))
      return refuse('recipeId', recipeId, 'a recipe of this project');
    if (!rows.finds.some((row) => row.id === findId)) return refuse('findId', findId, 'a find of this project');
    if (!body.pieces.some((piece) => piece.findId === findId))
      return refuse('body.pieces', findId, 'a body that covers this find');
    const lent = lentPiece(rows, [findId]);
    if (lent) return refuse('findId', lent.name, `a piece of ours, or one that ${lent.borrowedFrom} lets us alter`);
    const changes: RowChange[] = [update('recipes', recipeId, { body })];
    if (option) {
      if (!rows.slots.some((slot) => slot.id === option.slotId))
        return refuse('option.slotId', option.slotId, 'a slot of this project');
      if (option.recipeId !== recipeId || !option.parts.every((part) => part.findId === findId))
        return refuse('option', option.id, 'a makeover of this find by this recipe');
      changes.push(insert('options', option));
    }
    return changes;
  },
});

const addOption = defineCommand({
  kind: 'addOption',
  title: 'Option added',
  payload: z.strictObject({
    option: tableSchemas.options,
    find: tableSchemas.finds.nullable(),
    offer: tableSchemas.offers.nullable(),
    recipe: tableSchemas.recipes.nullable(),
    colorCard: tableSchemas.colorCards.nullable(),
  }),
  decide: (rows, payload) => {
    const { option, find, offer, recipe, colorCard } = payload;
    if (!rows.slots.some((slot) => slot.id === option.slotId))
      return refuse('option.slotId', option.slotId, 'a slot of this project');
    for (const part of option.parts) {
      if (part.findId !== null && part.findId !== find?.id && !rows.finds.some((row) => row.id === part.findId))
        return refuse('option.parts', part.findId, 'a find of this project');
      if (part.offerId !== null && part.offerId !== offer?.id && !rows.offers.some((row) => row.id === part.offerId))
        return refuse('option.parts', part.offerId, 'an offer of this project');
    }
    if (option.recipeId !== null) {
      const lent = lentPiece(
        rows,
        option.parts.map((part) => part.findId),
      );
      if (lent)
        return refuse('option.parts', lent.name, `a piece of ours, or one that ${lent.borrowedFrom} lets us alter`);
    }
    if (
      option.recipeId !== null &&
      option.recipeId !== recipe?.id &&
      !rows.recipes.some((row) => row.id === option.recipeId)
    )
      return refuse('option.recipeId', option.recipeId, 'a recipe of this project');
    const changes: RowChange[] = [];
    if (colorCard) changes.push(insert('colorCards', colorCard));
    if (find) changes.push(insert('finds', find));
    if (offer) changes.push(insert('offers', offer));
    if (recipe) changes.push(insert('recipes', recipe));
    changes.push(insert('options', option));
    return changes;
  },
});

const choose = defineCommand({
  kind: 'choose',
  title: 'Chosen',
  payload: z.strictObject({ slotId: id, optionId: id, count: wholeNumber(1, 200, 'a count'), fillId: id }),
  decide: (rows, payload) => {
    const slot = rows.slots.find((candidate) => candidate.id === payload.slotId);
    const option = rows.options.find(
      (candidate) => candidate.id === payload.optionId && candidate.slotId === payload.slotId,
    );
    if (!slot || !option) return refuse('optionId', payload.optionId, 'an option of this slot');
    if (payload.count > slot.quantity)
      return refuse('count', payload.count, `at most the ${slot.quantity} that the slot asks for`);
    return fillSlot(rows, slot, option.id, payload.count, payload.fillId);
  },
});

const clearChoice = defineCommand({
  kind: 'clearChoice',
  title: 'Left open',
  payload: z.strictObject({ slotId: id }),
  decide: (rows, payload) => [
    ...rows.fills.filter((fill) => fill.slotId === payload.slotId).map((fill) => remove('fills', fill.id)),
    ...rows.slots
      .filter((slot) => slot.id === payload.slotId && slot.leftOut)
      .map((slot) => update('slots', slot.id, { leftOut: false })),
  ],
});

const leaveOut = defineCommand({
  kind: 'leaveOut',
  title: 'Left out',
  payload: z.strictObject({ slotId: id }),
  decide: (rows, payload) => {
    const slot = rows.slots.find((candidate) => candidate.id === payload.slotId);
    if (!slot) return refuse('slotId', payload.slotId, 'a slot of this project');
    if (slot.importance === 'must') return refuse('slotId', slot.name, 'a slot that is not a must');
    return [
      ...rows.fills.filter((fill) => fill.slotId === slot.id).map((fill) => remove('fills', fill.id)),
      update('slots', slot.id, { leftOut: true }),
    ];
  },
});

/** A supply with its packs, as they shall be: known ones change, new ones come, missing ones go. */
const saveSupply = defineCommand({
  kind: 'saveSupply',
  title: 'Supply saved',
  payload: z.strictObject({
    supply: tableSchemas.supplies,
    packs: z.array(tableSchemas.packs).max(40, 'at most 40 packs'),
  }),
  decide: (rows, payload) => {
    const { supply, packs } = payload;
    const key = supplyKey(supply.kindId, supply.colorCardId, supply.sheen);
    const known = rows.supplies.find((row) => row.id === supply.id);
    const twin = rows.supplies.find(
      (row) => row.id !== supply.id && supplyKey(row.kindId, row.colorCardId, row.sheen) === key,
    );
    if (twin) return refuse('supply', key, 'one supply for each kind, color and sheen');
    const stranger = packs.find((pack) => pack.supplyId !== supply.id);
    if (stranger) return refuse('packs', stranger.supplyId, 'packs of this supply');
    const changes: RowChange[] = [];
    const { id: supplyId, version: _version, ...values } = supply;
    changes.push(known ? update('supplies', supplyId, values) : insert('supplies', supply));
    const kept = new Set(packs.map((pack) => pack.id));
    for (const old of rows.packs)
      if (old.supplyId === supplyId && !kept.has(old.id)) changes.push(remove('packs', old.id));
    for (const pack of packs) {
      const { id: packId, version: _packVersion, ...packValues } = pack;
      const before = rows.packs.find((old) => old.id === packId);
      if (!before) changes.push(insert('packs', pack));
      else if (!sameValue({ ...before, version: 0 }, { ...pack, version: 0 }))
        changes.push(update('packs', packId, packValues));
    }
    return changes;
  },
});

const removeSupply = defineCommand({
  kind: 'removeSupply',
  title: 'Supply removed',
  payload: z.strictObject({ id }),
  decide: (rows, payload) =>
    rows.ledger.some((line) => line.supplyId === payload.id)
      ? refuse('id', payload.id, 'a supply that nothing was paid for in this project')
      : [
          ...rows.packs.filter((pack) => pack.supplyId === payload.id).map((pack) => remove('packs', pack.id)),
          remove('supplies', payload.id),
        ],
});

const setOverride = defineCommand({
  kind: 'setOverride',
  title: 'Assumption changed',
  payload: z.strictObject({ override: tableSchemas.overrides }),
  decide: (rows, payload) => {
    const { override } = payload;
    const known = rows.overrides.find((row) => row.key === override.key && row.scope === override.scope);
    return [
      known
        ? update('overrides', known.id, { value: override.value, note: override.note })
        : insert('overrides', override),
    ];
  },
});

const resetOverrides = defineCommand({
  kind: 'resetOverrides',
  title: 'Assumptions reset',
  payload: z.strictObject({ ids: z.array(id).max(500) }),
  decide: (rows, payload) =>
    rows.overrides.filter((row) => payload.ids.includes(row.id)).map((row) => remove('overrides', row.id)),
});

const setTool = defineCommand({
  kind: 'setTool',
  title: 'Tool noted',
  payload: z.strictObject({ tool: tableSchemas.tools }),
  decide: (rows, payload) => {
    const known = rows.tools.find((row) => row.toolId === payload.tool.toolId);
    return [
      known
        ? update('tools', known.id, { owned: payload.tool.owned, wear: payload.tool.wear })
        : insert('tools', payload.tool),
    ];
  },
});

const acknowledge = defineCommand({
  kind: 'acknowledge',
  title: 'Read and acknowledged',
  payload: z.strictObject({ acknowledgment: tableSchemas.acknowledgments }),
  decide: (rows, payload) =>
    rows.recipes.some((recipe) => recipe.id === payload.acknowledgment.recipeId)
      ? [insert('acknowledgments', payload.acknowledgment)]
      : refuse('acknowledgment.recipeId', payload.acknowledgment.recipeId, 'a recipe of this project'),
});

/** Takes an act back: what it inserted goes, what it removed or changed returns, what it paid is reversed. Decided on the server, which keeps the acts. */
const undo = defineCommand({
  kind: 'undo',
  title: 'Undone',
  payload: z.strictObject({ actId: id, reversalIds: z.array(id).max(50) }),
  decide: () => [],
});

const definitions = [
  createProject,
  editProject,
  removeProject,
  addCommand('addSpot', 'spots', 'Spot added'),
  editSpot,
  removeSpot,
  addSlot,
  editSlot,
  addSlots,
  arrangeSlots,
  savePattern,
  removePattern,
  setPalette,
  addPhoto,
  removePhoto,
  addInspiration,
  editInspiration,
  removeInspiration,
  removeSlot,
  addCommand('addFind', 'finds', 'Find added'),
  editFind,
  removeFind,
  addOption,
  coverFind,
  editCommand('editOption', 'options', 'Option changed'),
  removeOption,
  editCommand('editOffer', 'offers', 'Offer changed'),
  editCommand('editRecipe', 'recipes', 'Recipe changed'),
  addCommand('addColorCard', 'colorCards', 'Color added'),
  editCommand('editColorCard', 'colorCards', 'Color changed'),
  choose,
  clearChoice,
  leaveOut,
  saveSupply,
  buySupply,
  buyFind,
  orderOffer,
  setOverride,
  resetOverrides,
  setTool,
  acknowledge,
  addPieces,
  editPiece,
  removePieces,
  giveBack,
  keepFind,
  usePiece,
  finishRecipe,
  editCommand('editSupply', 'supplies', 'Supply changed'),
  removeSupply,
  savePrice,
  removeCommand('removePrice', 'priceNotes', 'Price removed'),
  editCommand('editGap', 'gaps', 'Gap changed'),
  addCommand('keepSearch', 'searches', 'Search kept'),
  removeCommand('removeSearch', 'searches', 'Search removed'),
  addCommand('keepRecipe', 'studioRecipes', 'Recipe kept for the studio'),
  removeCommand('forgetRecipe', 'studioRecipes', 'Studio recipe removed'),
  undo,
] as const;

/** Every command by its kind. */
export const commands = createRegistry(
  'commands',
  definitions.map((definition) => ({ id: definition.kind, definition: definition as unknown as CommandDefinition })),
);

type Definition = (typeof definitions)[number];
export type CommandKind = Definition['kind'];
type DefinitionOf<K extends CommandKind> = Extract<Definition, { kind: K }>;
/** The payload that a command takes. */
export type PayloadOf<K extends CommandKind> = z.input<DefinitionOf<K>['payload']>;

/** A command on its way: one key for one wish, and the versions of the rows as its author saw them. */
export const commandSchema = z.strictObject({
  key: id,
  projectId: id,
  kind: z.string().refine((kind) => commands.find(kind) !== undefined, { error: `one of ${commands.ids.join(', ')}` }),
  payload: z.unknown(),
  /** `table:id` → version. */
  expect: z.record(z.string().max(120), wholeNumber(1, 2_000_000_000)),
});
export type Command = z.infer<typeof commandSchema>;

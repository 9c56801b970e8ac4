import type { PayloadOf } from '@core/acts';
import { type Build, type BuildValues, completeBuild } from '@core/build/build';
import { buildFor } from '@core/build/buildFor';
import type { Lab } from '@core/color/lab';
import type { Price } from '@core/kernel/price';
import type { ColorCardRow, FindRow, OfferRow, OptionRow, ProjectRows, RecipeRow, SlotRow } from '@core/model/rows';
import { chosenLayer, type RecipeBody, recipeFor } from '@core/recipe/recipeBody';
import type { QuickLine } from '@core/sourcing/quickLine';
import { completeMeasures } from '@core/surface/furnitureTemplate';
import { furnitureTemplates } from '@core/surface/templates';

type AddOption = PayloadOf<'addOption'>;

const newId = () => crypto.randomUUID();

function optionRow(
  slotId: string,
  kind: OptionRow['kind'],
  parts: OptionRow['parts'],
  recipeId: string | null,
): OptionRow {
  return {
    id: newId(),
    version: 1,
    slotId,
    kind,
    parts,
    recipeId,
    handsOnMinutes: null,
    liking: null,
    yardstick: false,
  };
}

/** How many pieces of a find one of the slot takes when a slot asks for one: all that are usable, at most. */
const onePiece = (findId: string): OptionRow['parts'] => [{ findId, offerId: null, pieces: 1 }];

/** The find as it is: own, when it is owned already. */
export function plainOption(slotId: string, find: FindRow, isNew: boolean): AddOption {
  return {
    option: optionRow(slotId, find.state === 'owned' ? 'own' : 'asFound', onePiece(find.id), null),
    find: isNew ? find : null,
    offer: null,
    recipe: null,
    colorCard: null,
  };
}

/** The coating a makeover starts with: a spray for metal and lamps, else chalk-type paint; open to change. */
export function firstCoating(find: FindRow): string {
  return find.materialId === 'ferrousMetal' ? 'aerosolEnamel' : 'chalk';
}

/** A recipe for a find without layers: its piece with as many like ones as are made over. */
export function startOf(find: FindRow, pieces: number): RecipeBody {
  const body = recipeFor(find.id, find.templateId, find.measures, newId());
  return { ...body, pieces: body.pieces.map((piece) => ({ ...piece, count: Math.max(1, pieces) })) };
}

/** A makeover as it was proposed, whole. */
export function proposedOption(
  slotId: string,
  find: FindRow,
  isNew: boolean,
  body: RecipeBody,
  newCard: ColorCardRow | null,
): AddOption & { recipe: RecipeRow } {
  const recipe = { id: newId(), version: 1, name: find.name, body, doneOn: null, uses: [] };
  return {
    option: optionRow(slotId, 'makeover', onePiece(find.id), recipe.id),
    find: isNew ? find : null,
    offer: null,
    recipe,
    colorCard: newCard,
  };
}

/** A makeover of a find in one finish; primer, coats and clear coat follow from the core. */
export function makeoverOption(
  slotId: string,
  find: FindRow,
  isNew: boolean,
  coatingId: string,
  card: ColorCardRow | null,
  cardIsNew: boolean,
  pieces: number,
): AddOption & { recipe: RecipeRow } {
  const layers = [chosenLayer(newId(), coatingId, { colorCardId: card?.id ?? null })];
  return proposedOption(slotId, find, isNew, { ...startOf(find, pieces), layers }, cardIsNew ? card : null);
}

/** A recipe that makes something from scratch: one of it, of its usual materials. */
export function buildBody(build: Build, values: BuildValues): RecipeBody {
  const complete = completeBuild(build, values);
  const body = recipeFor('', build.templateId, build.measures(complete), newId());
  const made = { id: build.id, values: { ...complete }, materials: {} };
  return { ...body, pieces: body.pieces.map((piece) => ({ ...piece, findId: null, build: made })) };
}

/** Something to make for a slot, as large as the slot wants it. */
export function makeOption(slot: SlotRow, build: Build): AddOption & { recipe: RecipeRow } {
  const recipe = {
    id: newId(),
    version: 1,
    name: build.name,
    body: buildBody(build, buildFor(build, slot)),
    doneOn: null,
    uses: [],
  };
  return { option: optionRow(slot.id, 'make', [], recipe.id), find: null, offer: null, recipe, colorCard: null };
}

/** One recipe for one more find: its piece in the recipe, and its makeover for the slot it is thought for. */
export function coveredFind(recipe: RecipeRow, find: FindRow, slotId: string | null): PayloadOf<'coverFind'> {
  const [piece] = recipeFor(find.id, find.templateId, find.measures, newId()).pieces;
  return {
    recipeId: recipe.id,
    findId: find.id,
    body: { ...recipe.body, pieces: piece ? [...recipe.body.pieces, piece] : recipe.body.pieces },
    option: slotId === null ? null : optionRow(slotId, 'makeover', onePiece(find.id), recipe.id),
  };
}

/** What a line says of an order: how many a pack holds, what bringing it costs, when it comes. */
export function saidOfOrder(
  line: QuickLine,
): Pick<OfferRow, 'pieces' | 'leadDays'> & Partial<Pick<OfferRow, 'delivery'>> {
  const carriage = line.lines.find((entry) => entry.kind === 'delivery');
  return {
    pieces: line.pieces,
    leadDays: line.leadDays ?? 0,
    ...(carriage?.kind === 'delivery' ? { delivery: carriage.amount } : {}),
  };
}

/** Something sold new. */
export function buyNewOption(
  slotId: string,
  name: string,
  price: Price,
  change: Partial<OfferRow> = {},
  templateId = 'freeBox',
): AddOption {
  const offer: OfferRow = {
    id: newId(),
    version: 1,
    name,
    sourceId: null,
    price,
    delivery: 0,
    deliveryTaxed: true,
    pieces: 1,
    assemblyMinutes: 0,
    leadDays: 0,
    templateId,
    measures: completeMeasures(furnitureTemplates.get(templateId), {}),
    color: null,
    dream: false,
    arrivedOn: null,
    ...change,
  };
  return {
    option: optionRow(slotId, 'buyNew', [{ findId: null, offerId: offer.id, pieces: 1 }], null),
    find: null,
    offer,
    recipe: null,
    colorCard: null,
  };
}

/** A new color card. */
export function newColorCard(name: string, lab: Lab): ColorCardRow {
  return { id: newId(), version: 1, name, lab };
}

/** How soon a color of the palette is proposed for a finish; what is met as greenery or metal is seldom painted. */
const paletteOrder = ['main', 'accent', 'ground', 'wood', 'metal', 'greenery'] as const;

/** Colors used in this project first, then those of its palette, then the studio's others. */
export function cardsByUse(rows: ProjectRows): ColorCardRow[] {
  const used = new Set(rows.recipes.flatMap((recipe) => recipe.body.layers.map((layer) => layer.colorCardId)));
  const { palette } = rows.project.brief;
  const place = (card: ColorCardRow): number => {
    if (used.has(card.id)) return 0;
    const role = palette.find((entry) => entry.colorCardId === card.id)?.role;
    return role === undefined ? paletteOrder.length + 1 : 1 + paletteOrder.indexOf(role);
  };
  return [...rows.colorCards].sort((a, b) => place(a) - place(b) || a.name.localeCompare(b.name));
}

import type { PayloadOf } from '../acts';
import { type Build, type BuildValues, completeBuild } from '../build/build';
import { buildFor } from '../build/buildFor';
import type { Lab } from '../color/lab';
import type { Price } from '../kernel/price';
import { blankOption } from '../model/blankOption';
import type { ColorCardRow, FindRow, OfferRow, OptionRow, RecipeRow, SlotRow } from '../model/rows';
import { chosenLayer, type RecipeBody, recipeFor } from '../recipe/recipeBody';
import type { QuickLine } from '../sourcing/quickLine';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';

type AddOption = PayloadOf<'addOption'>;

/** How many pieces of a find one of the slot takes when a slot asks for one: all that are usable, at most. */
const onePiece = (findId: string): OptionRow['parts'] => [{ findId, offerId: null, pieces: 1 }];

/** The coating a makeover starts with: a spray for metal and lamps, else chalk-type paint; open to change. */
export function firstCoating(find: FindRow): string {
  return find.materialId === 'ferrousMetal' ? 'aerosolEnamel' : 'chalk';
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

/**
 * Drafts of new ways to fill a slot, each as the act that adds it.
 * @param newId makes the ids of new rows
 */
export function optionDrafts(newId: () => string) {
  const optionRow = (
    slotId: string,
    kind: OptionRow['kind'],
    parts: OptionRow['parts'],
    recipeId: string | null,
  ): OptionRow => ({
    id: newId(),
    version: 1,
    slotId,
    kind,
    parts,
    recipeId,
    ...blankOption,
  });

  /** The find as it is: own, when it is owned already; borrowed, when somebody would lend it. */
  const plainOption = (slotId: string, find: FindRow, isNew: boolean): AddOption => ({
    option: optionRow(
      slotId,
      find.state === 'owned' ? 'own' : find.borrowedFrom !== '' ? 'borrow' : 'asFound',
      onePiece(find.id),
      null,
    ),
    find: isNew ? find : null,
    offer: null,
    recipe: null,
    colorCard: null,
  });

  /** A recipe for a find without layers: its piece with as many like ones as are made over. */
  const startOf = (find: FindRow, pieces: number): RecipeBody => {
    const body = recipeFor(find.id, find.templateId, find.measures, newId());
    return { ...body, pieces: body.pieces.map((piece) => ({ ...piece, count: Math.max(1, pieces) })) };
  };

  const newRecipe = (name: string, body: RecipeBody): RecipeRow => ({
    id: newId(),
    version: 1,
    name,
    body,
    doneOn: null,
    uses: [],
  });

  /** A makeover as it was proposed, whole. */
  const proposedOption = (
    slotId: string,
    find: FindRow,
    isNew: boolean,
    body: RecipeBody,
    newCard: ColorCardRow | null,
  ): AddOption & { recipe: RecipeRow } => {
    const recipe = newRecipe(find.name, body);
    return {
      option: optionRow(slotId, 'makeover', onePiece(find.id), recipe.id),
      find: isNew ? find : null,
      offer: null,
      recipe,
      colorCard: newCard,
    };
  };

  /** A makeover of a find in one finish; primer, coats and clear coat follow from the core. */
  const makeoverOption = (
    slotId: string,
    find: FindRow,
    isNew: boolean,
    coatingId: string,
    card: ColorCardRow | null,
    cardIsNew: boolean,
    pieces: number,
  ): AddOption & { recipe: RecipeRow } => {
    const layers = [chosenLayer(newId(), coatingId, { colorCardId: card?.id ?? null })];
    return proposedOption(slotId, find, isNew, { ...startOf(find, pieces), layers }, cardIsNew ? card : null);
  };

  /** A recipe that makes something from scratch: one of it, of its usual materials. */
  const buildBody = (build: Build, values: BuildValues): RecipeBody => {
    const complete = completeBuild(build, values);
    const body = recipeFor('', build.templateId, build.measures(complete), newId());
    const made = { id: build.id, values: { ...complete }, materials: {} };
    return { ...body, pieces: body.pieces.map((piece) => ({ ...piece, findId: null, build: made })) };
  };

  /** Something to make for a slot, as large as the slot wants it. */
  const makeOption = (slot: SlotRow, build: Build): AddOption & { recipe: RecipeRow } => {
    const recipe = newRecipe(build.name, buildBody(build, buildFor(build, slot)));
    return { option: optionRow(slot.id, 'make', [], recipe.id), find: null, offer: null, recipe, colorCard: null };
  };

  /** One recipe for one more find: its piece in the recipe, and its makeover for the slot it is thought for. */
  const coveredFind = (recipe: RecipeRow, find: FindRow, slotId: string | null): PayloadOf<'coverFind'> => {
    const [piece] = recipeFor(find.id, find.templateId, find.measures, newId()).pieces;
    return {
      recipeId: recipe.id,
      findId: find.id,
      body: { ...recipe.body, pieces: piece ? [...recipe.body.pieces, piece] : recipe.body.pieces },
      option: slotId === null ? null : optionRow(slotId, 'makeover', onePiece(find.id), recipe.id),
    };
  };

  /** Something sold new, as an offer that the project knows already. */
  const offeredOption = (slotId: string, offerId: string): AddOption => ({
    option: optionRow(slotId, 'buyNew', [{ findId: null, offerId, pieces: 1 }], null),
    find: null,
    offer: null,
    recipe: null,
    colorCard: null,
  });

  /** Something sold new, or rented. */
  const buyNewOption = (
    slotId: string,
    name: string,
    price: Price,
    change: Partial<OfferRow> = {},
    templateId = 'freeBox',
  ): AddOption => {
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
      rented: null,
      ...change,
    };
    const draft = { ...offeredOption(slotId, offer.id), offer };
    return offer.rented === null ? draft : { ...draft, option: { ...draft.option, kind: 'rent' } };
  };

  /** A new color card. */
  const newColorCard = (name: string, lab: Lab): ColorCardRow => ({ id: newId(), version: 1, name, lab });

  return {
    plainOption,
    startOf,
    proposedOption,
    makeoverOption,
    makeOption,
    coveredFind,
    offeredOption,
    buyNewOption,
    newColorCard,
  };
}

export type OptionDrafts = ReturnType<typeof optionDrafts>;

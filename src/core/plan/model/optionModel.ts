import { flawMinutes, flawsFound } from '../../catalog/inspections';
import { partsTimes } from '../../cutting/part';
import { toMicro } from '../../kernel/micro';
import { addMinutes, type Minutes, mapMinutes, noMinutes } from '../../kernel/minutes';
import { mostOf } from '../../model/finds';
import type { FindRow, OfferRow, OptionKind, OptionRow, SlotRow } from '../../model/rows';
import type { RecipePlan } from '../../recipe/computeRecipe';
import { amountTerm, type PieceDemand, type SupplyTerm, type WorkTerm } from '../../recipe/pieceDemand';
import type { RecipeBody } from '../../recipe/recipeBody';
import { supplyKey as keyOfSupply } from '../../recipe/supplyKey';
import { isMade } from '../../recipe/workpiece';
import { type Draw, drawnBy, drawnTogether, drawOf, nothingDrawn, type Total, totalDrawn } from './pools';

/** A term of a recipe with how many pieces of its find one of the quantity takes. */
export interface OptionTerm<T> {
  workpieceId: string;
  pieces: number;
  term: T;
}

/** Hands-on time of an option that it shares with nobody; in millionths of a minute. */
export interface OwnHands {
  /** Making one of the quantity, and the overhead on it. */
  work: Minutes;
  overhead: Minutes;
  /** Once for the option, as stated: placing, small repairs. */
  onceMicro: number;
  /** For each one of the quantity, as stated: assembling. */
  eachMicro: number;
}

/** One way to fill a slot, compiled: everything that its figures are computed from, and nothing of the plan rest it. */
export interface OptionModel {
  option: OptionRow;
  slot: SlotRow;
  finds: readonly FindRow[];
  offers: readonly { offer: OfferRow; pieces: number }[];
  recipe: RecipePlan | null;
  /** Whether its recipe is done: nothing more is bought for it or worked on it. */
  isDone: boolean;
  /** How many of the slot's quantity it can cover. */
  capacity: number;
  /** What it draws from pools. */
  draws: readonly Draw[];
  /** What drives its draws on supplies, and its work: term by term, for one of the quantity. */
  supplyTerms: readonly OptionTerm<SupplyTerm>[];
  workTerms: readonly OptionTerm<WorkTerm>[];
  /** What mending flaws takes once, where nothing else is done to the find. */
  flawTerms: readonly SupplyTerm[];
  hands: OwnHands;
}

/** What mending the flaws of a find takes, where it is used as it is. */
function termsOfFlaws(find: FindRow): SupplyTerm[] {
  return flawsFound(find.inspected).flatMap(({ check, flaw }) =>
    flaw.takes.map(({ kindId, amount }) =>
      amountTerm(keyOfSupply(kindId, null, null), toMicro(amount), { kind: 'flaw', checkId: check.id, zoneKey: null }),
    ),
  );
}

/**
 * Placing what is owned, or found and wiped; fetching what is lent or rented, wiping it and taking it back: usual minutes
 * while the stylist says nothing (estimated).
 */
export const usualPlacingMinutes: Readonly<Record<OptionKind, number>> = {
  own: 10,
  borrow: 40,
  asFound: 15,
  makeover: 0,
  make: 0,
  rent: 40,
  buyNew: 0,
};

/**
 * Compiles an option. Parts that point nowhere are left out, and an option without parts covers all that is asked.
 * @param of.finds the finds of its parts that exist, by id; offers in the same way
 * @param of.overheadPercent what is added to all work
 */
export function compileOption(of: {
  option: OptionRow;
  slot: SlotRow;
  recipe: RecipePlan | null;
  /** The recipe as it is kept: how many of a thing it makes at once, before the choices say how often. */
  body: RecipeBody | null;
  isDone: boolean;
  /** Steps of the recipe that are done already: nobody works on them any more. */
  doneSteps: ReadonlySet<string>;
  /** Whether it was set in its place. */
  isPlaced: boolean;
  finds: readonly FindRow[];
  offers: readonly OfferRow[];
  /** Trips on which something of it is to be fetched. */
  trips: readonly string[];
  overheadPercent: number;
}): OptionModel {
  const { option, slot, recipe, isDone } = of;
  const finds: FindRow[] = [];
  const offers: { offer: OfferRow; pieces: number }[] = [];
  const supplyTerms: OptionTerm<SupplyTerm>[] = [];
  const workTerms: OptionTerm<WorkTerm>[] = [];
  const flawTerms: SupplyTerm[] = [];
  const openWork = (demand: PieceDemand | undefined) =>
    (demand?.work ?? []).filter(({ stepId }) => !of.doneSteps.has(stepId));
  let capacity = Number.POSITIVE_INFINITY;
  let eachMinutes = 0;
  let onceMinutes = of.isPlaced ? 0 : (option.handsOnMinutes ?? usualPlacingMinutes[option.kind]);
  for (const { findId, offerId, pieces } of option.parts) {
    const find = findId === null ? undefined : of.finds.find((row) => row.id === findId);
    const offer = offerId === null ? undefined : of.offers.find((row) => row.id === offerId);
    if (find) {
      finds.push(find);
      capacity = Math.min(capacity, Math.floor(mostOf(find) / pieces));
      if (!isDone) {
        if (!of.isPlaced) onceMinutes += find.repairMinutes;
        const demand = recipe?.demands.get(find.id);
        // A makeover mends the flaws in its own steps.
        if (!demand) {
          onceMinutes += flawMinutes(find.inspected);
          flawTerms.push(...termsOfFlaws(find));
        }
        for (const term of demand?.supplies ?? []) supplyTerms.push({ workpieceId: find.id, pieces, term });
        for (const term of openWork(demand)) workTerms.push({ workpieceId: find.id, pieces, term });
      }
    }
    if (offer) {
      offers.push({ offer, pieces });
      if (!of.isPlaced) eachMinutes += offer.assemblyMinutes * pieces;
    }
  }
  if (option.kind === 'make' && !isDone)
    for (const piece of of.body?.pieces.filter(isMade) ?? []) {
      const demand = recipe?.demands.get(piece.id);
      for (const term of demand?.supplies ?? []) supplyTerms.push({ workpieceId: piece.id, pieces: piece.count, term });
      for (const term of openWork(demand)) workTerms.push({ workpieceId: piece.id, pieces: piece.count, term });
    }
  let work = noMinutes;
  for (const { pieces, term } of workTerms) work = addMinutes(work, term.micro, pieces);
  return {
    option,
    slot,
    finds,
    offers,
    recipe,
    isDone,
    capacity: Number.isFinite(capacity) ? capacity : slot.quantity,
    draws: drawsOf({ finds, offers, supplyTerms, flawTerms, recipe }, of.trips, of.doneSteps),
    supplyTerms,
    flawTerms,
    workTerms,
    hands: {
      work,
      overhead: mapMinutes(work, (micro) => Math.round((micro * of.overheadPercent) / 100)),
      onceMicro: toMicro(onceMinutes),
      eachMicro: toMicro(eachMinutes),
    },
  };
}

function drawsOf(
  {
    finds,
    offers,
    supplyTerms,
    flawTerms,
    recipe,
  }: Pick<OptionModel, 'finds' | 'offers' | 'supplyTerms' | 'flawTerms' | 'recipe'>,
  trips: readonly string[],
  doneSteps: ReadonlySet<string>,
): Draw[] {
  const draws = new Map<string, Draw>();
  const add = (draw: Draw) => {
    const known = draws.get(draw.poolId);
    if (known) Object.assign(known, drawnTogether(known, draw));
    else draws.set(draw.poolId, draw);
  };
  for (const find of finds) add(drawOf('find', find.id, 1));
  for (const { offer, pieces } of offers) add(drawOf('order', offer.id, pieces));
  for (const { pieces, term } of supplyTerms)
    add(drawOf('supply', term.supplyKey, term.micro * pieces, 0, partsTimes(term.parts, pieces)));
  for (const { supplyKey, micro } of flawTerms) add(drawOf('supply', supplyKey, 0, micro));
  // A recipe in which nothing is taken asks for no session and no tool.
  if (recipe && supplyTerms.length > 0) {
    for (const [key, coats] of sessionsLeft(recipe, doneSteps)) add(drawOf('session', key, 0, coats));
    for (const [key, micro] of residuesByKey(recipe)) add(drawOf('supply', key, 0, micro));
    for (const toolId of recipe.toolIds) add(drawOf('tool', toolId, 1));
  }
  for (const tripId of trips) add(drawOf('trip', tripId, 1));
  return [...draws.values()];
}

/** Sessions that a recipe still opens of each supply: as many as coats are left of the layer that has most. */
function sessionsLeft(recipe: RecipePlan, doneSteps: ReadonlySet<string>): ReadonlyMap<string, number> {
  if (doneSteps.size === 0) return recipe.sessions;
  const coatsOf = (isCounted: (stepId: string) => boolean) => {
    const most = new Map<string, number>();
    for (const { id, supplyKey } of recipe.layers) {
      const coats = new Set(
        recipe.steps.flatMap((step) =>
          step.layerId === id && step.kind === 'coat' && !step.skipped && isCounted(step.id) ? [step.coat] : [],
        ),
      );
      most.set(supplyKey, Math.max(most.get(supplyKey) ?? 0, coats.size));
    }
    return most;
  };
  const all = coatsOf(() => true);
  const open = coatsOf((stepId) => !doneSteps.has(stepId));
  return new Map(
    [...recipe.sessions].map(([key, count]) => [key, Math.max(0, count - (all.get(key) ?? 0) + (open.get(key) ?? 0))]),
  );
}

/** What the sessions of a recipe leave behind, by supply. */
function residuesByKey({ residues }: RecipePlan): Map<string, number> {
  const byKey = new Map<string, number>();
  for (const { supplyKey, micro } of residues) byKey.set(supplyKey, (byKey.get(supplyKey) ?? 0) + micro);
  return byKey;
}

/** Own hands-on time of an option that fills so many of its slot, in millionths of a minute. */
export function ownHandsOf({ hands }: OptionModel, count: number): Minutes {
  const stated = hands.onceMicro + hands.eachMicro * count;
  const end = (of: keyof Minutes) => (hands.work[of] + hands.overhead[of]) * count + stated;
  return { low: end('low'), likely: end('likely'), high: end('high') };
}

/** What an option draws of one supply when it fills so many of its slot: millionths, and parts to cut. */
export function supplyDrawOf(model: OptionModel, key: string, count: number): Total {
  const draw = model.draws.find(({ kind, key: of }) => kind === 'supply' && of === key);
  return totalDrawn(draw ? drawnBy(draw, count) : nothingDrawn);
}

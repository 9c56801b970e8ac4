import type { PayloadOf } from '../acts';
import { builds } from '../build';
import { isAskedFor } from '../build/build';
import type { Lab } from '../color/lab';
import type { ColorCardRow, FindRow, OptionKind, PieceRow, PriceNoteRow, SlotRow } from '../model/rows';
import type { Plan } from '../plan/computePlan';
import { greenKindOf } from '../plan/greenKind';
import { findFromPiece } from '../plan/stashPieces';
import type { RecipePlan } from '../recipe/computeRecipe';
import { mainLayer } from '../recipe/mainLayer';
import { proposedWays } from '../recipe/proposedWays';
import { pieceKindOf } from '../sourcing/pieceKindOf';
import { pricesOfPieces } from '../sourcing/pricesOfPieces';
import { unsaidMaterial } from '../sourcing/saidSurface';
import { type FitThing, type SlotFit, slotFits } from '../sourcing/slotFits';
import { completeMeasures } from '../surface/furnitureTemplate';
import { furnitureTemplates } from '../surface/templates';
import { type Finish, finishes, finishTries } from './finishTries';
import { isNamedAs } from './judgedWay';
import { type OptionDrafts, optionDrafts } from './optionDrafts';

/** A way to fill a slot that was thought of, not judged yet. */
export interface Thought {
  /** The thing it is made of. */
  what: string;
  /** What is done to it; empty where nothing is. */
  how: string;
  kind: OptionKind;
  finish: Finish | null;
  /** The piece of the house that it takes, where the project does not know it yet. */
  piece: PieceRow | null;
  /** How well the thing answers the slot, 0 to 1. */
  fit: number;
  /** Whether it would serve another open slot as well. */
  isWantedElsewhere: boolean;
  payload: PayloadOf<'addOption'>;
}

/** What a slot can be filled from, beside what can be made. */
export interface ThingsAround {
  /** Finds of the project and pieces of the house that are free, with how they lie to every slot. */
  pieces: readonly { find: FindRow; piece: PieceRow | null; fits: ReadonlyMap<string, SlotFit> }[];
  /** Offers that the project knows, and prices of the price book, with how they lie to every slot. */
  offers: readonly { offer: OfferThing; fits: ReadonlyMap<string, SlotFit> }[];
  /** Colors that are made for ways, by name: once for all slots, so that one can serves them. */
  newCards: Map<string, ColorCardRow>;
}

type OfferThing = { kind: 'offer'; offerId: string; name: string } | { kind: 'note'; note: PriceNoteRow };

/** A material that nobody said: what a thing of no known kind is taken for. */
const isMaterialUnsaid = ({ templateId, materialId, finishId }: FindRow): boolean =>
  templateId === 'freeBox' && materialId === unsaidMaterial && finishId === null;

/** Kinds of things that live or are leaves; a pot or a vase for them is none. */
const greens: ReadonlySet<string> = new Set(['plant', 'stems']);
/** Kinds of things that are cloth through and through: dyed or sewn, not painted, papered or wrapped. */
const softGoods: ReadonlySet<string> = new Set(['textile', 'curtain']);

/** What a stain soaks into: on everything else it is no finish that anybody would think of (common practice, no source). */
const soaksStain: ReadonlySet<string> = new Set(['pine', 'hardwood', 'veneer', 'wicker']);

/** Film is wrapped around flat faces: a thing of no known shape has them only where its name says that it is a box. */
const isFlat = ({ templateId, name }: FindRow): boolean => templateId !== 'freeBox' || pieceKindOf(name)?.id === 'box';

/** What is alive, burns, is cloth or is no surface at all is not painted, papered or wrapped. */
function isNoSurface({ name, kind, freshDays }: FindRow): boolean {
  const known = pieceKindOf(name);
  return (
    kind === 'candle' ||
    known?.care === 'candle' ||
    greenKindOf({ name, freshDays }) !== null ||
    greens.has(known?.id ?? '') ||
    softGoods.has(known?.id ?? '')
  );
}

/** The most pieces that finishes are tried on for one slot: the best answers; more take long and say little. */
const MOST_PIECES = 6;
/** A slot that says neither what it is nor what it does takes what fits at least so well. */
const FITS_UNASKED = 0.5;

/** A find can be taken while it is there and nobody has put it away. */
const isAround = ({ state, archived }: FindRow): boolean =>
  !archived && state !== 'passed' && state !== 'returned' && state !== 'sold';

const bySlot = (fits: readonly SlotFit[]): ReadonlyMap<string, SlotFit> =>
  new Map(fits.map((fit) => [fit.slot.id, fit]));

/**
 * What there is to fill slots from, each held against every slot once.
 * @param house pieces of the house that are free on the project's dates
 * @param today local date
 * @param newId makes ids for pieces of the house that the project does not know yet
 */
export function thingsAround(plan: Plan, house: readonly PieceRow[], today: string, newId: () => string): ThingsAround {
  const { rows } = plan;
  const known = new Set(rows.finds.map(({ pieceId }) => pieceId));
  const isFixture = (templateId: string) => furnitureTemplates.find(templateId)?.traits.includes('fixture') ?? false;
  const pieces = [
    ...rows.finds.filter(isAround).map((find) => ({ find, piece: null })),
    ...house
      .filter((piece) => !known.has(piece.id) && piece.inHouse)
      .map((piece) => ({ find: findFromPiece(newId(), piece), piece })),
  ]
    .filter(({ find }) => !isFixture(find.templateId))
    .map((entry) => ({ ...entry, fits: bySlot(slotFits(plan, entry.find, today)) }));
  const thing = (id: string, name: string, templateId: string, of: Partial<FitThing>): FitThing => ({
    id,
    name,
    templateId,
    measures: completeMeasures(furnitureTemplates.get(templateId), {}),
    color: null,
    count: 1,
    counted: true,
    ...of,
  });
  const offers = [
    ...rows.offers
      .filter(({ dream, arrivedOn, rented }) => !dream && arrivedOn === null && rented === null)
      .map((offer) => ({
        offer: { kind: 'offer', offerId: offer.id, name: offer.name } as const,
        fits: thing(offer.id, offer.name, offer.templateId, { measures: offer.measures, color: offer.color }),
      })),
    ...pricesOfPieces(rows)
      .filter(({ name }) => !rows.offers.some((offer) => offer.name === name))
      .map((note) => ({ offer: { kind: 'note', note } as const, fits: thing(note.id, note.name, note.subjectId, {}) })),
  ].map(({ offer, fits }) => ({ offer, fits: bySlot(slotFits(plan, fits, today)) }));
  return { pieces, offers, newCards: new Map() };
}

/** Whether a thing is what a slot asks for; one that says neither what it is nor what it does takes what fits well. */
function isAnswer({ answers, fit }: SlotFit): boolean {
  const asksForNothing = ['words.notAsked', 'role.notAsked'].every((code) =>
    fit.reasons.some((reason) => reason.code === code),
  );
  return answers || (asksForNothing && fit.score >= FITS_UNASKED);
}

/** A piece that answers a slot. */
type Answer = ReturnType<typeof answersTo>[number];

/** The pieces that answer a slot: those called as it is first, then the best. */
function answersTo(slot: SlotRow, { pieces }: ThingsAround) {
  return pieces
    .flatMap(({ find, piece, fits }) => {
      const fit = fits.get(slot.id);
      if (!fit?.goesIn || !isAnswer(fit)) return [];
      const isWantedElsewhere = [...fits.values()].some(
        (other) => other.slot.id !== slot.id && other.open > 0 && other.goesIn && isAnswer(other),
      );
      return [{ find, piece, score: fit.fit.score, isNamed: isNamedAs(slot.name, find.name), isWantedElsewhere }];
    })
    .sort((a, b) => Number(b.isNamed) - Number(a.isNamed) || b.score - a.score || (a.find.id < b.find.id ? -1 : 1))
    .slice(0, MOST_PIECES);
}

/** The pieces that answer a slot and that nobody said the material of: no finish is tried on them until somebody does. */
export const unsaidFor = (slot: SlotRow, around: ThingsAround): FindRow[] =>
  answersTo(slot, around)
    .map(({ find }) => find)
    .filter((find) => isMaterialUnsaid(find) && !isNoSurface(find));

/**
 * Every way to fill a slot that comes to mind: what the house has and what was seen, as it is and in each finish that
 * holds on it; what can be made that the slot asks for by name; what is known to be sold new.
 * @param around what there is, see {@link thingsAround}
 * @param newId makes the ids of new rows
 */
export function thoughtsFor(plan: Plan, slot: SlotRow, around: ThingsAround, newId: () => string): Thought[] {
  const drafts = optionDrafts(newId);
  const answers = answersTo(slot, around);
  const newCard = (name: string, lab: Lab) => {
    const card = around.newCards.get(name) ?? drafts.newColorCard(name, lab);
    around.newCards.set(name, card);
    return card;
  };
  const tries = finishTries(plan.rows, slot, newCard);
  const asIs = answers.map(({ find, piece, score, isWantedElsewhere }): Thought => {
    const payload = drafts.plainOption(slot.id, find, piece !== null);
    const { kind } = payload.option;
    return { what: find.name, how: '', kind, finish: null, piece, fit: score, isWantedElsewhere, payload };
  });
  const madeOver = answers.flatMap((answer) => makeovers(plan, slot, answer, tries, drafts, newId));
  const made = builds.all
    .filter((build) => isAskedFor(build, slot.name))
    .map((build): Thought => {
      const payload = drafts.makeOption(slot, build);
      return {
        what: build.name,
        how: '',
        kind: 'make',
        finish: null,
        piece: null,
        fit: 1,
        isWantedElsewhere: false,
        payload,
      };
    });
  const soldNew = around.offers.flatMap(({ offer, fits }): Thought[] => {
    const fit = fits.get(slot.id);
    if (!fit?.answers || !fit.goesIn) return [];
    const payload =
      offer.kind === 'offer' ? drafts.offeredOption(slot.id, offer.offerId) : fromNote(drafts, slot, offer.note, plan);
    const what = offer.kind === 'offer' ? offer.name : offer.note.name;
    const { score } = fit.fit;
    return [
      { what, how: '', kind: 'buyNew', finish: null, piece: null, fit: score, isWantedElsewhere: false, payload },
    ];
  });
  return [...asIs, ...madeOver, ...made, ...soldNew];
}

/** A price of the price book as an offer; where it was seen, if that is a place that is known. */
function fromNote(drafts: OptionDrafts, slot: SlotRow, note: PriceNoteRow, { rows }: Plan): PayloadOf<'addOption'> {
  const said = note.source.trim().toLowerCase();
  const sourceId = rows.sources.find(({ name }) => said !== '' && name.toLowerCase() === said)?.id ?? null;
  return drafts.buyNewOption(slot.id, note.name, note.price, { sourceId }, note.subjectId);
}

/** A piece in each finish that holds on it. What is borrowed is altered only when its owner said so. */
function makeovers(
  plan: Plan,
  slot: SlotRow,
  { find, piece, score: fit, isWantedElsewhere }: Answer,
  tries: ReturnType<typeof finishTries>,
  drafts: OptionDrafts,
  newId: () => string,
): Thought[] {
  const known = piece ?? plan.model.piece(find.pieceId);
  if (known && known.borrowedFrom !== '' && !known.mayAlter) return [];
  if (isMaterialUnsaid(find) || isNoSurface(find)) return [];
  const base = plan.model.recipeContext();
  const pieces = Math.min(slot.quantity, Math.max(1, find.count));
  const seen = new Set<string>();
  return tries.flatMap(({ finish, wish, card, isNewCard }): Thought[] => {
    if (finish === 'stain' && !soaksStain.has(find.materialId)) return [];
    if (finish === 'film' && !isFlat(find)) return [];
    const context = {
      ...base,
      pieces: new Map([...base.pieces, [find.id, find]]),
      colorCards: card ? new Map([...base.colorCards, [card.id, card]]) : base.colorCards,
    };
    const [way] = proposedWays(
      drafts.startOf(find, pieces),
      wish,
      card?.id ?? null,
      context,
      (needs) => plan.model.cashOf(needs),
      plan.rows.project.hourValue ?? 0,
      newId,
      1,
    );
    // What does not hold as it was wished may have become another finish, which is tried by its own name and color.
    if (!way || finishOf(way.plan) !== finish) return [];
    const key = `${way.name}|${card?.id ?? ''}`;
    if (seen.has(key)) return [];
    seen.add(key);
    const payload = drafts.proposedOption(slot.id, find, piece !== null, way.body, isNewCard ? card : null);
    const how = [way.name, card?.name ?? ''].filter((word) => word !== '').join(', ');
    return [{ what: find.name, how, kind: 'makeover', finish, piece, fit, isWantedElsewhere, payload }];
  });
}

/** Which finish a makeover comes to: by the technique of its last chosen coat. */
export function finishOf(plan: RecipePlan): Finish | null {
  const main = mainLayer(plan);
  if (!main) return null;
  const { id, family } = main.technique;
  return (
    finishes.find(({ techniqueId }) => techniqueId === id)?.id ??
    (family === 'translucent' ? 'stain' : family === 'paper' || family === 'film' ? family : 'paint')
  );
}

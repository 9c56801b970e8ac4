import { type Artwork, shapeToCut } from '../artwork/artwork';
import { stockFacts } from '../catalog/stockFacts';
import { unroll } from '../surface/unroll';
import { type CutRule, isFilm, type SheetQuestion } from '../technique/sheetWork';
import type { Candidate } from './candidates';
import type { RecipeContext } from './recipeContext';
import type { StackEntry } from './stack';
import type { ZonePlan } from './zonePlans';

/** The supply that a layer cuts from: its paper or cloth, or the film that it lays. */
export function sheetKeyOf(candidate: Candidate, coatingKey: string): string | null {
  if (candidate.technique.sheet === null) return null;
  return isFilm(candidate.coating) ? coatingKey : (candidate.sheet?.supplyKey ?? null);
}

/** Whether a film is pressed on from its back, so that it is cut mirrored. */
export const isMirrored = ({ coating }: Pick<Candidate, 'coating'>): boolean => coating.adhesive?.isMirrored ?? false;

/** What a zone asks of a layer that is cut; null where the layer cuts nothing. */
function questionOf(zone: ZonePlan, candidate: Candidate, key: string, context: RecipeContext): SheetQuestion | null {
  const usual = isFilm(candidate.coating) ? candidate.coating.cut : candidate.sheet?.kind.cut;
  if (!usual) return null;
  const shapeOf = (artwork: Artwork) => ({
    name: artwork.name,
    cut: (as: CutRule) => shapeToCut(artwork, { ...as, isMirrored: isMirrored(candidate) }),
  });
  return {
    faces: unroll(zone.zone.shape),
    times: zone.zone.count * zone.zone.sides,
    pieces: zone.pieceCount,
    detail: zone.zone.detail,
    hasMachine: context.hasCuttingMachine,
    areaM2: zone.projectedAreaM2,
    stock: stockFacts(usual, context.stocks.get(key) ?? null),
    // On a table top anyone may sit on any side.
    isUpright: zone.zone.use !== 'tableTop',
    shapes: candidate.artworkIds.flatMap((id) => context.artworks.get(id) ?? []).map(shapeOf),
  };
}

/**
 * What a layer cuts for a zone, and from which supply.
 * @returns null where the layer cuts nothing; a reason where the zone cannot be covered that way
 */
export function sheetOn(
  zone: ZonePlan,
  candidate: Candidate,
  coatingKey: string,
  context: RecipeContext,
): { sheet: StackEntry['sheet']; reason: string | null } {
  const key = sheetKeyOf(candidate, coatingKey);
  const question = key === null ? null : questionOf(zone, candidate, key, context);
  if (key === null || question === null) return { sheet: null, reason: null };
  const reason = candidate.technique.sheet?.cannot(question) ?? null;
  const demand = reason === null ? candidate.technique.sheet?.cut(question, candidate.values) : undefined;
  return { sheet: demand ? { supplyKey: key, stock: question.stock, demand } : null, reason };
}

import { bagOf, type Part, type PartBag, partsTimes, partsTogether } from '../cutting/part';
import type { SheetDemand, SheetPiece } from '../technique/sheetWork';

/** What names a part in a whole plan: the recipe, the layer, the zone and the piece's place in what the technique cuts. */
export function partKey(recipeId: string, layerId: string, zoneKey: string, n: number): string {
  return [recipeId, layerId, zoneKey, n].join('|');
}

/** What a part key was made of. */
export function partsOfPartKey(key: string): { recipeId: string; layerId: string; zoneKey: string; n: number } {
  const [recipeId = '', layerId = '', zoneKey = '', n = '0'] = key.split('|');
  return { recipeId, layerId, zoneKey, n: Number(n) };
}

/** Millimeters to a hundredth: sizes that come out of sums compare equal, and no blade is finer. */
const roundMm = (mm: number): number => Math.round(mm * 100) / 100;

/** The part that something to cut is, under its name in the plan. */
export function partOf(
  piece: Pick<SheetPiece, 'name' | 'widthMm' | 'lengthMm' | 'turn' | 'outline' | 'lines'>,
  key: string,
): Part {
  return {
    key,
    name: piece.name,
    widthMm: roundMm(piece.widthMm),
    lengthMm: roundMm(piece.lengthMm),
    turn: piece.turn,
    outline: piece.outline,
    lines: piece.lines ?? null,
  };
}

/** What covering a zone cuts, as parts with their names in the plan; of nothing wide or long enough to hold, none. */
export function partsToCut(recipeId: string, layerId: string, zoneKey: string, demand: SheetDemand): PartBag {
  return demand.pieces.reduce((bag: PartBag, piece, n) => {
    if (piece.count <= 0 || piece.widthMm < 1 || piece.lengthMm < 1) return bag;
    const part = partOf(piece, partKey(recipeId, layerId, zoneKey, n));
    return partsTogether(bag, partsTimes(bagOf([part]), piece.count));
  }, bagOf([]));
}

import { type Artwork, layerOutline } from '../../artwork/artwork';
import type { Plan } from '../../plan/computePlan';
import type { RecipePlan } from '../../recipe/computeRecipe';
import type { PlannedLayer } from '../../recipe/stack';
import { boxOf, type Point } from '../../surface/outline';
import type { ZoneFace } from '../../surface/prints/printedShapes';

/** What of a plan says which shapes there are. */
type Artworks = Pick<Plan['rows'], 'colorCards'> & { readonly artworks: readonly Artwork[] };

/** Which of a set of shapes goes on the nth of like pieces, as they are shared out when they are cut. */
function shapeFor(layer: PlannedLayer, nth: number, pieces: number): string | undefined {
  const { artworkIds, values } = layer;
  const most = artworkIds.length;
  const each =
    (values.onPieces ?? 0) > 0 ? (values.onPieces ?? 1) : Math.max(1, Math.floor(pieces / Math.max(1, most)));
  return most > 1 ? artworkIds[Math.floor(nth / each)] : nth < each || most === 0 ? artworkIds[0] : undefined;
}

/** A film whose color nobody chose yet is drawn dark. */
const INK = { L: 20, a: 0, b: 0 };

/** A shape as it lies on its piece: the right way round, in its true size, in the film's color. */
function lettersOf(
  artwork: Artwork,
  layer: PlannedLayer,
  colorCards: Artworks['colorCards'],
): ZoneFace['letters'][number] | null {
  const { artworkColor = 0, sizePercent = 100 } = layer.values;
  const all = artwork.layers.flatMap(layerOutline);
  const taken = artworkColor === 0 ? all : artwork.layers.slice(artworkColor - 1, artworkColor).flatMap(layerOutline);
  const box = boxOf(all);
  if (!box || taken.length === 0) return null;
  const scale = sizePercent / 100;
  return {
    outline: taken.map((ring) => ring.map(([x, y]): Point => [(x - box.left) * scale, (y - box.top) * scale])),
    widthMm: (box.right - box.left) * scale,
    heightMm: (box.bottom - box.top) * scale,
    // The film's own: what the layer leaves is told as a mean over its zone.
    color: colorCards.find(({ id }) => id === layer.colorCardId)?.lab ?? INK,
  };
}

/**
 * What a recipe leaves on each zone of a piece beside its color: the paper that is laid last, and the shapes from film.
 * Paint that hides what is below hides these, too.
 * @param nth which of like pieces: of a set of labels each piece has its own
 */
export function zoneFacesOf(
  rows: Artworks,
  recipe: RecipePlan,
  workpieceId: string,
  nth: number,
): ReadonlyMap<string, ZoneFace> {
  const faces = new Map<string, ZoneFace>();
  for (const zone of recipe.zones) {
    if (zone.workpieceId !== workpieceId) continue;
    let face: ZoneFace = { paper: null, letters: [] };
    for (const { layerId, coats, leaves } of recipe.stacks.get(zone.key) ?? []) {
      const layer = recipe.layers.find(({ id }) => id === layerId);
      if (!layer) continue;
      if (layer.sheet) {
        const color = leaves.color ?? layer.sheet.color;
        face = { paper: color && { design: layer.sheet.design ?? layer.sheet.kind.name, color }, letters: [] };
      } else if (layer.technique.sheet?.cutsShapes) {
        const artwork = rows.artworks.find(({ id }) => id === shapeFor(layer, nth, zone.pieceCount));
        const letters = artwork && lettersOf(artwork, layer, rows.colorCards);
        if (letters) face = { ...face, letters: [...face.letters, letters] };
      } else if (coats.hiding !== null) face = { paper: null, letters: [] };
    }
    if (face.paper !== null || face.letters.length > 0) faces.set(zone.zone.id, face);
  }
  return faces;
}

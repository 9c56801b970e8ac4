import { type Artwork, shapeToCut, thinPlaces } from '../artwork/artwork';
import { isFilm } from '../technique/sheetWork';
import type { RecipeContext } from './recipeContext';
import type { RecipeFinding } from './recipeSentences';
import { isMirrored } from './sheetOn';
import type { PlannedLayer } from './stack';

/** What a film does not hold of the shapes that are cut from it: strokes too thin, letters too small, a color that is not there. */
export function filmFindings(layers: readonly PlannedLayer[], { artworks }: RecipeContext): RecipeFinding[] {
  return layers.flatMap((layer) =>
    isFilm(layer.coating)
      ? layer.artworkIds.flatMap((id): RecipeFinding[] => {
          const artwork = artworks.get(id);
          return artwork
            ? findingsOfShape(layer, artwork)
            : [{ code: 'film.noArtwork', severity: 'refuse', where: { kind: 'layer', id: layer.id }, figures: {} }];
        })
      : [],
  );
}

function findingsOfShape(layer: PlannedLayer, artwork: Artwork): RecipeFinding[] {
  const facts = layer.coating.adhesive;
  if (!facts) return [];
  const where = { kind: 'layer', id: layer.id } as const;
  const shape = shapeToCut(artwork, {
    color: layer.values.artworkColor ?? 0,
    scale: (layer.values.sizePercent ?? 100) / 100,
    borderMm: 0,
    isMirrored: isMirrored(layer),
  });
  if (!shape)
    return [
      {
        code: 'film.noSuchColor',
        severity: 'refuse',
        where,
        figures: { artwork: artwork.name, color: layer.values.artworkColor ?? 0, colors: artwork.layers.length },
      },
    ];
  const findings: RecipeFinding[] = [];
  const leastMm = facts.leastStrokeMm.usual;
  const places = thinPlaces(shape.outline, leastMm).length;
  if (places > 0)
    findings.push({
      code: 'film.tooThin',
      severity: 'warn',
      where,
      figures: { artwork: artwork.name, film: layer.coating.name, places, leastMm },
    });
  const least = shape.isScript ? facts.leastScriptMm.usual : facts.leastLetterMm.usual;
  if (shape.letters > 0 && shape.letterHeightMm < least - 1e-6)
    findings.push({
      code: 'film.lettersSmall',
      severity: 'warn',
      where,
      figures: { artwork: artwork.name, film: layer.coating.name, heightMm: shape.letterHeightMm, leastMm: least },
    });
  return findings;
}

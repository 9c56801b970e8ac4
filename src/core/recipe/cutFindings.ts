import { largestPiece } from '../technique/cover';
import { isFilm } from '../technique/sheetWork';
import { goesOn, longestPackMm, type Sold, type Wanted } from './goesOn';
import type { PlannedBuild } from './plannedBuilds';
import type { RecipeFinding } from './recipeSentences';
import type { PlannedLayer, ZoneStacks } from './stack';
import { workpieceId } from './workpiece';

/** What is said of parts that do not go on their stock: the first by name and size, and how many more there are. */
function findingsOf(wanted: readonly Wanted[], sold: Sold, where: RecipeFinding['where']): RecipeFinding[] {
  const others = (list: readonly Wanted[]) => new Set(list.map(({ name }) => name)).size - 1;
  const large = wanted.filter((one) => !goesOn(one, sold, Number.POSITIVE_INFINITY));
  const [largest] = large;
  if (largest) {
    const room = largestPiece(sold.stock);
    return [
      {
        code: 'cut.tooLarge',
        severity: 'refuse',
        where,
        figures: {
          part: largest.name,
          more: others(large),
          widthMm: largest.widthMm,
          lengthMm: largest.lengthMm,
          stock: sold.name,
          roomWidthMm: room.widthMm,
          roomLengthMm: Number.isFinite(room.lengthMm) ? room.lengthMm : 0,
        },
      },
    ];
  }
  // How long it is usually sold is no law: somebody may have a longer one.
  const long = wanted.filter((one) => !goesOn(one, sold, longestPackMm(sold)));
  const [longest] = long;
  return longest
    ? [
        {
          code: 'cut.longerThanSold',
          severity: 'warn',
          where,
          figures: {
            part: longest.name,
            more: others(long),
            lengthMm: longest.lengthMm,
            stock: sold.name,
            soldMm: longestPackMm(sold),
          },
        },
      ]
    : [];
}

/** Parts that do not go on what they are cut from: nothing lays them out, so the recipe is refused. */
export function cutFindings(
  layers: readonly PlannedLayer[],
  stacked: ZoneStacks,
  making: readonly PlannedBuild[],
): RecipeFinding[] {
  const entries = [...stacked.stacks.values()].flat();
  const ofLayers = layers.flatMap((layer) => {
    const sheets = entries.flatMap((entry) => (entry.layerId === layer.id && entry.sheet ? [entry.sheet] : []));
    const [first] = sheets;
    const kind = isFilm(layer.coating) ? layer.coating : layer.sheet?.kind;
    if (!first || !kind) return [];
    const pieces = sheets.flatMap(({ demand }) => demand.pieces);
    return findingsOf(
      pieces,
      { name: kind.name, stock: first.stock, packs: kind.packs },
      { kind: 'layer', id: layer.id },
    );
  });
  const ofBuilds = making.flatMap(({ piece, plan, materials }) =>
    [...materials].flatMap(([id, { kind, stock }]) => {
      if (!stock) return [];
      const parts = plan.parts.filter((part) => part.material === id && part.count > 0);
      return findingsOf(
        parts,
        { name: kind.name, stock, packs: kind.packs },
        { kind: 'recipe', id: workpieceId(piece) },
      );
    }),
  );
  return [...ofLayers, ...ofBuilds];
}

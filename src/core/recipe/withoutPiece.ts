import type { RecipeBody } from './recipeBody';

/** A recipe without one of its pieces: what was said of that piece's zones goes with it. */
export function withoutPiece(body: RecipeBody, pieceId: string): RecipeBody {
  const stays = (key: string) => !key.startsWith(`${pieceId}/`);
  const onOthers = <L extends { zoneKeys: RecipeBody['layers'][number]['zoneKeys'] }>(list: L): L =>
    list.zoneKeys === 'all' ? list : { ...list, zoneKeys: list.zoneKeys.filter(stays) };
  return {
    ...body,
    pieces: body.pieces.filter((piece) => piece.id !== pieceId),
    layers: body.layers.map(onOthers),
    preparations: body.preparations.map(onOthers),
  };
}

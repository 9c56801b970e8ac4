import { coverFace, seams } from '../cover';
import { needsFaces, overlapParameter, papered, sheetLength } from '../papered';

/** Tiles of one size over a face, those at its edges cut to what is left. */
export const paperTiles = papered({
  id: 'paperTiles',
  words: ['paper tiles', 'patchwork'],
  name: 'Papered in tiles',
  remark: 'begin in the middle or at a corner that is seen; what is left over goes to the edges',
  parameters: [
    sheetLength('tileWidthMm', 'Tile, wide', 100, 10, 1000),
    sheetLength('tileLengthMm', 'Tile, high', 100, 10, 1000),
    overlapParameter,
  ],
  difficulty: 2,
  skillAsked: 'keeping a straight line',
  sheet: {
    cannot: needsFaces,
    cut: (question, { tileWidthMm = 100, tileLengthMm = 100, overlapMm = 6 }) => {
      const overlap = Math.min(overlapMm, tileWidthMm / 2, tileLengthMm / 2);
      const pieces = question.faces.flatMap((face) => {
        if (face.outline !== null)
          return coverFace(face, question, { bleedMm: overlap, wrapMm: 0, overlapMm: overlap });
        const edge = face.edgeMm;
        const columns = seams(face.widthMm + 2 * edge, tileWidthMm, overlap);
        const rows = seams(face.lengthMm + 2 * edge, tileLengthMm, overlap);
        return rows.flatMap((row, r) =>
          columns.map((column, c) => ({
            name: `${face.name}, tile ${r + 1}.${c + 1}`,
            faceId: face.id,
            widthMm: column.length,
            lengthMm: row.length,
            outline: null,
            // A tile shows one motif: it stays as the print stands.
            turn: question.stock.isDirectional ? ('fixed' as const) : ('free' as const),
            count: question.times * face.count,
            onFace: { xMm: column.at - edge, yMm: row.at - edge },
          })),
        );
      });
      return { pieces, units: 0, laidPieces: pieces.reduce((sum, { count }) => sum + count, 0) };
    },
  },
});

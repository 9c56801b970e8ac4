import { coverFace, faceWithEdges, largestPiece, seams, turnFor } from '../cover';
import { needsFaces, overlapParameter, papered, sheetLength, wrapParameter } from '../papered';

/** Strips side by side across a face. */
export const paperStrips = papered({
  id: 'paperStrips',
  words: ['paper strips'],
  name: 'Papered in strips',
  remark: 'mark the first strip with a level or a square; each next one over the last by the overlap',
  parameters: [sheetLength('stripMm', 'Strip, wide', 50, 5, 1000), overlapParameter, wrapParameter],
  sheet: {
    cannot: needsFaces,
    cut: (question, { stripMm = 50, overlapMm = 6, wrapMm = 15 }) => {
      const room = largestPiece(question.stock);
      const pieces = question.faces.flatMap((face) => {
        if (face.outline !== null) return coverFace(face, question, { bleedMm: overlapMm, wrapMm, overlapMm });
        const { marginMm, widthMm, lengthMm } = faceWithEdges(face, { bleedMm: overlapMm, wrapMm, overlapMm });
        const most = Math.max(room.widthMm, Number.isFinite(room.lengthMm) ? room.lengthMm : lengthMm);
        return seams(widthMm, stripMm, Math.min(overlapMm, stripMm / 2)).flatMap((strip, n) =>
          seams(lengthMm, most, overlapMm).map((part, m) => ({
            name: `${face.name}, strip ${n + 1}${m > 0 ? `, part ${m + 1}` : ''}`,
            faceId: face.id,
            widthMm: strip.length,
            lengthMm: part.length,
            outline: null,
            turn: turnFor(question),
            count: question.times * face.count,
            onFace: { xMm: strip.at - marginMm, yMm: part.at - marginMm },
          })),
        );
      });
      return { pieces, units: 0, laidPieces: pieces.reduce((sum, { count }) => sum + count, 0) };
    },
  },
});

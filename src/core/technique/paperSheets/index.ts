import { coverFace, withOpenings } from '../cover';
import { needsFaces, openingParameters, overlapParameter, papered, wrapParameter } from '../papered';

/** Whole sheets over a face, wrapped around its edges; larger faces in parts that meet. */
export const paperSheets = papered({
  id: 'paperSheets',
  words: ['decoupage', 'decoupaged', 'papered', 'paper'],
  name: 'Papered with whole sheets',
  remark:
    'thin coat of medium, lay from one edge, smooth out from the middle; wet a brush to tear openings, or cut them once it is dry; file the edge at 45°',
  parameters: [overlapParameter, wrapParameter, ...openingParameters],
  sheet: {
    cannot: needsFaces,
    cut: (question, { overlapMm = 6, wrapMm = 15, holes = 0, holeMm = 8 }) => {
      const covering = question.faces.flatMap((face) =>
        coverFace(face, question, { bleedMm: overlapMm, wrapMm, overlapMm }),
      );
      const pieces = withOpenings(covering, question.faces, { holes, holeMm });
      return { pieces, units: 0, laidPieces: pieces.reduce((sum, { count }) => sum + count, 0) };
    },
  },
});

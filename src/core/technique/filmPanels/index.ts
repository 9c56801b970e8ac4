import { coverFace, withOpenings } from '../cover';
import { filmed } from '../filmed';
import { needsFaces, openingParameters, sheetLength } from '../papered';

/** Film over fronts, shelves and backs, turned in around their edges. */
export const filmPanels = filmed({
  id: 'filmPanels',
  words: ['wrap', 'wrapped', 'contact paper', 'film', 'vinyl wrap'],
  name: 'Wrapped with film',
  remark:
    'peel a hand’s breadth, set, smooth on while pulling the backing; warm the corners and turn them in; prick what bubbles stay after two weeks',
  parameters: [
    sheetLength('wrapMm', 'Turned in behind an edge', 20, 0, 100),
    sheetLength('overlapMm', 'Overlap where two meet', 5, 0, 30),
    sheetLength('bleedMm', 'Beyond a bare edge, cut off after', 3, 0, 20),
    ...openingParameters,
  ],
  rate: { each: 'filmFace' },
  sheet: {
    cannot: needsFaces,
    cut: (question, { wrapMm = 20, overlapMm = 5, bleedMm = 3, holes = 0, holeMm = 8 }) => {
      const covering = question.faces.flatMap((face) => coverFace(face, question, { bleedMm, wrapMm, overlapMm }));
      const pieces = withOpenings(covering, question.faces, { holes, holeMm });
      return {
        pieces,
        units: 0,
        // A panel larger than a drawer front counts as many fronts as it is larger (12 min for a square meter, 7 for a front).
        laidPieces: pieces.reduce(
          (sum, { widthMm, lengthMm, count }) => sum + count * Math.max(1, (widthMm * lengthMm) / FRONT_MM2),
          0,
        ),
      };
    },
  },
});

/** The panel that takes as long by its area as a drawer front takes at all, mm²: 7 ÷ 12 of a square meter. */
const FRONT_MM2 = (7 / 12) * 1e6;

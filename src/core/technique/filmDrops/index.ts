import { dropsOf } from '../cover';
import { filmed } from '../filmed';
import { needsFaces, sheetLength } from '../papered';

/** Film by the drop, as wallpaper hangs: strips from top to bottom whose pattern meets. */
export const filmDrops = filmed({
  id: 'filmDrops',
  words: ['peel and stick', 'wall film', 'window film', 'removable wallpaper'],
  name: 'Film by the drop',
  remark: 'plumb line for the first strip; match the pattern at eye height; trim top and bottom with a fresh blade',
  parameters: [
    sheetLength('trimMm', 'Trim above and below together', 100, 0, 300),
    sheetLength('overlapMm', 'Overlap where two meet', 3, 0, 30),
  ],
  rate: { perM2: 'filmDrops' },
  sheet: {
    cannot: needsFaces,
    cut: (question, { trimMm = 100, overlapMm = 3 }) => {
      const pieces = question.faces.flatMap((face) => dropsOf(face, question, trimMm, overlapMm));
      return { pieces, units: 0, laidPieces: pieces.reduce((sum, { count }) => sum + count, 0) };
    },
  },
});

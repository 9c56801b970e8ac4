import type { Face } from '../../surface/unroll';
import { papered } from '../papered';

/** Pieces torn by hand, over each other: what follows eggs, turned legs and all that no sheet follows. */
export const paperTorn = papered({
  id: 'paperTorn',
  words: ['torn paper', 'torn pieces', 'collage'],
  name: 'Papered with torn pieces',
  remark:
    'tear, so that no edge shows; pieces no wider than a third of the radius on a ball or an egg; work from the middle out',
  parameters: [
    // All over at random 10 to 15 %, on double curves 20 to 40 % more (common practice, from memory).
    { id: 'wastePercent', label: 'Overlap and waste, %', kind: 'number', standard: 12, minimum: 0, maximum: 200 },
    { id: 'curvePercent', label: 'More on double curves, %', kind: 'number', standard: 25, minimum: 0, maximum: 200 },
  ],
  rate: { each: 'tornPiece' },
  sheet: {
    cut: ({ faces, areaM2, stock }, { wastePercent = 12, curvePercent = 25 }) => {
      const isDouble = faces.length === 0 || faces.some(({ curve }) => curve === 'double');
      const area = areaM2 * (1 + (isDouble ? curvePercent : wastePercent) / 100);
      const sheetM2 = (stock.widthMm * (stock.lengthMm ?? 1000)) / 1e6;
      return {
        pieces: [],
        units: sheetM2 > 0 ? area / sheetM2 : 0,
        laidPieces: (area * 1e6) / tornPieceMm2(faces),
      };
    },
  },
});

/** A torn piece on what is flat, mm across (common practice, no source). */
const FLAT_PIECE_MM = 50;
/** A torn piece on turned legs and the like, whose radius nobody knows, mm wide (from memory, no source). */
const SLIM_PIECE_MM = 20;

/** Area of a torn piece, mm²: square on what is flat; on a ball a third of its radius wide and as long as it. */
function tornPieceMm2(faces: readonly Face[]): number {
  const radii = faces
    .filter(({ curve }) => curve === 'double')
    .map((face) => (face.widthMm * face.count) / (2 * Math.PI));
  const wide = faces.length === 0 ? SLIM_PIECE_MM : Math.min(FLAT_PIECE_MM, ...radii.map((radius) => radius / 3));
  return wide * Math.min(FLAT_PIECE_MM, 3 * wide);
}

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
  sheet: {
    cut: ({ faces, areaM2, stock }, { wastePercent = 12, curvePercent = 25 }) => {
      const isDouble = faces.length === 0 || faces.some(({ curve }) => curve === 'double');
      const area = areaM2 * (1 + (isDouble ? curvePercent : wastePercent) / 100);
      const sheetM2 = (stock.widthMm * (stock.lengthMm ?? 1000)) / 1e6;
      return { pieces: [], units: sheetM2 > 0 ? area / sheetM2 : 0, laidPieces: 0 };
    },
  },
});

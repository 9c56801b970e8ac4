import { papered, sheetCount } from '../papered';
import { shareOf } from '../parts';

/** Motifs cut out and placed: so many, as the sheets give them. */
export const paperMotifs = papered({
  id: 'paperMotifs',
  words: ['motif', 'motifs', 'cut-outs'],
  name: 'Motifs cut out and placed',
  remark: 'lay them out dry first and take a picture; cut close along the shape, press the edges down twice',
  parameters: [
    sheetCount('motifs', 'Motifs, on each zone it covers', 4, 1, 500),
    { id: 'sharePercent', label: 'Covers, % of the zone', kind: 'number', standard: 30, minimum: 1, maximum: 100 },
  ],
  partial: true,
  reach: shareOf,
  rate: { perM2: 'paperFussy' },
  difficulty: 2,
  skillAsked: 'a small pair of scissors, and patience',
  sheet: {
    // What a sheet gives is counted, not laid out; until somebody counted, one motif a sheet.
    cut: ({ stock }, { motifs = 4 }) => ({
      pieces: [],
      units: motifs / Math.max(1, stock.motifs ?? 1),
      laidPieces: motifs,
    }),
  },
});

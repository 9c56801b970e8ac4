import { turnFor } from '../cover';
import { papered, sheetCount, sheetLength } from '../papered';
import { shareOf } from '../parts';

/** Patches of a size that the stylist says, wherever they go. */
export const paperPatches = papered({
  id: 'paperPatches',
  words: ['patches', 'panel of paper', 'paper inlay'],
  name: 'Patches of paper',
  remark: 'mark where each goes; what lies free shows the ground',
  parameters: [
    sheetCount('patches', 'Patches, on each zone it covers', 2, 1, 200),
    sheetLength('patchWidthMm', 'Patch, wide', 150, 5, 3000),
    sheetLength('patchLengthMm', 'Patch, high', 100, 5, 3000),
    { id: 'sharePercent', label: 'Covers, % of the zone', kind: 'number', standard: 30, minimum: 1, maximum: 100 },
  ],
  partial: true,
  reach: shareOf,
  rate: { perM2: 'paperMotifs' },
  sheet: {
    cut: (question, { patches = 2, patchWidthMm = 150, patchLengthMm = 100 }) => ({
      pieces: [
        {
          name: 'Patch',
          faceId: question.faces[0]?.id ?? '',
          widthMm: patchWidthMm,
          lengthMm: patchLengthMm,
          outline: null,
          turn: turnFor(question),
          count: patches,
          onFace: null,
        },
      ],
      units: 0,
      laidPieces: patches,
    }),
  },
});

import type { CutShape } from '../../artwork/artwork';
import { perimeterMm } from '../../surface/polygons';
import { turnFor } from '../cover';
import { filmed } from '../filmed';
import { sheetCount, sheetLength } from '../papered';
import { shareOf } from '../parts';
import type { SheetDemand } from '../sheetWork';

/** Transfer tape reaches beyond a shape on every side (10 to 20 mm; common practice, from memory). */
const TAPE_EDGE_MM = 10;
/** From this height on a letter is weeded quickly (common practice, from memory). */
const LARGE_LETTER_MM = 25;
const M2 = 1e-6;
const DM2 = 1e-4;

/** What weeding and applying so many of a shape takes. */
function workOn(shape: CutShape | null, boxMm2: number, times: number): SheetDemand['work'] {
  const isLarge = shape !== null && !shape.isScript && shape.letterHeightMm >= LARGE_LETTER_MM;
  return [
    shape !== null && shape.letters > 0
      ? { rate: isLarge ? 'weedLetter' : 'weedSmallLetter', units: shape.letters * times }
      : { rate: 'weedDm2', units: boxMm2 * DM2 * times },
    { rate: 'applyDm2', units: boxMm2 * DM2 * times },
  ];
}

/** Shapes cut from film and transferred: labels, lettering, numbers, silhouettes. */
export const filmShapes = filmed({
  id: 'filmShapes',
  words: ['vinyl', 'decal', 'decals', 'lettering', 'stick-on letters', 'label'],
  name: 'Shapes cut from film',
  remark:
    'weed from the inside out; transfer tape over it, squeegee, peel the backing away from the film; burnish on, peel the tape flat',
  parameters: [
    sheetCount('shapes', 'Shapes, on each zone it covers', 1, 1, 500),
    sheetCount('onPieces', 'On how many of the pieces, 0 for all', 0, 0, 200),
    { ...sheetLength('shapeWidthMm', 'Shape, wide', 100, 5, 3000), only: 'noArtwork' },
    { ...sheetLength('shapeLengthMm', 'Shape, high', 60, 5, 3000), only: 'noArtwork' },
    {
      id: 'sizePercent',
      label: 'Size, % of the artwork',
      kind: 'number',
      standard: 100,
      minimum: 2,
      maximum: 2000,
      only: 'artwork',
    },
    { ...sheetCount('artworkColor', 'Its color, from 1 (0: all in this film)', 0, 0, 12), only: 'withArtwork' },
    sheetLength('borderMm', 'Weed border, 0 for none', 0, 0, 20),
    {
      id: 'byMachine',
      label: 'Cut',
      kind: 'choice',
      standard: 1,
      minimum: 0,
      maximum: 1,
      choices: [
        { value: 1, label: 'by a cutting machine' },
        { value: 0, label: 'by hand, with a knife' },
      ],
    },
    { id: 'sharePercent', label: 'Covers, % of the zone', kind: 'number', standard: 20, minimum: 1, maximum: 100 },
  ],
  partial: true,
  reach: shareOf,
  rate: { perM2: 'filmShapes' },
  difficulty: 2,
  skillAsked: 'a hook and a steady hand for weeding',
  toolIds: ['craftKnife', 'squeegee'],
  sheet: {
    cutsShapes: true,
    cut: (question, values) => {
      const { shapeWidthMm = 100, shapeLengthMm = 60, borderMm = 0 } = values;
      // A name on one jar of six: each jar has a sixth of it, all six have it once.
      const { onPieces = 0 } = values;
      const share = onPieces > 0 ? Math.min(1, onPieces / Math.max(1, question.pieces)) : 1;
      const shapes = (values.shapes ?? 1) * share;
      const shape = question.shape({
        color: values.artworkColor ?? 0,
        scale: (values.sizePercent ?? 100) / 100,
        borderMm,
      });
      const widthMm = shape?.widthMm ?? shapeWidthMm + 2 * borderMm;
      const lengthMm = shape?.heightMm ?? shapeLengthMm + 2 * borderMm;
      const border = borderMm > 0 ? 2 * (widthMm + lengthMm) : 0;
      return {
        pieces: [
          {
            name: question.artwork ?? 'Shape',
            faceId: question.faces[0]?.id ?? '',
            widthMm,
            lengthMm,
            // A frame around it makes a box of it: nothing else goes between the letters.
            outline: borderMm > 0 ? null : (shape?.outline ?? null),
            lines: shape?.lines ?? null,
            turn: turnFor(question),
            count: shapes,
            onFace: null,
          },
        ],
        units: 0,
        laidPieces: shapes,
        work: workOn(shape, widthMm * lengthMm, shapes),
        cutMm: shapes * (shape ? perimeterMm(shape.lines) : 2 * (shapeWidthMm + shapeLengthMm) + border),
        byMachine: (values.byMachine ?? 1) === 1,
        transferM2: shapes * (widthMm + 2 * TAPE_EDGE_MM) * (lengthMm + 2 * TAPE_EDGE_MM) * M2,
      };
    },
  },
});

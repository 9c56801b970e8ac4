import type { CutShape } from '../../artwork/artwork';
import { rectangleOutline } from '../../surface/outline';
import { perimeterMm } from '../../surface/polygons';
import { turnFor } from '../cover';
import { filmed } from '../filmed';
import { sheetCount, sheetLength } from '../papered';
import { shareOf } from '../parts';
import type { ChosenShape, SheetDemand, SheetQuestion } from '../sheetWork';
import type { TechniqueValues } from '../technique';

/** The choice to cut by machine where there is one, else by hand. */
const BY_WHAT_THERE_IS = 2;

/** Transfer tape reaches beyond a shape on every side (10 to 20 mm; common practice, from memory). */
const TAPE_EDGE_MM = 10;
/** From this height on a letter is weeded quickly (common practice, from memory). */
const LARGE_LETTER_MM = 25;
const M2 = 1e-6;
const DM2 = 1e-4;

/** What weeding and applying so many of a shape takes. */
function workOn(shape: CutShape, times: number): NonNullable<SheetDemand['work']> {
  const isLarge = !shape.isScript && shape.letterHeightMm >= LARGE_LETTER_MM;
  const boxDm2 = shape.widthMm * shape.heightMm * DM2;
  return [
    shape.letters > 0
      ? { rate: isLarge ? 'weedLetter' : 'weedSmallLetter', units: shape.letters * times }
      : { rate: 'weedDm2', units: boxDm2 * times },
    { rate: 'applyDm2', units: boxDm2 * times },
  ];
}

/** Shapes cut from film and transferred: labels, lettering, numbers, silhouettes. */
export const filmShapes = filmed({
  id: 'filmShapes',
  words: [
    'vinyl',
    'decal',
    'decals',
    'lettering',
    'letters',
    'stick-on letters',
    'label',
    'labels',
    'numbers',
    'monogram',
    'sticker',
    'stickers',
  ],
  name: 'Shapes cut from film',
  remark:
    'weed from the inside out; transfer tape over it, squeegee, peel the backing away from the film; burnish on, peel the tape flat',
  parameters: [
    sheetCount('shapes', 'Shapes, on each zone it covers', 1, 1, 500),
    sheetCount('onPieces', 'Each on how many of the pieces, 0: shared evenly', 0, 0, 200),
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
      standard: BY_WHAT_THERE_IS,
      minimum: 0,
      maximum: BY_WHAT_THERE_IS,
      choices: [
        { value: BY_WHAT_THERE_IS, label: 'by machine where there is one' },
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
      const { borderMm = 0 } = values;
      const times = (values.shapes ?? 1) * shareOfPieces(question, values.onPieces ?? 0);
      const chosen = question.shapes.length > 0 ? question.shapes : [plainBox(values)];
      const all = chosen.map((own): SheetDemand => {
        const shape = own.cut({
          color: values.artworkColor ?? 0,
          scale: (values.sizePercent ?? 100) / 100,
          borderMm,
        });
        return shape ? shapeDemand(own.name, shape, question, borderMm, times) : nothing;
      });
      return { ...all.reduce(together, nothing), byMachine: isByMachine(question, values) };
    },
  },
});

/**
 * The share of like pieces that each shape goes on: all of them for one shape; of several each on as many as come to it
 * whole. Six labels on six jars: each jar has a sixth of each, all six have each once.
 */
function shareOfPieces({ pieces, shapes }: SheetQuestion, onPieces: number): number {
  const each = onPieces > 0 ? onPieces : shapes.length > 1 ? Math.max(1, Math.floor(pieces / shapes.length)) : pieces;
  return Math.min(1, each / Math.max(1, pieces));
}

const isByMachine = ({ hasMachine }: SheetQuestion, { byMachine = BY_WHAT_THERE_IS }: TechniqueValues): boolean =>
  byMachine === BY_WHAT_THERE_IS ? hasMachine : byMachine === 1;

/** A plain box where no artwork was chosen; its size is as it was set. */
const plainBox = ({ shapeWidthMm = 100, shapeLengthMm = 60 }: TechniqueValues): ChosenShape => ({
  name: 'Shape',
  cut: ({ borderMm }) => {
    const [widthMm, heightMm] = [shapeWidthMm + 2 * borderMm, shapeLengthMm + 2 * borderMm];
    const box = rectangleOutline(borderMm, borderMm, shapeWidthMm, shapeLengthMm);
    return {
      widthMm,
      heightMm,
      outline: rectangleOutline(0, 0, widthMm, heightMm),
      lines: borderMm > 0 ? [...rectangleOutline(0, 0, widthMm, heightMm), ...box] : box,
      letters: 0,
      letterHeightMm: 0,
      isScript: false,
    };
  },
});

const nothing: SheetDemand = { pieces: [], units: 0, laidPieces: 0, work: [], cutMm: 0, transferM2: 0 };

/** What one shape takes, so often. */
function shapeDemand(
  name: string,
  shape: CutShape,
  question: SheetQuestion,
  borderMm: number,
  times: number,
): SheetDemand {
  const { widthMm, heightMm } = shape;
  const isBox = borderMm > 0 || question.shapes.length === 0;
  return {
    pieces: [
      {
        name,
        faceId: question.faces[0]?.id ?? '',
        widthMm,
        lengthMm: heightMm,
        // A frame around it makes a box of it: nothing else goes between the letters.
        outline: isBox ? null : shape.outline,
        lines: isBox && borderMm === 0 ? null : shape.lines,
        turn: turnFor(question),
        count: times,
        onFace: null,
      },
    ],
    units: 0,
    laidPieces: times,
    work: workOn(shape, times),
    cutMm: times * perimeterMm(shape.lines),
    transferM2: times * (widthMm + 2 * TAPE_EDGE_MM) * (heightMm + 2 * TAPE_EDGE_MM) * M2,
  };
}

/** What two shapes take together. */
const together = (a: SheetDemand, b: SheetDemand): SheetDemand => ({
  pieces: [...a.pieces, ...b.pieces],
  units: a.units + b.units,
  laidPieces: a.laidPieces + b.laidPieces,
  work: [...(a.work ?? []), ...(b.work ?? [])],
  cutMm: (a.cutMm ?? 0) + (b.cutMm ?? 0),
  transferM2: (a.transferM2 ?? 0) + (b.transferM2 ?? 0),
});

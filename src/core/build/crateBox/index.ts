import type { Build } from '../build';
import { faceOf, length, part, sawing, thicknessOf, work } from '../parts';

/** The gap between two slats, mm (a modelling choice). */
const SLAT_GAP_MM = 12;

/** A box or crate: two ends, slats along the sides and the bottom. */
export const crateBox: Build = {
  id: 'crateBox',
  name: 'Box or crate of slats',
  words: ['crate', 'box', 'planter box'],
  family: 'boards',
  remark: 'two solid ends, slats nailed on along sides and bottom',
  difficulty: 1,
  skillAsked: 'square cuts',
  templateId: 'crate',
  parameters: [
    length('widthMm', 'Width, outside', 450, 150, 1500),
    length('depthMm', 'Depth, outside', 300, 100, 900),
    length('heightMm', 'Height', 250, 60, 900),
  ],
  materials: [
    { id: 'end', label: 'Ends', kindIds: ['board1x10', 'board1x12', 'board1x8', 'board1x6'] },
    { id: 'slat', label: 'Slats', kindIds: ['board1x3', 'board1x2', 'board1x4'] },
  ],
  measures: ({ widthMm = 0, depthMm = 0, heightMm = 0 }) => ({ widthMm, depthMm, heightMm }),
  plan: ({ values: { widthMm = 0, depthMm = 0, heightMm = 0 }, material }) => {
    const end = material('end');
    const slat = material('slat');
    const face = faceOf(slat);
    const thick = thicknessOf(slat);
    const slatsOver = (across: number) => Math.max(1, Math.floor((across + SLAT_GAP_MM) / (face + SLAT_GAP_MM)));
    // An end is as wide as the box between its sides; made of boards side by side where one is too narrow.
    const inner = depthMm - 2 * thick;
    const boardsAnEnd = Math.max(1, Math.ceil(heightMm / faceOf(end) - 1e-9));
    const side = slatsOver(heightMm);
    const bottom = slatsOver(inner);
    const parts = [
      part('end', 'End', faceOf(end), inner, 2 * boardsAnEnd),
      part('slat', 'Side slat', face, widthMm, 2 * side),
      part('slat', 'Bottom slat', face, widthMm, bottom),
    ];
    const nails = 4 * (2 * side + bottom);
    return {
      parts,
      needs: [
        { material: null, kindId: 'nails', amount: nails },
        { material: null, kindId: 'woodGlue', amount: 25 },
      ],
      works: [
        sawing(parts),
        work({
          id: 'nail',
          kind: 'assemble',
          title: 'Glue and nail the slats onto the ends',
          hint: 'a scrap as a spacer keeps the gaps alike',
          rate: 'nail',
          units: nails,
          tools: ['hammer', 'square'],
        }),
      ],
      remarks: boardsAnEnd > 1 ? [{ code: 'build.seams', pieces: boardsAnEnd, wider: '' }] : [],
    };
  },
};

import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { faceOf, GLUE_HOURS, length, part, SPAN_MM, sawing, thicknessOf, work } from '../parts';

/** A riser: a board on two feet, to lift what stands behind. */
export const riser: Build = {
  id: 'riser',
  name: 'Riser on two feet',
  words: ['riser', 'display riser', 'monitor stand'],
  family: 'boards',
  remark: 'lifts what stands behind; two feet, a little in from the ends',
  difficulty: 1,
  skillAsked: 'a first piece',
  templateId: 'freeBox',
  parameters: [length('lengthMm', 'Length', 400, 100, 1200), length('heightMm', 'Height', 120, 40, 500)],
  materials: [{ id: 'board', label: 'Board', kindIds: ['board1x8', 'board1x6', 'board1x10', 'board1x12'] }],
  measures: ({ lengthMm = 0, heightMm = 0 }) => ({ widthMm: lengthMm, depthMm: 7.25 * MM_PER_INCH, heightMm }),
  plan: ({ values: { lengthMm = 0, heightMm = 0 }, material }) => {
    const board = material('board');
    const face = faceOf(board);
    const parts = [part('board', 'Top', face, lengthMm), part('board', 'Foot', face, heightMm - thicknessOf(board), 2)];
    return {
      parts,
      needs: [
        { material: null, kindId: 'woodGlue', amount: 12 },
        { material: null, kindId: 'screws', amount: 6 },
        { material: null, kindId: 'feltPads', amount: 4 },
      ],
      works: [
        sawing(parts),
        work({
          id: 'glue',
          kind: 'glue',
          title: 'Glue and screw the feet under the top',
          rate: 'glueJoint',
          units: 2,
          waitHours: GLUE_HOURS,
          tools: ['clamps', 'drill'],
        }),
      ],
      remarks: lengthMm > SPAN_MM ? [{ code: 'build.sags', spanMm: lengthMm, mostMm: SPAN_MM }] : [],
    };
  },
};

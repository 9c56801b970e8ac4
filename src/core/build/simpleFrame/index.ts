import type { Build } from '../build';
import { choice, faceOf, GLUE_HOURS, length, part, sawing, work } from '../parts';

/** A frame from four boards, mitered or butted. */
export const simpleFrame: Build = {
  id: 'simpleFrame',
  name: 'Simple frame',
  words: ['frame', 'sign frame'],
  family: 'boards',
  remark: 'four boards around an opening; mitered, or two between two',
  difficulty: 2,
  skillAsked: 'exact cuts of 45 degrees, where it is mitered',
  templateId: 'pictureFrame',
  parameters: [
    length('openWidthMm', 'Opening, wide', 300, 50, 1500),
    length('openHeightMm', 'Opening, high', 400, 50, 1500),
    choice('corner', 'Corners', 1, [
      { value: 0, label: 'mitered' },
      { value: 1, label: 'two boards between two' },
    ]),
  ],
  materials: [{ id: 'board', label: 'Boards', kindIds: ['board1x2', 'board1x3', 'board1x4'] }],
  measures: ({ openWidthMm = 0, openHeightMm = 0 }) => ({ openWidthMm, openHeightMm, mouldingMm: 38.1, depthMm: 19 }),
  plan: ({ values: { openWidthMm = 0, openHeightMm = 0, corner = 1 }, material }) => {
    const face = faceOf(material('board'));
    const isMitered = corner < 0.5;
    const parts = [
      part(
        'board',
        isMitered ? 'Rail, long side' : 'Rail, between the stiles',
        face,
        openWidthMm + (isMitered ? 2 * face : 0),
        2,
      ),
      part('board', isMitered ? 'Stile, long side' : 'Stile', face, openHeightMm + 2 * face, 2),
    ];
    return {
      parts,
      needs: [
        { material: null, kindId: 'woodGlue', amount: 15 },
        { material: null, kindId: 'screws', amount: isMitered ? 0 : 8 },
      ].filter(({ amount }) => amount > 0),
      works: [
        sawing(parts, isMitered ? 'measured along the long side; 45 degrees at both ends' : ''),
        work({
          id: 'glue',
          kind: 'glue',
          title: isMitered ? 'Glue the miters in a band clamp' : 'Glue and screw the corners from behind',
          hint: 'equal diagonals are square corners',
          rate: 'glueJoint',
          units: 4,
          waitHours: GLUE_HOURS,
          tools: ['clamps', 'square'],
        }),
      ],
      remarks: [],
    };
  },
};

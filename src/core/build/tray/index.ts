import type { Build } from '../build';
import { faceOf, GLUE_HOURS, length, part, sawing, thicknessOf, work } from '../parts';

/** A tray: a floor in a rim of four boards, with two handles. */
export const trayFromBoards: Build = {
  id: 'tray',
  name: 'Tray with handles',
  words: ['tray', 'serving tray'],
  family: 'boards',
  remark: 'the floor lies inside a rim; two handles on the short sides',
  difficulty: 1,
  skillAsked: 'square cuts',
  templateId: 'tray',
  parameters: [length('widthMm', 'Width, outside', 450, 120, 1200), length('depthMm', 'Depth, outside', 300, 100, 900)],
  materials: [
    { id: 'floor', label: 'Floor', kindIds: ['plywood6', 'plywood6Whole'] },
    { id: 'rim', label: 'Rim', kindIds: ['board1x2', 'board1x3', 'board1x4'] },
  ],
  measures: ({ widthMm = 0, depthMm = 0 }) => ({ widthMm, depthMm, heightMm: 38 }),
  plan: ({ values: { widthMm = 0, depthMm = 0 }, material }) => {
    const rim = material('rim');
    const thick = thicknessOf(rim);
    const face = faceOf(rim);
    const parts = [
      part('floor', 'Floor', depthMm - 2 * thick, widthMm - 2 * thick),
      part('rim', 'Long side', face, widthMm, 2),
      // Between the long sides: shorter by their thickness.
      part('rim', 'Short side', face, depthMm - 2 * thick, 2),
    ];
    return {
      parts,
      needs: [
        { material: null, kindId: 'handle', amount: 2 },
        { material: null, kindId: 'screws', amount: 16 },
        { material: null, kindId: 'woodGlue', amount: (20 * 2 * (widthMm + depthMm)) / 1000 },
        { material: null, kindId: 'feltPads', amount: 4 },
      ],
      works: [
        sawing(parts),
        work({
          id: 'glue',
          kind: 'glue',
          title: 'Glue the rim around the floor; clamp square',
          hint: 'equal diagonals are square corners',
          rate: 'glueJoint',
          units: 6,
          waitHours: GLUE_HOURS,
          tools: ['clamps', 'square'],
        }),
        work({
          id: 'handles',
          kind: 'assemble',
          title: 'Handles on, felt pads under',
          rate: 'screw',
          units: 8,
          tools: ['drill', 'screwdriver'],
          afterCoats: true,
        }),
      ],
      remarks: [],
    };
  },
};

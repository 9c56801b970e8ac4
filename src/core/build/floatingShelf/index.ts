import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  EIGHTH_MM,
  GLUE_HOURS,
  hanging,
  length,
  part,
  SCREW_IN_STUD_KG,
  SIXTEENTH_MM,
  sawing,
  studsBehind,
  thicknessOf,
  work,
} from '../parts';

/** A hollow shelf that slides over a cleat on the wall: top, bottom, front and ends around arms of 2 × 2. */
export const floatingShelf: Build = {
  id: 'floatingShelf',
  name: 'Floating shelf on a cleat',
  words: ['floating shelf', 'shelf'],
  family: 'boards',
  remark: 'a hollow box slides over a cleat that is screwed into the studs; no bracket shows',
  difficulty: 2,
  skillAsked: 'square cuts, and finding studs',
  templateId: 'shelf',
  parameters: [
    length('lengthMm', 'Length', 36 * MM_PER_INCH, 200, 2400),
    length('depthMm', 'Depth', 8 * MM_PER_INCH, 90, 400),
  ],
  materials: [
    { id: 'skin', label: 'Skin: top, bottom, front, ends', kindIds: ['plywood6', 'plywood6Whole'] },
    { id: 'cleat', label: 'Cleat and arms', kindIds: ['board2x2'] },
  ],
  measures: ({ lengthMm = 0, depthMm = 0 }) => ({ widthMm: lengthMm, depthMm, heightMm: 2 * MM_PER_INCH, brackets: 0 }),
  plan: ({ values: { lengthMm = 0, depthMm = 0 }, material }) => {
    const skin = thicknessOf(material('skin'));
    const rail = thicknessOf(material('cleat'));
    // Inside, the box is a sixteenth of an inch higher than the cleat, so that it slides.
    const inside = rail + SIXTEENTH_MM;
    const arms = Math.ceil(lengthMm / (12 * MM_PER_INCH) - 1e-9) + 1;
    const parts = [
      part('skin', 'Top', depthMm, lengthMm),
      part('skin', 'Bottom', depthMm, lengthMm),
      part('skin', 'Front', inside, lengthMm),
      part('skin', 'End', inside, depthMm - skin, 2),
      part('cleat', 'Cleat', rail, lengthMm - 2 * skin - EIGHTH_MM),
      part('cleat', 'Arm', rail, depthMm - skin - rail - EIGHTH_MM, arms),
    ];
    const studs = studsBehind(lengthMm - 2 * skin);
    return {
      parts,
      needs: [
        { material: null, kindId: 'screws', amount: 2 * Math.max(2, studs) + 2 * arms },
        { material: null, kindId: 'woodGlue', amount: 20 + (40 * lengthMm) / 1000 },
      ],
      works: [
        sawing(parts),
        work({
          id: 'cleat',
          kind: 'assemble',
          title: 'Arms onto the cleat, glued and screwed from behind',
          hint: 'square to it, or the shelf tips',
          rate: 'screw',
          units: 2 * arms,
          tools: ['drill', 'screwdriver', 'square'],
        }),
        work({
          id: 'box',
          kind: 'glue',
          title: 'Box: bottom, ends and front, then the top; clamp',
          hint: 'try it over the cleat before the glue sets',
          rate: 'glueJoint',
          units: 5,
          waitHours: GLUE_HOURS,
          tools: ['clamps'],
        }),
        hanging(
          Math.max(2, studs),
          'cleat level, two screws in each stud; then slide the box on and pin it from above',
        ),
      ],
      remarks: [
        ...(studs < 2 ? [{ code: 'build.fewStuds' as const, lengthMm, studs }] : []),
        // A shelf pulls its cleat off like a lever: a quarter of what the screws hold in shear (a modelling choice).
        {
          code: 'build.load',
          kg: Math.round((Math.max(1, studs) * 2 * SCREW_IN_STUD_KG) / 4),
          fixings: Math.max(2, studs) * 2,
        },
      ],
    };
  },
};

import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  choice,
  faceOf,
  GLUE_HOURS,
  hanging,
  length,
  part,
  SCREW_IN_STUD_KG,
  sawing,
  studsBehind,
  thicknessOf,
  work,
} from '../parts';

/** A narrow ledge for plates or pictures: a base, a back that stands on it, and a lip. */
export const pictureLedge: Build = {
  id: 'pictureLedge',
  name: 'Plate or picture ledge',
  words: ['picture ledge', 'plate ledge', 'ledge', 'plate rail'],
  family: 'boards',
  remark: 'three boards of one length, glued and screwed to a rail with a lip',
  difficulty: 1,
  skillAsked: 'straight cuts',
  templateId: 'shelf',
  parameters: [
    length('lengthMm', 'Length', 36 * MM_PER_INCH, 200, 3600),
    choice('lip', 'Lip', 0, [
      { value: 0, label: 'on the front face' },
      { value: 1, label: 'on top of the base' },
    ]),
  ],
  materials: [
    { id: 'base', label: 'Base', kindIds: ['board1x4', 'board1x3', 'board1x6'] },
    { id: 'back', label: 'Back', kindIds: ['board1x4', 'board1x3', 'board1x6'] },
    { id: 'lip', label: 'Lip', kindIds: ['board1x2', 'board1x3'] },
  ],
  measures: ({ lengthMm = 0 }) => ({
    widthMm: lengthMm,
    depthMm: 3.5 * MM_PER_INCH,
    heightMm: 3.5 * MM_PER_INCH,
    brackets: 0,
  }),
  plan: ({ values: { lengthMm = 0, lip = 0 }, material }) => {
    const thick = thicknessOf(material('base'));
    const parts = (['base', 'back', 'lip'] as const).map((id) =>
      part(id, id === 'base' ? 'Base' : id === 'back' ? 'Back' : 'Lip', faceOf(material(id)), lengthMm),
    );
    // A screw every eight to ten inches along two joints.
    const screws = 2 * (Math.ceil(lengthMm / (9 * MM_PER_INCH)) + 1);
    const studs = studsBehind(lengthMm);
    return {
      parts,
      needs: [
        { material: null, kindId: 'screws', amount: screws + 2 * Math.max(2, studs) },
        { material: null, kindId: 'woodGlue', amount: (30 * lengthMm) / 1000 },
      ],
      works: [
        sawing(parts),
        work({
          id: 'assemble',
          kind: 'assemble',
          title: 'Glue and screw the back onto the base, then the lip',
          hint: 'screws of an inch and a quarter, drilled first so that nothing splits',
          rate: 'screw',
          units: screws,
          waitHours: GLUE_HOURS,
          tools: ['drill', 'screwdriver', 'clamps'],
        }),
        hanging(Math.max(2, studs), 'through the back into the studs, level'),
      ],
      remarks: [
        ...(studs < 2 ? [{ code: 'build.fewStuds' as const, lengthMm, studs }] : []),
        {
          code: 'build.usableDepth',
          depthMm: usableDepthMm(faceOf(material('base')), thick, lip > 0.5),
          lipMm: lip > 0.5 ? faceOf(material('lip')) : lipRiseMm(faceOf(material('lip')), thick),
        },
        { code: 'build.load', kg: Math.max(1, studs) * SCREW_IN_STUD_KG, fixings: Math.max(2, studs) },
      ],
    };
  },
};

/**
 * How deep a ledge is of use: what the base gives, less the back that stands on it, and less a lip that stands on it too.
 * @example a base of 3 1/2 in: 2 3/4 in with the lip in front, 2 in with the lip on the base
 */
export function usableDepthMm(baseMm: number, thickMm: number, isLipOnBase: boolean): number {
  return baseMm - thickMm - (isLipOnBase ? thickMm : 0);
}

/** How far the lip rises above the base. */
export const lipRiseMm = (lipFaceMm: number, baseThickMm: number): number => lipFaceMm - baseThickMm;

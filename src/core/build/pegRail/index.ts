import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { count, faceOf, hanging, length, part, SCREW_IN_STUD_KG, sawing, studsBehind, work } from '../parts';

/** A rail with pegs in a row, at equal distances. */
export const pegRail: Build = {
  id: 'pegRail',
  name: 'Peg rail',
  words: ['peg rail', 'coat rail', 'hook rail'],
  family: 'boards',
  remark: 'pegs at equal distances, half of one at each end',
  difficulty: 1,
  skillAsked: 'drilling straight',
  templateId: 'freeBox',
  parameters: [length('lengthMm', 'Length', 36 * MM_PER_INCH, 200, 3000), count('pegs', 'Pegs', 6, 1, 40)],
  materials: [{ id: 'board', label: 'Board', kindIds: ['board1x4', 'board1x3', 'board1x6'] }],
  measures: ({ lengthMm = 0 }) => ({ widthMm: lengthMm, depthMm: 19, heightMm: 89 }),
  plan: ({ values: { lengthMm = 0, pegs = 6 }, material }) => {
    const parts = [part('board', 'Rail', faceOf(material('board')), lengthMm)];
    const studs = studsBehind(lengthMm);
    return {
      parts,
      needs: [
        { material: null, kindId: 'peg', amount: pegs },
        { material: null, kindId: 'woodGlue', amount: 2 * pegs },
        { material: null, kindId: 'screws', amount: 2 * Math.max(2, studs) },
      ],
      works: [
        sawing(parts),
        work({
          id: 'pegs',
          kind: 'assemble',
          title: 'Mark, drill and glue the pegs',
          hint: 'the first and the last half a distance from the ends; a little upward',
          rate: 'screw',
          units: 2 * pegs,
          tools: ['drill', 'square'],
          waitHours: 1,
        }),
        hanging(Math.max(2, studs), 'through the rail into the studs, level'),
      ],
      remarks: [
        ...(studs < 2 ? [{ code: 'build.fewStuds' as const, lengthMm, studs }] : []),
        { code: 'build.load', kg: Math.max(1, studs) * SCREW_IN_STUD_KG, fixings: Math.max(2, studs) },
      ],
    };
  },
};

/** Where the pegs of a rail stand, mm from its end: at equal distances, half of one before the first. */
export function pegPlaces(lengthMm: number, pegs: number): number[] {
  return Array.from({ length: pegs }, (_, n) => ((n + 0.5) * lengthMm) / pegs);
}

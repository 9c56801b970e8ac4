import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { faceOf, hanging, length, part, SCREW_IN_STUD_KG, sawing, studsBehind, work } from '../parts';

/** A French cleat: one board ripped at 45 degrees, half of it on the wall, half on what hangs there. */
export const cleatRail: Build = {
  id: 'cleatRail',
  name: 'Cleat rail, ripped at 45°',
  words: ['french cleat', 'cleat'],
  family: 'boards',
  remark: 'one half on the wall, the other on the piece: it hangs level and lifts off',
  difficulty: 2,
  skillAsked: 'a rip cut at 45 degrees, or a shop that makes it',
  templateId: 'freeBox',
  parameters: [length('lengthMm', 'Length', 24 * MM_PER_INCH, 100, 2400)],
  materials: [{ id: 'board', label: 'Board', kindIds: ['board1x4', 'board1x6'] }],
  measures: ({ lengthMm = 0 }) => ({ widthMm: lengthMm, depthMm: 19, heightMm: 89 }),
  plan: ({ values: { lengthMm = 0 }, material }) => {
    const parts = [part('board', 'Board for both halves', faceOf(material('board')), lengthMm)];
    const studs = studsBehind(lengthMm);
    return {
      parts,
      needs: [{ material: null, kindId: 'screws', amount: 2 * Math.max(2, studs) + 4 }],
      works: [
        sawing(parts),
        work({
          id: 'rip',
          kind: 'saw',
          title: 'Rip it lengthwise at 45 degrees',
          hint: 'the slope of the wall half points up and to the wall',
          rate: 'ripMeter',
          units: lengthMm / 1000,
          tools: ['handSaw'],
          place: 'ventilated',
        }),
        hanging(Math.max(2, studs), 'the wall half level, into the studs'),
      ],
      remarks: [
        ...(studs < 2 ? [{ code: 'build.fewStuds' as const, lengthMm, studs }] : []),
        { code: 'build.load', kg: Math.max(1, studs) * 2 * SCREW_IN_STUD_KG, fixings: 2 * Math.max(2, studs) },
      ],
    };
  },
};

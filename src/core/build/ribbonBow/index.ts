import { MM_PER_INCH } from '../../kernel/units';
import type { Build, BuildValues } from '../build';
import { count, length, work } from '../parts';

/** What the knot takes (common practice, from memory). */
const KNOT_MM = 3 * MM_PER_INCH;

/** A bow of ribbon: loops, two tails, a knot. */
export const ribbonBow: Build = {
  id: 'ribbonBow',
  name: 'Ribbon bow',
  words: ['bow', 'bows', 'ribbon bow'],
  family: 'greenery',
  remark: 'each loop takes twice its length, then two tails and the knot',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'bow',
  parameters: [
    count('loops', 'Loops', 2, 1, 24),
    length('loopMm', 'Loop, long', 6 * MM_PER_INCH, 20, 600),
    length('tailMm', 'Tail, long', 8 * MM_PER_INCH, 0, 1500),
  ],
  materials: [{ id: 'ribbon', label: 'Ribbon', kindIds: ['ribbon'] }],
  measures: ({ loopMm = 0, tailMm = 0 }) => ({
    widthMm: Math.max(30, 2 * loopMm),
    heightMm: Math.max(30, loopMm / 2 + tailMm),
  }),
  plan: ({ values }) => ({
    parts: [],
    needs: [
      { material: 'ribbon', kindId: 'ribbon', amount: ribbonMm(values) / 1000 },
      { material: null, kindId: 'florWire', amount: 0.3 },
    ],
    works: [
      work({
        id: 'bow',
        kind: 'arrange',
        title: 'Fold the loops, wire the knot, cut the tails aslant',
        hint: 'print outward; twist the ribbon once at the knot for each loop',
        rate: 'bow',
        units: Math.max(1, (values.loops ?? 2) / 2),
        tools: ['scissors', 'wireCutter'],
      }),
    ],
    remarks: [],
  }),
};

/** Ribbon for one bow, mm. Two loops of 6 in with tails of 8: 2·12 + 16 + 3 = 43 in. */
export function ribbonMm({ loops = 2, loopMm = 0, tailMm = 0 }: BuildValues): number {
  return 2 * loops * loopMm + 2 * tailMm + KNOT_MM;
}

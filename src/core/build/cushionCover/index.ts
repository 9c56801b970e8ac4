import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { anyFabric, beforeWash, cuttingCloth, SEAM_MM, shrinkParameter, THREAD_PER_METER } from '../cloth';
import { choice, length, part, work } from '../parts';

/** How far the two backs of an envelope lie over each other (common practice, from memory). */
const OVERLAP_MM = 4 * MM_PER_INCH;

/** A cover that closes like an envelope: one front, two backs over each other. */
export const cushionCover: Build = {
  id: 'cushionCover',
  name: 'Cushion cover',
  words: ['cushion', 'cushion cover', 'pillow cover', 'throw pillow'],
  family: 'cloth',
  remark: 'closes like an envelope: no zip; a cover as large as its pad looks full',
  difficulty: 1,
  skillAsked: 'a straight stitch',
  templateId: 'cushion',
  parameters: [
    length('widthMm', 'Width, finished', 18 * MM_PER_INCH, 100, 1200),
    length('heightMm', 'Height, finished', 18 * MM_PER_INCH, 100, 1200),
    choice('pad', 'Pad', 1, [
      { value: 0, label: 'own pad' },
      { value: 1, label: 'a new pad' },
    ]),
    shrinkParameter,
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: anyFabric }],
  measures: ({ widthMm = 0, heightMm = 0 }) => ({ widthMm, heightMm, depthMm: 120 }),
  plan: ({ values: { widthMm = 0, heightMm = 0, pad = 1, shrinkPercent = 0 } }) => {
    const wide = widthMm + 2 * SEAM_MM;
    const washed = (mm: number) => beforeWash(mm, shrinkPercent);
    // Each back is half the cover and half the overlap, with a hem folded twice at its open edge.
    const back = heightMm / 2 + OVERLAP_MM / 2 + SEAM_MM + 2 * SEAM_MM;
    const grain = { turn: 'half' } as const;
    const parts = [
      part('cloth', 'Front', wide, washed(heightMm + 2 * SEAM_MM), 1, grain),
      part('cloth', 'Back', wide, washed(back), 2, grain),
    ];
    const seams = (2 * (widthMm + heightMm)) / 1000;
    const hems = (2 * widthMm) / 1000;
    return {
      parts,
      needs: [
        { material: null, kindId: 'thread', amount: THREAD_PER_METER * (seams + hems) },
        ...(pad === 1 ? [{ material: null, kindId: 'cushionPad', amount: 1 }] : []),
      ],
      works: [
        cuttingCloth(parts, shrinkPercent),
        work({
          id: 'hem',
          kind: 'sew',
          title: 'Hem one edge of each back',
          rate: 'hemMeter',
          units: hems,
          tools: ['sewingMachine', 'iron', 'pins'],
        }),
        work({
          id: 'sew',
          kind: 'sew',
          title: 'Backs over each other on the front, right sides in; sew around, clip the corners, turn',
          rate: 'seamMeter',
          units: seams,
          tools: ['sewingMachine', 'pins'],
        }),
      ],
      remarks: [],
    };
  },
};

import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  beforeWash,
  cuttingCloth,
  SEAM_MM,
  seamsRemark,
  shrinkParameter,
  THREAD_PER_METER,
  wideFabric,
  widthOf,
} from '../cloth';
import { choice, length, part, work } from '../parts';

/** Hems of a curtain: twice 4 in below, twice 1 in at the sides (common practice, from memory). */
const BOTTOM_MM = 4 * MM_PER_INCH;
const SIDE_MM = MM_PER_INCH;

/** Curtains in widths of cloth: fullness, repeats and hems counted. */
export const curtainPair: Build = {
  id: 'curtain',
  name: 'Curtains',
  words: ['curtain', 'curtains', 'cafe curtain', 'drapes'],
  family: 'cloth',
  remark: 'two and a half widths of the rod for sheers, two for others; a pattern is matched at every seam',
  difficulty: 2,
  skillAsked: 'long straight seams on a large table',
  templateId: 'curtain',
  parameters: [
    length('widthMm', 'Rod, long', 48 * MM_PER_INCH, 200, 6000),
    length('heightMm', 'Drop, finished', 84 * MM_PER_INCH, 150, 4500),
    { id: 'fullness', label: 'Fullness, times the rod', kind: 'number', standard: 2, minimum: 1, maximum: 4 },
    choice('panels', 'Panels', 2, [
      { value: 1, label: 'one' },
      { value: 2, label: 'a pair' },
    ]),
    shrinkParameter,
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: wideFabric }],
  measures: ({ widthMm = 0, heightMm = 0 }) => ({ widthMm, heightMm }),
  plan: ({ values: { widthMm = 0, heightMm = 0, fullness = 2, panels = 2, shrinkPercent = 0 }, material }) => {
    const cloth = material('cloth');
    const bolt = widthOf(cloth);
    const flat = (widthMm * fullness) / panels + 4 * SIDE_MM;
    const widths = widthsFor(flat, bolt);
    const cut = beforeWash(heightMm + 2 * BOTTOM_MM + 2 * MM_PER_INCH, shrinkPercent);
    const repeat = cloth.stock?.repeatMm ?? null;
    // Every width starts at the same place of the pattern: the drop rule of wallpaper.
    const drop = repeat === null ? cut : Math.ceil(cut / repeat - 1e-9) * repeat;
    const each = widths === 1 ? flat : bolt;
    const parts = [
      part('cloth', 'Width', Math.min(each, bolt), drop, widths * panels, { turn: repeat === null ? 'half' : 'fixed' }),
    ];
    const seams = ((widths - 1) * panels * drop) / 1000;
    const hems = (panels * (2 * heightMm + flat)) / 1000;
    const heading = (panels * flat) / 1000;
    return {
      parts,
      needs: [
        { material: null, kindId: 'headingTape', amount: heading },
        { material: null, kindId: 'thread', amount: THREAD_PER_METER * (seams + hems + 2 * heading) },
      ],
      works: [
        cuttingCloth(parts, shrinkPercent),
        ...(seams > 0
          ? [
              work({
                id: 'join',
                kind: 'sew',
                title: 'Join the widths; let the pattern meet',
                rate: 'seamMeter',
                units: seams,
                tools: ['sewingMachine', 'iron', 'pins'],
              }),
            ]
          : []),
        work({
          id: 'hem',
          kind: 'sew',
          title: 'Hem the sides and the bottom',
          hint: 'twice 1 in at the sides, twice 4 in below; hang it a day before the bottom is sewn',
          rate: 'hemMeter',
          units: hems,
          tools: ['sewingMachine', 'iron', 'pins'],
        }),
        work({
          id: 'heading',
          kind: 'sew',
          title: 'Sew the heading tape on',
          rate: 'seamMeter',
          units: 2 * heading,
          tools: ['sewingMachine'],
        }),
      ],
      remarks: widths > 1 ? [seamsRemark(widths, flat, wideFabric)] : [],
    };
  },
};

/** Widths of a bolt that a flat panel takes, a seam allowance lost at each join. */
export function widthsFor(flatMm: number, boltMm: number): number {
  return flatMm <= boltMm + 1e-6 ? 1 : Math.ceil((flatMm - 2 * SEAM_MM) / (boltMm - 2 * SEAM_MM) - 1e-9);
}

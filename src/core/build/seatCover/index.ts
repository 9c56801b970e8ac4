import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  beforeWash,
  cuttingCloth,
  perSeatWithSpares,
  seatParameters,
  shrinkParameter,
  wideFabric,
  widthOf,
} from '../cloth';
import { length, part, work } from '../parts';

/** What is turned under a seat and stapled (common practice, from memory). */
const UNDER_MM = 2 * MM_PER_INCH;
/** Staples stand an inch apart. */
const STAPLE_MM = MM_PER_INCH;

/** A new cover for a seat that lifts out: cloth drawn over and stapled below. */
export const seatCover: Build = {
  id: 'seatCover',
  name: 'Cover for a drop-in seat',
  words: ['seat cover', 'chair cover', 'chair seat', 'seat'],
  family: 'cloth',
  remark: 'cloth over the old padding, stapled under the seat; the seat lifts out by its screws',
  difficulty: 1,
  skillAsked: 'pulling evenly',
  templateId: 'cushion',
  parameters: [
    length('widthMm', 'Seat, wide', 18 * MM_PER_INCH, 100, 900),
    length('heightMm', 'Seat, deep', 17 * MM_PER_INCH, 100, 900),
    length('thickMm', 'Padding, thick', 2 * MM_PER_INCH, 0, 200),
    ...seatParameters,
    { ...shrinkParameter, label: 'Shrinks along its length, % (0 when it is never washed)', standard: 0 },
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: wideFabric }],
  measures: ({ widthMm = 0, heightMm = 0, thickMm = 0 }) => ({ widthMm, heightMm, depthMm: Math.max(5, thickMm) }),
  plan: ({ values, material }) => {
    const { widthMm = 0, heightMm = 0, thickMm = 0, shrinkPercent = 0 } = values;
    const each = perSeatWithSpares(values);
    const over = 2 * (thickMm + UNDER_MM);
    const wide = widthMm + over;
    const parts = [part('cloth', 'Seat', wide, beforeWash(heightMm + over, shrinkPercent), each, { turn: 'half' })];
    const staples = each * Math.ceil((2 * (widthMm + heightMm)) / STAPLE_MM);
    const bolt = widthOf(material('cloth'));
    return {
      parts,
      needs: [{ material: null, kindId: 'staples', amount: staples }],
      works: [
        cuttingCloth(parts, shrinkPercent, 'the middle of the pattern on the middle of the seat'),
        work({
          id: 'staple',
          kind: 'assemble',
          title: 'Seat out, staple the middles first, then outward; corners folded last',
          hint: 'old staples out; look below for dry rot and woodworm',
          rate: 'staple',
          units: staples,
          tools: ['stapleGun', 'screwdriver', 'scissors'],
        }),
      ],
      remarks: wide > bolt ? [{ code: 'build.tooNarrow', part: 'Seat', widthMm: wide, faceMm: bolt }] : [],
    };
  },
};

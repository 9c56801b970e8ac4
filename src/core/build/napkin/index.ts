import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  anyFabric,
  beforeWash,
  cuttingCloth,
  hemming,
  hemOf,
  hemParameters,
  perSeatWithSpares,
  seatParameters,
  THREAD_PER_METER,
} from '../cloth';
import { length, part } from '../parts';

/** Napkins: a set of them is one for each seat, with its spares. */
export const napkin: Build = {
  id: 'napkin',
  name: 'Cloth napkin',
  words: ['napkin', 'napkins', 'tea towel', 'placemat'],
  family: 'cloth',
  remark: 'a hemmed square; cocktail 10 in, luncheon 16, dinner 20, formal 24',
  difficulty: 1,
  skillAsked: 'a straight stitch',
  templateId: 'flatCloth',
  parameters: [
    length('widthMm', 'Width, finished', 18 * MM_PER_INCH, 100, 900),
    length('depthMm', 'Length, finished', 18 * MM_PER_INCH, 100, 900),
    ...seatParameters,
    ...hemParameters,
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: anyFabric }],
  measures: ({ widthMm = 0, depthMm = 0 }) => ({ widthMm, depthMm, heightMm: 2 }),
  plan: ({ values }) => {
    const { widthMm = 0, depthMm = 0, shrinkPercent = 0 } = values;
    const hem = hemOf(values);
    const each = perSeatWithSpares(values);
    const parts = [
      part('cloth', 'Napkin', widthMm + 2 * hem, beforeWash(depthMm + 2 * hem, shrinkPercent), each, {
        turn: shrinkPercent > 0 ? 'half' : 'free',
      }),
    ];
    const around = (each * 2 * (widthMm + depthMm)) / 1000;
    return {
      parts,
      needs: [{ material: null, kindId: 'thread', amount: THREAD_PER_METER * around }],
      works: [cuttingCloth(parts, shrinkPercent), ...hemming(around, values)],
      remarks: [],
    };
  },
};

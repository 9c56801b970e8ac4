import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  anyFabric,
  beforeWash,
  cuttingCloth,
  hemming,
  hemOf,
  hemParameters,
  joining,
  panels,
  seamMeters,
  THREAD_PER_METER,
  widthOf,
} from '../cloth';
import { length } from '../parts';

/** A runner: as long as the table and its two drops. */
export const tableRunner: Build = {
  id: 'tableRunner',
  name: 'Table runner',
  words: ['runner', 'table runner'],
  family: 'cloth',
  remark: 'as long as the table and 8 in over each end; a third of the table wide',
  difficulty: 1,
  skillAsked: 'a straight stitch',
  templateId: 'flatCloth',
  parameters: [
    length('lengthMm', 'Table, long', 72 * MM_PER_INCH, 200, 6000),
    length('dropMm', 'Over each end', 8 * MM_PER_INCH, 0, 900),
    length('depthMm', 'Width, finished', 14 * MM_PER_INCH, 80, 1200),
    ...hemParameters,
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: anyFabric }],
  measures: ({ lengthMm = 0, dropMm = 0, depthMm = 0 }) => ({
    widthMm: depthMm,
    depthMm: lengthMm + 2 * dropMm,
    heightMm: 2,
  }),
  plan: ({ values, material }) => {
    const { lengthMm = 0, dropMm = 0, depthMm = 0, shrinkPercent = 0 } = values;
    const hem = hemOf(values);
    const finished = lengthMm + 2 * dropMm;
    const parts = panels(
      'cloth',
      'Runner',
      depthMm + 2 * hem,
      beforeWash(finished + 2 * hem, shrinkPercent),
      widthOf(material('cloth')),
    );
    const around = (2 * (finished + depthMm)) / 1000;
    return {
      parts,
      needs: [{ material: null, kindId: 'thread', amount: THREAD_PER_METER * (around + seamMeters(parts)) }],
      works: [cuttingCloth(parts, shrinkPercent), ...joining(parts), ...hemming(around, values)],
      remarks: [],
    };
  },
};

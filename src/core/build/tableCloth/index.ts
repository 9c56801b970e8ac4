import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import {
  beforeWash,
  cuttingCloth,
  hemming,
  hemOf,
  hemParameters,
  joining,
  panels,
  seamMeters,
  seamsRemark,
  THREAD_PER_METER,
  wideFabric,
  widthOf,
} from '../cloth';
import { choice, length } from '../parts';

/** A cloth over a table: the table and its drop on every side, square-cornered or round. */
export const tableCloth: Build = {
  id: 'tableCloth',
  name: 'Table cloth',
  words: ['tablecloth', 'table cloth', 'cloth'],
  family: 'cloth',
  remark:
    'the table and its drop on every side: 8 in every day, 16 formal; a round one is cut from a square folded in four',
  difficulty: 2,
  skillAsked: 'long straight hems; a round one, easing',
  templateId: 'flatCloth',
  parameters: [
    choice('shape', 'Shape', 0, [
      { value: 0, label: 'square corners' },
      { value: 1, label: 'round' },
    ]),
    length('widthMm', 'Table, wide (or across)', 36 * MM_PER_INCH, 200, 3000),
    length('depthMm', 'Table, long (not for round)', 72 * MM_PER_INCH, 200, 6000),
    length('dropMm', 'Drop', 8 * MM_PER_INCH, 0, 1200),
    ...hemParameters,
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: wideFabric }],
  measures: ({ shape = 0, widthMm = 0, depthMm = 0, dropMm = 0 }) => ({
    widthMm: widthMm + 2 * dropMm,
    depthMm: (shape === 1 ? widthMm : depthMm) + 2 * dropMm,
    heightMm: 2,
  }),
  plan: ({ values, material }) => {
    const { shape = 0, widthMm = 0, depthMm = 0, dropMm = 0, shrinkPercent = 0 } = values;
    const isRound = shape === 1;
    const hem = hemOf(values);
    const wide = widthMm + 2 * dropMm;
    const long = isRound ? wide : depthMm + 2 * dropMm;
    const parts = panels(
      'cloth',
      'Cloth',
      wide + 2 * hem,
      beforeWash(long + 2 * hem, shrinkPercent),
      widthOf(material('cloth')),
    );
    const around = (isRound ? Math.PI * wide : 2 * (wide + long)) / 1000;
    return {
      parts,
      needs: [{ material: null, kindId: 'thread', amount: THREAD_PER_METER * (around + seamMeters(parts)) }],
      works: [
        cuttingCloth(
          parts,
          shrinkPercent,
          isRound ? 'fold the square in four, swing a string from the folded corner, cut through all layers' : '',
        ),
        ...joining(parts),
        ...hemming(around, values),
      ],
      remarks:
        parts.length > 1
          ? [
              seamsRemark(
                parts.reduce((sum, { count }) => sum + count, 0),
                wide + 2 * hem,
                wideFabric,
              ),
            ]
          : [],
    };
  },
};

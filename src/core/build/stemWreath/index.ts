import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { anyStems, lasting, traitsOf, tying } from '../greens';
import { choice, length, work } from '../parts';

/** A wreath of stems on a form. */
export const stemWreath: Build = {
  id: 'stemWreath',
  name: 'Wreath of stems',
  words: ['wreath', 'door wreath', 'greenery wreath'],
  family: 'greenery',
  remark: 'two thirds of the door wide: 24 in on a door of 36',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'wreath',
  parameters: [
    length('widthMm', 'Across', 24 * MM_PER_INCH, 120, 1200),
    length('tubeMm', 'Ring, thick', 3 * MM_PER_INCH, 10, 300),
    {
      id: 'stemsPer10Cm',
      label: 'Stems for 10 cm (4 in) of ring',
      kind: 'number',
      standard: 2,
      minimum: 0.2,
      maximum: 10,
    },
    choice('form', 'Form', 1, [
      { value: 0, label: 'own form' },
      { value: 1, label: 'a new form' },
    ]),
  ],
  materials: [{ id: 'stems', label: 'Stems', kindIds: anyStems }],
  measures: ({ widthMm = 0, tubeMm = 0 }) => ({ widthMm, tubeMm: Math.min(tubeMm, widthMm / 2), leaves: 24 }),
  plan: ({ values: { widthMm = 0, tubeMm = 0, stemsPer10Cm = 2, form = 1 }, material }) => {
    const stems = material('stems');
    const ringMm = Math.PI * (widthMm - Math.min(tubeMm, widthMm / 2));
    const count = Math.max(1, Math.ceil((ringMm / 100) * stemsPer10Cm - 1e-9));
    return {
      parts: [],
      needs: [
        { material: 'stems', kindId: 'stems', amount: count },
        { material: null, kindId: 'florWire', amount: count * 0.2 + ringMm / 1000 },
        ...(form === 1 ? [{ material: null, kindId: 'wreathForm', amount: 1 }] : []),
      ],
      works: [
        tying(
          count,
          `Bind ${count} stems around the form, each over the last one’s wire`,
          'all in one direction; the last goes under the first',
        ),
        work({
          id: 'hang',
          kind: 'arrange',
          title: 'Hang it at eye height, step back, trim',
          rate: 'setOut',
          units: 1,
        }),
      ],
      remarks: lasting(stems, false),
      traits: traitsOf(stems),
    };
  },
};

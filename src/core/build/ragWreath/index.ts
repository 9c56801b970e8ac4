import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { anyFabric } from '../cloth';
import { choice, length, part, work } from '../parts';

/** A form of 40 cm takes a square meter of cloth in strips (35 to 45 cm; common practice, from memory). */
const M2_PER_MM_ACROSS = 1 / 400;

/** A wreath of strips of cloth knotted around a ring. */
export const ragWreath: Build = {
  id: 'ragWreath',
  name: 'Rag wreath',
  words: ['rag wreath', 'fabric wreath', 'cloth wreath'],
  family: 'greenery',
  remark: 'strips of cloth knotted side by side around a ring; offcuts will do',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'wreath',
  parameters: [
    length('widthMm', 'Form, across', 16 * MM_PER_INCH, 100, 900),
    length('stripMm', 'Strip, wide', 1.25 * MM_PER_INCH, 8, 100),
    length('stripLongMm', 'Strip, long', 8 * MM_PER_INCH, 60, 400),
    choice('form', 'Form', 1, [
      { value: 0, label: 'own form' },
      { value: 1, label: 'a new form' },
    ]),
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: anyFabric }],
  measures: ({ widthMm = 0 }) => ({ widthMm, tubeMm: Math.min(90, widthMm / 2), leaves: 0 }),
  plan: ({ values: { widthMm = 0, stripMm = 1, stripLongMm = 1, form = 1 } }) => {
    const strips = Math.max(1, Math.ceil((widthMm * M2_PER_MM_ACROSS * 1e6) / (stripMm * stripLongMm) - 1e-9));
    const parts = [part('cloth', 'Strip', stripMm, stripLongMm, strips)];
    return {
      parts,
      needs: form === 1 ? [{ material: null, kindId: 'wreathForm', amount: 1 }] : [],
      works: [
        work({
          id: 'cut',
          kind: 'cut',
          title: `Cut or tear ${strips} strips`,
          hint: 'torn edges suit it',
          rate: 'cutMeter',
          units: (strips * stripLongMm) / 1000,
          tools: ['scissors'],
        }),
        // A knot every half a minute (from memory, no source).
        work({
          id: 'knot',
          kind: 'arrange',
          title: 'Knot the strips around the ring, push them together',
          rate: 'stem',
          units: strips / 2,
        }),
      ],
      remarks: [],
      traits: ['burns'],
    };
  },
};

import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { anyStems, lasting, traitsOf } from '../greens';
import { choice, count, length, work } from '../parts';

/** Stems show one and a half times the height of their vase above it (1 to 2.5; common practice, from memory). */
const ABOVE_THE_VASE = 1.5;

/** Stems for a vase that one has: how many, how long, how many days. */
export const vaseStems: Build = {
  id: 'vaseStems',
  name: 'Stems for a vase',
  words: ['stems', 'vase of stems', 'bouquet', 'branches'],
  family: 'greenery',
  remark: 'one and a half times as high as the vase; odd numbers look grown',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'foliage',
  parameters: [
    count('stems', 'Stems', 7, 1, 200),
    length('vaseMm', 'Vase, high', 10 * MM_PER_INCH, 40, 1200),
    choice('water', 'They stand', 1, [
      { value: 1, label: 'in water' },
      { value: 0, label: 'dry' },
    ]),
  ],
  materials: [{ id: 'stems', label: 'Stems', kindIds: anyStems }],
  measures: ({ stems = 1, vaseMm = 0 }) => ({
    stems,
    leavesEach: 12,
    leafMm: 80,
    heightMm: Math.min(2000, vaseMm * (1 + ABOVE_THE_VASE)),
  }),
  plan: ({ values: { stems = 1, water = 1 }, material }) => {
    const chosen = material('stems');
    const inWater = water === 1 && (chosen.kind.plant?.waterDays ?? null) !== null;
    return {
      parts: [],
      needs: [{ material: 'stems', kindId: 'stems', amount: stems }],
      works: [
        work({
          id: 'arrange',
          kind: 'arrange',
          title: `Cut ${stems} stems to height, set them in, the tallest first`,
          hint: inWater
            ? 'cut aslant, no leaf under water; fresh water every second day'
            : 'bend them apart; a frog or a little paper in the neck holds them',
          rate: 'stem',
          units: stems,
          tools: ['pruner'],
        }),
      ],
      remarks: lasting(chosen, inWater),
      traits: traitsOf(chosen),
    };
  },
};

import { MM_PER_INCH } from '../../kernel/units';
import type { Build, BuildValues } from '../build';
import { anyStems, lasting, traitsOf, tying } from '../greens';
import { choice, length, work } from '../parts';

/** Stems for a meter by how full it is to look (from memory, no source). */
const fullness = [
  { value: 8, label: 'airy' },
  { value: 12, label: 'usual' },
  { value: 18, label: 'full' },
] as const;

/** Wire that ties one stem on, m. */
const WIRE_PER_STEM = 0.2;

/** A garland along a mantel, a stair or a table: stems tied onto twine. */
export const garlandOfStems: Build = {
  id: 'garland',
  name: 'Garland',
  words: ['garland', 'mantel garland', 'greenery'],
  family: 'greenery',
  remark: 'stems tied onto twine, each over the last one’s wire; one and a half times what it spans when it swags',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'garland',
  parameters: [
    length('lengthMm', 'What it spans', 60 * MM_PER_INCH, 200, 8000),
    length('dropMm', 'Hangs down at each end', 12 * MM_PER_INCH, 0, 2500),
    choice('hangs', 'It hangs', 0, [
      { value: 0, label: 'straight' },
      { value: 1, label: 'in swags' },
    ]),
    choice('stemsPerMeter', 'Fullness', 12, fullness),
  ],
  materials: [{ id: 'stems', label: 'Stems', kindIds: anyStems }],
  measures: (values) => ({ widthMm: garlandMm(values), heightMm: 150 }),
  plan: ({ values, material }) => {
    const stems = material('stems');
    const meters = garlandMm(values) / 1000;
    const count = Math.ceil(meters * (values.stemsPerMeter ?? 12) - 1e-9);
    return {
      parts: [],
      needs: [
        { material: 'stems', kindId: 'stems', amount: count },
        { material: null, kindId: 'twine', amount: meters * 1.1 },
        { material: null, kindId: 'florWire', amount: count * WIRE_PER_STEM },
      ],
      works: [
        tying(
          count,
          `Tie ${count} stems onto the twine, from both ends to the middle`,
          stems.kind.plant
            ? 'cut them the same day; stand them in water until they are tied'
            : 'bend every stem a little: straight ones look new',
        ),
        work({
          id: 'hang',
          kind: 'arrange',
          title: 'Hang it by its ends and its middle; step back, fill the gaps',
          rate: 'setOut',
          units: 1,
        }),
      ],
      remarks: lasting(stems, false),
      traits: traitsOf(stems),
    };
  },
};

/**
 * Length of a garland, mm: what it spans and both ends; in swags one and a half times the span (common practice, from
 * memory). A mantel of 60 in with drops of 12 in: 84 in straight, 114 in swags.
 */
export function garlandMm({ lengthMm = 0, dropMm = 0, hangs = 0 }: BuildValues): number {
  return lengthMm * (hangs === 1 ? 1.5 : 1) + 2 * dropMm;
}

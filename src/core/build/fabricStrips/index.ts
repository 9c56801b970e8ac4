import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { anyFabric, widthOf } from '../cloth';
import { choice, length, part, work } from '../parts';

/** Torn cloth loses threads at each edge: 2 to 4 (3) mm (common practice, from memory). */
const TORN_MM = 3;

/** Strips of cloth for tying, winding and bows, cut or torn from yardage or from a garment's panels. */
export const fabricStrips: Build = {
  id: 'fabricStrips',
  name: 'Ribbon or strips of cloth',
  words: ['strips', 'fabric ribbon', 'rag strips', 'ties'],
  family: 'cloth',
  remark: 'strips along the cloth, cut or torn; panels of a garment count as leftovers of the cloth',
  difficulty: 1,
  skillAsked: 'none',
  templateId: 'flatCloth',
  parameters: [
    length('widthMm', 'Strip, wide', 1.5 * MM_PER_INCH, 5, 300),
    length('lengthMm', 'Length of one strip', 36 * MM_PER_INCH, 50, 5000),
    { id: 'strips', label: 'Strips', kind: 'count', standard: 10, minimum: 1, maximum: 400 },
    choice('edge', 'Edges', 0, [
      { value: 0, label: 'cut' },
      { value: 1, label: 'torn' },
    ]),
  ],
  materials: [{ id: 'cloth', label: 'Cloth', kindIds: anyFabric }],
  measures: ({ widthMm = 0, lengthMm = 0 }) => ({ widthMm: Math.max(50, widthMm), depthMm: lengthMm, heightMm: 2 }),
  plan: ({ values: { widthMm = 0, lengthMm = 0, strips = 1, edge = 0 }, material }) => {
    const wide = widthMm + (edge === 1 ? 2 * TORN_MM : 0);
    const bolt = widthOf(material('cloth'));
    // Cloth tears along a thread: across from selvage to selvage as well as along it.
    const parts = [part('cloth', 'Strip', wide, lengthMm, strips)];
    return {
      parts,
      needs: [],
      works: [
        work({
          id: 'cut',
          kind: 'cut',
          title: edge === 1 ? 'Snip every strip at the edge, tear it off' : 'Draw and cut the strips',
          hint: edge === 1 ? 'with the thread; pull loose threads off' : 'a rule and a wheel on a mat make it quick',
          rate: 'cutMeter',
          units: ((strips + 1) * lengthMm) / 1000,
          tools: ['scissors', 'iron'],
        }),
      ],
      remarks: wide > bolt ? [{ code: 'build.tooNarrow', part: 'Strip', widthMm: wide, faceMm: bolt }] : [],
    };
  },
};

import { MM_PER_INCH } from '../../kernel/units';
import type { Build } from '../build';
import { choice, faceOf, hanging, length, part, SCREW_IN_STUD_KG, SPAN_MM, sawing, work } from '../parts';

/** Longer than this it hangs on three brackets. */
const TWO_BRACKETS_MM = 36 * MM_PER_INCH;

/** A board on brackets of pipe: a flange on the wall, a nipple, a cap. */
export const pipeShelf: Build = {
  id: 'pipeShelf',
  name: 'Shelf on pipe brackets',
  words: ['pipe shelf', 'industrial shelf'],
  family: 'boards',
  remark: 'flanges into the studs; the board lies on the pipes and is strapped from below',
  difficulty: 1,
  skillAsked: 'finding studs, a level',
  templateId: 'shelf',
  parameters: [
    length('lengthMm', 'Length', 36 * MM_PER_INCH, 200, 2400),
    choice('pipe', 'Pipe', 1, [
      { value: 0, label: '1/2 in (outside 0.840 in)' },
      { value: 1, label: '3/4 in (outside 1.050 in)' },
      { value: 2, label: '1 in (outside 1.315 in)' },
    ]),
  ],
  materials: [{ id: 'board', label: 'Board', kindIds: ['board1x8', 'board1x10', 'board1x12', 'board1x6'] }],
  measures: ({ lengthMm = 0 }) => ({
    widthMm: lengthMm,
    depthMm: 7.25 * MM_PER_INCH,
    heightMm: 0.75 * MM_PER_INCH,
    brackets: bracketsFor(lengthMm),
  }),
  plan: ({ values: { lengthMm = 0 }, material }) => {
    const brackets = bracketsFor(lengthMm);
    const parts = [part('board', 'Board', faceOf(material('board')), lengthMm)];
    const span = lengthMm / brackets;
    return {
      parts,
      needs: [
        { material: null, kindId: 'pipeFlange', amount: brackets },
        { material: null, kindId: 'pipeNipple', amount: brackets },
        { material: null, kindId: 'pipeCap', amount: brackets },
        { material: null, kindId: 'pipeStrap', amount: brackets },
        { material: null, kindId: 'screws', amount: 6 * brackets },
      ],
      works: [
        sawing(parts, 'sand the edges that hands will meet'),
        work({
          id: 'pipes',
          kind: 'assemble',
          title: 'Degrease the pipes, screw nipples and caps into the flanges',
          hint: 'the nipple an inch longer than the board is deep; new pipe is oily',
          rate: 'screw',
          units: 3 * brackets,
          tools: [],
        }),
        hanging(brackets, 'two screws of each flange in a stud; then the board, strapped from below'),
      ],
      remarks: [
        ...(span > SPAN_MM ? [{ code: 'build.sags' as const, spanMm: span, mostMm: SPAN_MM }] : []),
        { code: 'build.load', kg: Math.round((brackets * 2 * SCREW_IN_STUD_KG) / 4), fixings: brackets * 2 },
      ],
    };
  },
};

/** Two brackets up to 36 in, one more from there on, and no span wider than a board bears. */
export function bracketsFor(lengthMm: number): number {
  return Math.max(lengthMm > TWO_BRACKETS_MM + 1e-6 ? 3 : 2, Math.ceil(lengthMm / SPAN_MM - 1e-9));
}

/** Outside diameters of pipe by its nominal size, inches (ASME B36.10M, from memory). */
export const pipeOutsideInches = [0.84, 1.05, 1.315] as const;

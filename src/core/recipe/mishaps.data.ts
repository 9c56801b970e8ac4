import type { CoatingGroup } from '../catalog/coating';
import type { MishapKind } from '../state/mishap';
import type { StepKind } from '../state/step';

/** A kind of work at the bench: a step of a recipe, a task of a spot, or setting in place. */
export type BenchWork = StepKind | 'spotTask' | 'place';

/** Something that goes wrong by hand: where it happens, what is done about it at once, what it teaches. */
export interface Mishap {
  name: string;
  at: readonly BenchWork[];
  /** With which coatings it happens while one is laid; null for any. */
  groups: readonly CoatingGroup[] | null;
  /** What mends it, as something to do now. */
  mend: string;
  lesson: string;
}

const stuckOn: readonly CoatingGroup[] = ['decoupage', 'film'];
const stains: readonly CoatingGroup[] = ['oilStain', 'waterborneStain', 'sealingStain'];

/** Common practice, from memory. */
export const mishaps: Readonly<Record<MishapKind, Mishap>> = {
  bubbled: {
    name: 'Bubbles',
    at: ['coat', 'work'],
    groups: stuckOn,
    mend: 'Press from the middle outward. A dry bubble: slit it with a sharp blade, work a little glue beneath, press it flat.',
    lesson: 'wet or squeegee from the middle, a hand’s width at a time',
  },
  creased: {
    name: 'Creases',
    at: ['coat', 'work'],
    groups: stuckOn,
    mend: 'Lift it while it is wet and lay it again. A dry crease: sand it down when everything is dry, and lay a coat over it.',
    lesson: 'relax the paper first, and lay it down from one edge',
  },
  tore: {
    name: 'Tore',
    at: ['coat', 'work', 'cut'],
    groups: stuckOn,
    mend: 'Lay the torn edges together, or a patch from what is left, its edge torn, not cut.',
    lesson: 'wet paper carries nothing: carry it on foil, and do not rub it while it is wet',
  },
  lifted: {
    name: 'Edges lift',
    at: ['coat', 'work', 'finish'],
    groups: stuckOn,
    mend: 'A little glue under the edge with a fine brush, pressed until it holds; film: warm it and press it again.',
    lesson: 'wipe the surface with alcohol first, and press the edges twice',
  },
  bledUnderTape: {
    name: 'Bled under the tape',
    at: ['coat', 'mask'],
    groups: null,
    mend: 'Let it dry, scrape the edge with a blade, and touch the line up in the color beside it.',
    lesson: 'seal the edge of the tape with a thin coat of the color beneath first',
  },
  brushMarks: {
    name: 'Brush or lap marks',
    at: ['coat'],
    groups: null,
    mend: 'Leave it: brushing again makes it worse. Sand it flat when it is dry, and lay the next coat thinner.',
    lesson: 'thinner coats, a wet edge, and no going back over what has begun to dry',
  },
  dustInIt: {
    name: 'Dust or hairs in it',
    at: ['coat'],
    groups: null,
    mend: 'Leave it until it is dry, then sand lightly, wipe, and go on with the next coat.',
    lesson: 'wipe with a tack cloth, and sand and sweep on another day',
  },
  blotched: {
    name: 'Blotches',
    at: ['coat'],
    groups: stains,
    mend: 'Wipe it with its own thinner while it is fresh. Dry: sand it back, condition the wood, stain again.',
    lesson: 'soft wood drinks unevenly: condition it first, and try it on the back',
  },
  notClean: {
    name: 'Does not come clean',
    at: ['clean', 'wetClean', 'strip', 'dewax', 'removeRust', 'brushOut', 'spotTask'],
    groups: null,
    mend: 'Let the cleaner work longer, then once more with a fresh pad; what stays must be sealed before paint.',
    lesson: 'let the cleaner stand, work in small parts, rinse twice',
  },
  sandedThrough: {
    name: 'Sanded through',
    at: ['sandBack', 'scuff', 'sandBetween', 'finish'],
    groups: null,
    mend: 'Stop there. Bare wood or veneer: prime or stain that place alone before the next coat.',
    lesson: 'edges and veneer go first: by hand, along the grain, and fewer strokes there',
  },
  brokeOff: {
    name: 'Broke off',
    at: ['dismantle', 'reassemble', 'assemble', 'clean', 'place', 'arrange', 'own'],
    groups: null,
    mend: 'Keep the part. Glue and clamp it now; paint waits until the glue is dry.',
    lesson: 'old screws and thin parts: warm them, oil them, turn them slowly',
  },
  doesNotFit: {
    name: 'Does not fit',
    at: ['reassemble', 'assemble', 'place', 'arrange'],
    groups: null,
    mend: 'Paint makes holes and edges smaller: clear the holes, ease the edge, and touch it up.',
    lesson: 'label every part and the place it came from; keep hinges and runners free of paint',
  },
  cutWrong: {
    name: 'Cut wrong',
    at: ['cut', 'saw', 'sew', 'print'],
    groups: null,
    mend: 'Lay what is left out again before you buy: a smaller part may still come out of it.',
    lesson: 'cut one, try it, then cut the rest; add the allowance before the first cut',
  },
  splintered: {
    name: 'Splintered',
    at: ['saw', 'drill', 'cut'],
    groups: null,
    mend: 'Glue the splinter back with tape over it; fill what is missing and sand it when it is dry.',
    lesson: 'tape over the line, a fine blade, the good side on the right side of the saw, waste wood beneath',
  },
  split: {
    name: 'Split',
    at: ['drill', 'assemble', 'saw'],
    groups: null,
    mend: 'Glue and clamp the split, and put the next hole beside it.',
    lesson: 'drill a pilot hole, and keep away from the end of a board',
  },
  cameLoose: {
    name: 'Came loose',
    at: ['glue', 'assemble', 'reassemble', 'place', 'arrange', 'mend'],
    groups: null,
    mend: 'Scrape the old glue off both sides, roughen them, glue again and let it set under weight.',
    lesson: 'roughen and wipe both sides, weigh it down, and give it the whole time of its label',
  },
  puckered: {
    name: 'Puckered',
    at: ['sew'],
    groups: null,
    mend: 'Open the seam, press both edges, and sew it with less tension and a longer stitch.',
    lesson: 'try needle, tension and stitch on a scrap of the same cloth; press before and after',
  },
  scratched: {
    name: 'Scratched or dented',
    at: ['place', 'reassemble', 'arrange', 'dismantle', 'spotTask'],
    groups: null,
    mend: 'Touch it up with what is left of the can when it stands; keep a little of each color.',
    lesson: 'let it cure before it is moved, carry it in a blanket, felt under its feet',
  },
};

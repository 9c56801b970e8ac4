import { check, type Inspection, mend } from '../inspection';

/** What to look at: children's things. */
export const children: Inspection = {
  id: 'children',
  name: "Children's things",
  applies: (piece) =>
    ['toyOrCot', 'dropSideCot', 'oldCot', 'childSeatOrHelmet'].includes(piece.kind) ||
    /\b(cot|crib|toy|high ?chair|child|kids?|baby|nursery)\b/i.test(piece.name),
  checks: [
    check(
      'children.recall',
      'Recalled?',
      'look up the maker and the model before it is bought',
      null,
      'recalled, a drop-side cot, or over ten years old',
      true,
    ),
    check('children.paint', 'Paint', 'old or unknown paint may hold lead', null, 'old paint on what is chewed', true),
    check(
      'children.gaps',
      'Gaps and cords',
      'no gap that takes a head or a finger, no long cord',
      null,
      'gaps or cords that can trap or strangle',
      true,
    ),
    check(
      'children.parts',
      'Small parts',
      'does anything come off?',
      mend('a loose part to fix', 10),
      'small parts come off',
      true,
    ),
  ],
};

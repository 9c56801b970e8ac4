import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: laminate and board. */
export const laminate: Inspection = {
  id: 'laminate',
  name: 'Laminate and board',
  applies: (piece) => ['laminate', 'mdf'].includes(piece.materialId),
  checks: [
    check(
      'laminate.swollen',
      'Swollen edges',
      'feel along the bottom edges',
      mend('edges swollen a little', 20, ['filler', 40]),
      'the board has burst and will not hold a screw',
    ),
    check(
      'laminate.peel',
      'Skin',
      'does the skin lift at corners?',
      mend('skin lifts at a corner', 15, ['woodGlue', 10]),
      'the skin comes off in sheets',
    ),
    check(
      'laminate.screws',
      'Screw holes',
      'move doors and legs: do screws turn without holding?',
      mend('screw holes worn out', 20, ['epoxyPutty', 10], ['screws', 6]),
    ),
    check(
      'laminate.sag',
      'Shelves',
      'look along them: do they sag?',
      turnInto('a shelf sags', 'turn it over, or light things only', 5),
    ),
    check(
      'laminate.mold',
      'Smell and mold',
      'smell the back and the underside',
      mend('smells musty', 20),
      'moldy or soaked board cannot be saved',
      true,
    ),
  ],
};

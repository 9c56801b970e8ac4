import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: faux greenery. */
export const greeneryFaux: Inspection = {
  id: 'greeneryFaux',
  name: 'Faux greenery',
  applies: (piece) => piece.materialId === 'fauxLeaf',
  checks: [
    check('faux.dust', 'Dust', 'gray from dust?', mend('dusty: rinse and shake', 10)),
    check(
      'faux.color',
      'Color',
      'does it look real from two steps away?',
      turnInto('too bright', 'tone it down with a wash of brown', 15),
    ),
    check('faux.wires', 'Wires', 'do the stems bend and stay?', mend('stems to open and bend', 10)),
    check('faux.bald', 'Leaves', 'bare places?', turnInto('bare on one side', 'turn that side to the wall')),
  ],
};

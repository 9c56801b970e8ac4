import { carving, check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: wood. */
export const wood: Inspection = {
  id: 'wood',
  name: 'Wood',
  applies: (piece) => ['pine', 'hardwood', 'veneer'].includes(piece.materialId),
  checks: [
    check(
      'wood.wobble',
      'Joints',
      'rock it: does it wobble?',
      mend('wobbles', 30, ['woodGlue', 20]),
      'a leg or rail is broken through',
    ),
    check('wood.drawers', 'Drawers', 'pull each one out and push it in', mend('a drawer sticks', 15)),
    check('wood.lines', 'Lines', 'straight and flat, or carved, fluted, turned?', carving),
    check(
      'wood.drawerGone',
      'All drawers there',
      'count fronts and boxes',
      turnInto('a drawer is missing', 'an open bay with a basket', 10),
    ),
    check(
      'wood.door',
      'Doors and hinges',
      'open and close each door',
      mend('a hinge is loose', 15, ['screws', 4], ['hinge', 1]),
    ),
    check('wood.knob', 'Knobs', 'count the knobs and pulls', mend('a knob is missing', 5, ['knob', 1])),
    check(
      'wood.veneer',
      'Veneer',
      'press along the edges: does it lift or bubble?',
      mend('veneer lifts', 25, ['woodGlue', 15]),
      'most of the veneer is off',
    ),
    check(
      'wood.chips',
      'Chips and gouges',
      'look along the top against the light',
      mend('chips to fill', 15, ['filler', 30]),
    ),
    check(
      'wood.rings',
      'Rings and stains',
      'dark rings go deep and come through paint',
      mend('dark stains to block', 10),
    ),
    check(
      'wood.worm',
      'Worm holes',
      'fine pale dust under the holes means they live',
      null,
      'live worms go into other furniture',
      true,
    ),
    check(
      'wood.mold',
      'Smell and mold',
      'smell inside the drawers; look behind',
      mend('smells musty', 20),
      'mold over more than a hand, or soaked through',
      true,
    ),
    check(
      'wood.lead',
      'Age of the paint',
      'many layers, cracked like a lizard: ask how old it is',
      null,
      null,
      true,
      // Bare wood, and what is known to be newer, holds none.
      ({ finishId, era }) => finishId !== null && era !== 'recent',
    ),
  ],
};

import { check, type Inspection, mend } from '../inspection';

/** What to look at: metal. */
export const metal: Inspection = {
  id: 'metal',
  name: 'Metal',
  applies: (piece) => ['ferrousMetal', 'galvanizedSteel', 'nonferrousMetal'].includes(piece.materialId),
  checks: [
    check(
      'metal.rust',
      'Rust',
      'scratch it: dust only, or flakes?',
      mend('rust to brush off', 20, ['sandpaper', 2]),
      'rusted through where it carries',
    ),
    check(
      'metal.bent',
      'Straight',
      'stand it on the floor; look along its lines',
      mend('bent a little', 10),
      'a welded joint is cracked',
    ),
    check(
      'metal.flaking',
      'Old paint',
      'does it flake under a nail?',
      mend('loose paint to take off', 20, ['sandpaper', 2]),
    ),
    check('metal.sharp', 'Edges', 'feel carefully for burrs and torn edges', mend('sharp edges to file', 10)),
  ],
};

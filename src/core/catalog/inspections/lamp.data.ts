import { check, type Inspection, mend, turnInto } from '../inspection';

/** What to look at: lamps and lights. */
export const lamp: Inspection = {
  id: 'lamp',
  name: 'Lamps and lights',
  applies: (piece) => piece.kind === 'lamp' || piece.traits.includes('lamp'),
  checks: [
    check(
      'lamp.cord',
      'Cord and plug',
      'frayed, taped, stiff, or of old fabric?',
      null,
      'a damaged cord: not before a qualified person replaced it',
      true,
    ),
    check('lamp.works', 'Does it light?', 'ask to plug it in', mend('needs a new bulb', 5)),
    check(
      'lamp.socket',
      'Socket',
      'loose, cracked or scorched?',
      null,
      'a scorched socket: not before a qualified person replaced it',
      true,
    ),
    check('lamp.stands', 'Stands', 'stand it down: does it lean?', mend('leans: tighten the rod', 10)),
    check(
      'lamp.leaf',
      'Arms and leaves',
      'look for cracks, bend nothing',
      turnInto('a leaf is cracked', 'turn it to the wall'),
      'a carrying part is cracked',
    ),
    check('lamp.halogen', 'Hot lamps', 'an upward halogen lamp?', null, 'halogen torchieres start fires', true),
  ],
};

import { check, type Inspection, mend } from '../inspection';

/** What to look at: storage. */
export const storage: Inspection = {
  id: 'storage',
  name: 'Storage',
  applies: (piece) => piece.traits.includes('storesThings'),
  checks: [
    check('storage.inside', 'Inner measures', 'measure the inside, not the outside', null),
    check('storage.fit', 'Fits its place', 'drawer or shelf: with its door open?', null),
    check(
      'storage.tip',
      'Tips?',
      'pull the top drawer out: does it lean?',
      mend('to be anchored to the wall', 20, ['screws', 4]),
      null,
      true,
    ),
    check('storage.lid', 'Lid and catch', 'open and close it', mend('the catch is bent', 5)),
  ],
};
